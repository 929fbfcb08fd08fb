import * as z from "zod";
import { type Bodies, feelMethods, feels, feltArc, hasClick, judgeFelt, roundPhases } from "../../core/logbook";
import { accept, type Result, refuse } from "../../core/quantity";
import type { Stage } from "../../core/records";
import { frameOf } from "../../core/stages";
import { words } from "../input";

export const feelInput = z.object({
  kind: z.literal("feel"),
  phase: z.enum(roundPhases),
  method: z.enum(feelMethods),
  /** Which gear of a switchable one. */
  gear: words(40).optional(),
  places: z
    .array(z.object({ tooth: z.number().int().gte(1).lte(10_000), feel: z.enum(feels) }))
    .min(1)
    .max(1000),
});

/**
 * A round by feel with what it says; the verdict is marked as one by feel by being of this kind. Only a mesh clicks: of anything else these
 * words say nothing.
 */
export function buildFeel(input: z.output<typeof feelInput>, { geometry }: Stage): Result<Bodies["feel"]> {
  const { element, arcDeg } = geometry;
  if (!hasClick(element)) return refuse("no-words-for-this-kind", ["places"]);
  const teeth = frameOf(element).places;
  const beyond = input.places.findIndex(({ tooth }) => tooth > teeth);
  if (beyond >= 0)
    return refuse("no-such-tooth", ["places", beyond, "tooth"], { tooth: input.places[beyond]?.tooth ?? 0, teeth });
  const judged = judgeFelt(input.places, teeth, feltArc(teeth, arcDeg));
  if (!judged) return refuse("outside-the-arc", ["places"]);
  return accept({
    phase: input.phase,
    method: input.method,
    gear: input.gear ?? null,
    of: teeth,
    places: input.places,
    judged,
  });
}
