import * as z from "zod";
import { meshRound } from "../../core/rounds";
import { both, finite, onePitch, pairGeometry, pairShape } from "../fields";
import { tool } from "../tool";

const runout = z.strictObject({ eccentricityMm: z.number(), tightAngleDeg: z.number() });
const worst = z.strictObject({ backlashMm: z.number(), gearAngleDeg: z.number(), turnsBetween: z.number() });

export const meshRoundTool = tool({
  name: "mesh-round",
  purpose: "fit a round of backlash readings: runout of gear and pinion, tight spot, worst over the hunting cycle",
  input: z
    .strictObject({
      ...pairShape,
      readings: z
        .array(z.strictObject({ gearAngleDeg: finite, backlashMm: finite }))
        .min(1)
        .max(10_000),
      separatePinion: z.boolean().default(true),
      arcDeg: both(finite).optional(),
    })
    .superRefine(onePitch),
  output: z.strictObject({
    meanMm: z.number(),
    minMm: z.number(),
    maxMm: z.number(),
    gear: runout,
    pinion: runout.nullable(),
    separable: z.boolean(),
    residualMm: z.number(),
    worstTight: worst,
    worstLoose: worst,
  }),
  run: ({ readings, separatePinion, arcDeg, ...pair }) =>
    meshRound(pairGeometry(pair), readings, { separatePinion, arcDeg }),
});
