import { formOf } from "~/app/session/form-of";
import { asPersonJson } from "~/app/session/session.server";
import { assign } from "~/operations/assign";
import { mayWork } from "~/operations/context";
import type { Route } from "./+types/give";

/** Gives an open job, or the next visit to a stage, to somebody. */
export async function action({ request, context }: Route.ActionArgs) {
  return asPersonJson(context, mayWork, async (asked) => {
    const form = await formOf(request);
    const given = await assign(asked, {
      id: form.get("id"),
      jobId: form.get("jobId"),
      stageId: form.get("stageId"),
      personId: form.get("personId") || null,
      note: form.get("note") ?? "",
    });
    return given.ok ? Response.json({ done: true }) : Response.json({ refusal: given.refusal }, { status: 422 });
  });
}
