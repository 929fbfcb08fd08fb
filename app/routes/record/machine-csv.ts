import { sealContext } from "~/app/session/request-context";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/machine-csv";
import { machineFile } from "./load-record.server";

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) =>
    machineFile(asked, context.get(sealContext), params.machineId, "csv"),
  );
