import { personDataFile } from "~/app/features/export/person-data.server";
import { asPerson } from "~/app/session/session.server";
import type { Route } from "./+types/data";

/** Everything that is kept of one person, for handing it to them. */
export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, ["lead"], (asked) => personDataFile(asked, params.personId));
