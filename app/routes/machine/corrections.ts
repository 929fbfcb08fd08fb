import { formOf } from "~/app/session/form-of";
import { asPersonJson } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { correctEntry } from "~/operations/correct-entry";
import type { Route } from "./+types/corrections";

/** A correction, as a new entry beside the one it names. */
export async function action({ request, context }: Route.ActionArgs) {
  return asPersonJson(context, mayWork, async (asked) => {
    const form = await formOf(request);
    const result = await correctEntry(asked, {
      kind: "correction",
      id: form.get("id"),
      namesEntry: form.get("namesEntry"),
      madeAt: asked.now.toISOString(),
      text: form.get("text"),
      voids: form.get("voids") === "yes",
    });
    return result.ok
      ? Response.json({ entry: { ...result.value, madeByName: asked.person.name } })
      : Response.json({ refusal: result.refusal }, { status: 422 });
  });
}
