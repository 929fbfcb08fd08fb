import { jsonObject } from "~/app/session/json-object";
import { sealSoonContext } from "~/app/session/request-context";
import { asPersonJson, refusalResponse, statusOf } from "~/app/session/session.server";
import { countersignJob } from "~/operations/countersign-job";
import type { Route } from "./+types/countersign";

/** A lead's name beside the signature. */
export async function action({ request, params, context }: Route.ActionArgs) {
  return asPersonJson(context, ["lead"], async (asked) => {
    const input = await jsonObject(request);
    if (!input) return refusalResponse(400, "not-understood");
    const made = { ...input, jobId: params.jobId, madeAt: asked.now.toISOString() };
    const result = await countersignJob(asked, made);
    if (!result.ok) return Response.json({ refusal: result.refusal }, statusOf(result.refusal, 422));
    context.get(sealSoonContext)();
    return Response.json({ entry: result.value });
  });
}
