import * as z from "zod";
import { identifyGear } from "../../core/gears";
import { notNegative, positive, toothCount } from "../fields";
import { tool } from "../tool";

const pitchName = z.strictObject({ system: z.enum(["module", "diametral-pitch"]), value: z.number() });

export const gearIdentify = tool({
  name: "gear-identify",
  purpose: "which standard pitch a measured gear has, and which ones cannot be told apart",
  input: z.strictObject({
    toothCount,
    tipDiameterMm: positive,
    rootDiameterMm: positive.optional(),
    spans: z
      .array(z.strictObject({ teeth: z.number().int().gte(1).lte(10_000), mm: positive }))
      .min(1)
      .optional(),
    resolutionMm: positive.default(0.01),
    measuredBy: z.enum(["diameter", "caliper"]).default("diameter"),
    tipToleranceMm: notNegative.default(0.1),
  }),
  output: z.strictObject({
    pitchDiameterMm: z.number(),
    moduleEstimateMm: z.number(),
    candidates: z.array(pitchName.extend({ moduleMm: z.number(), deviationPercent: z.number() })),
    basePitchMm: z.number().optional(),
    pressureAngleDeg: z.number().optional(),
    confusable: z.array(z.tuple([pitchName, pitchName])),
  }),
  run: identifyGear,
});
