import { jsonObject } from "~/app/session/json-object";
import { asPersonJson, refusalResponse } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { keepComputation } from "~/operations/keep-computation";
import type { Route } from "./+types/keep";

/** Keeps a computation on a stage. */
export async function action({ request, context }: Route.ActionArgs) {
  return asPersonJson(context, mayWork, async (asked) => {
    const input = await jsonObject(request);
    if (!input) return refusalResponse(400, "not-understood");
    const result = await keepComputation(asked, { ...input, madeAt: asked.now.toISOString() });
    return result.ok ? Response.json({ done: true }) : Response.json({ refusal: result.refusal }, { status: 422 });
  });
}
