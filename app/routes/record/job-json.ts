import { sealContext } from "~/app/session/request-context";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/job-json";
import { jobFile } from "./load-record.server";

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => jobFile(asked, context.get(sealContext), params.jobId, "json"));
