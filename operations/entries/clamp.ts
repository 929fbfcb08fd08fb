import * as z from "zod";
import { type Bodies, clampStates } from "../../core/logbook";
import { accept, type Result, refuse } from "../../core/quantity";
import type { ClampPattern } from "../../core/records";

export const clampInput = z.object({
  kind: z.literal("clamp"),
  clamp: z.number().int().gte(1),
  pass: z.number().int().gte(0).lte(100),
  state: z.enum(clampStates),
});

/** One touched clamp screw; the torque is that of its pass, the full one on the last. */
export function buildClamp(input: z.output<typeof clampInput>, pattern: ClampPattern): Result<Bodies["clamp"]> {
  const of = pattern.points.length;
  if (input.clamp > of) return refuse("no-such-clamp", ["clamp"], { clamp: input.clamp, clamps: of });
  const { passes, torqueNm } = pattern;
  const tightening = input.state === "snug" || input.state === "firm" || input.state === "dressed";
  return accept({
    clamp: input.clamp,
    of,
    pass: input.pass,
    passes,
    state: input.state,
    torqueNm: tightening && torqueNm !== null ? (torqueNm * Math.min(passes, Math.max(1, input.pass))) / passes : null,
  });
}
