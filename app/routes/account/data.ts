import { personDataFile } from "~/app/features/export/person-data.server";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/data";

/** Everything that is kept of whoever asks. */
export const loader = ({ context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => personDataFile(asked, asked.person.id));
