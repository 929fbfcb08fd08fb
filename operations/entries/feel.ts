import { z } from "zod";
import { type Bodies, feelMethods, feels, judgeFeel } from "../../core/logbook";
import { accept, type Result, refuse } from "../../core/quantity";

export const feelInput = z.object({
  kind: z.literal("feel"),
  phase: z.enum(["as-found", "set", "check"]),
  method: z.enum(feelMethods),
  places: z
    .array(z.object({ tooth: z.number().int().gte(1).lte(10_000), feel: z.enum(feels) }))
    .min(1)
    .max(1000),
});

/** A round by feel with what it says; the verdict is marked as one by feel by being of this kind. */
export function buildFeel(input: z.output<typeof feelInput>, teeth: number): Result<Bodies["feel"]> {
  const beyond = input.places.findIndex(({ tooth }) => tooth > teeth);
  if (beyond >= 0)
    return refuse("no-such-tooth", ["places", beyond, "tooth"], { tooth: input.places[beyond]?.tooth ?? 0, teeth });
  return accept({
    phase: input.phase,
    method: input.method,
    places: input.places,
    ...judgeFeel(input.places.map(({ feel }) => feel)),
  });
}
