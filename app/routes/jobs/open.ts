import { jsonObject } from "~/app/session/json-object";
import { asPersonJson, refusalResponse } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { openJob } from "~/operations/open-job";
import type { Route } from "./+types/open";

/** Opens a job, perhaps one that was opened on a tablet without a network a while ago. Sent twice it stays one. */
export async function action({ request, context }: Route.ActionArgs) {
  return asPersonJson(context, mayWork, async (asked) => {
    const input = await jsonObject(request);
    if (!input) return refusalResponse(400, "not-understood");
    const result = await openJob(asked, input);
    return result.ok ? Response.json(result.value) : Response.json({ refusal: result.refusal }, { status: 422 });
  });
}
