import * as z from "zod";
import { chainCondition } from "../../core/chains";
import { both, notNegative, positive, toothCount } from "../fields";
import { tool } from "../tool";

export const chainConditionTool = tool({
  name: "chain-condition",
  purpose: "elongation, wear verdict, sag and the move of the centres that brings it to its target",
  input: z.strictObject({
    pitchMm: positive,
    teeth: both(toothCount),
    centreDistanceMm: positive,
    measured: z.strictObject({ pitches: z.number().int().gte(1).lte(1_000_000), mm: positive }).optional(),
    sagMm: notNegative.optional(),
    targetSagMm: notNegative.optional(),
    wearLimitPercent: positive.optional(),
  }),
  output: z.strictObject({
    elongationPercent: z.number().optional(),
    wearLimitPercent: z.number(),
    wearVerdict: z.enum(["within", "beyond"]).optional(),
    spanMm: z.number(),
    sagPercent: z.number().optional(),
    sagPerCentreMm: z.number().optional(),
    moveCentreMm: z.number().optional(),
  }),
  run: ({ pitchMm, teeth, centreDistanceMm, ...look }) => chainCondition({ pitchMm, teeth }, centreDistanceMm, look),
});
