import { jsonObject } from "~/app/session/json-object";
import { asPersonJson, refusalResponse } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { saveDraft } from "~/operations/save-draft";
import type { Route } from "./+types/draft";

/** Keeps what is being typed. */
export async function action({ request, params, context }: Route.ActionArgs) {
  return asPersonJson(context, mayWork, async (asked) => {
    const input = await jsonObject(request);
    if (!input) return refusalResponse(400, "not-understood");
    const result = await saveDraft(asked, { ...input, jobId: params.jobId });
    return result.ok ? Response.json({ kept: true }) : Response.json({ refusal: result.refusal }, { status: 422 });
  });
}
