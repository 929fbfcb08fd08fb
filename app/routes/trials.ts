import { formOf } from "~/app/session/form-of";
import { asPersonJson } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { logTrial } from "~/operations/log-trial";
import type { Route } from "./+types/trials";

const kept = ["id", "stageId", "part", "version", "drawn", "made", "play", "smooth", "why"] as const;
/** One of each has to be chosen. */
const chosen = ["making", "outcome"] as const;
/** Of these nothing chosen is nothing known. */
const known = ["of", "felt", "burr"] as const;

/** Logs a version of a part that was made or tried. */
export async function action({ request, context }: Route.ActionArgs) {
  return asPersonJson(context, mayWork, async (asked) => {
    const form = await formOf(request);
    const result = await logTrial(asked, {
      ...Object.fromEntries(kept.map((name) => [name, form.get(name) ?? ""])),
      ...Object.fromEntries(chosen.map((name) => [name, form.get(name) || undefined])),
      ...Object.fromEntries(known.map((name) => [name, form.get(name) || null])),
      madeAt: asked.now.toISOString(),
    });
    return result.ok ? Response.json({ done: true }) : Response.json({ refusal: result.refusal }, { status: 422 });
  });
}
