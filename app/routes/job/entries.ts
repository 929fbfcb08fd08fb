import { jsonObject } from "~/app/session/json-object";
import { sealSoonContext } from "~/app/session/request-context";
import { asPersonJson, everyRole, refusalResponse, statusOf } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { recordEntry } from "~/operations/record-entry";
import { signJob } from "~/operations/sign-job";
import type { Route } from "./+types/entries";
import { loadEntries } from "./load-job.server";

/** The job's entries as the server has them now. */
export async function loader({ params, context }: Route.LoaderArgs) {
  return asPersonJson(context, everyRole, async (asked) => {
    const found = await loadEntries(asked, params.jobId);
    return found ? Response.json(found) : refusalResponse(404, "no-such-job");
  });
}

/** One more entry, or the signature. Sent twice it stays one. */
export async function action({ request, params, context }: Route.ActionArgs) {
  return asPersonJson(context, mayWork, async (asked) => {
    const input = await jsonObject(request);
    if (!input) return refusalResponse(400, "not-understood");
    const operation = input.kind === "signature" ? signJob : recordEntry;
    const result = await operation(asked, { ...input, jobId: params.jobId });
    if (!result.ok) return Response.json({ refusal: result.refusal }, statusOf(result.refusal, 422));
    if (input.kind === "signature") context.get(sealSoonContext)();
    return Response.json({ entry: result.value });
  });
}
