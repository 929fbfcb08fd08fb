import { formOf } from "~/app/session/form-of";
import { asPersonJson } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { closePoint, openPoint } from "~/operations/open-point";
import type { Route } from "./+types/points";

/** Opens or closes an open point. */
export async function action({ request, context }: Route.ActionArgs) {
  return asPersonJson(context, mayWork, async (asked) => {
    const form = await formOf(request);
    const shared = { id: form.get("id"), text: form.get("text") ?? "", madeAt: asked.now.toISOString() };
    const result =
      form.get("what") === "close"
        ? await closePoint(asked, { ...shared, pointId: form.get("pointId") })
        : await openPoint(asked, {
            ...shared,
            machineId: form.get("machineId"),
            stageId: form.get("stageId") || null,
            by: form.get("by") || null,
          });
    return result.ok ? Response.json({ done: true }) : Response.json({ refusal: result.refusal }, { status: 422 });
  });
}
