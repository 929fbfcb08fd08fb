import * as z from "zod";
import { gearSpan } from "../../core/gears";
import { finite, moduleOf, notNegative, onePitch, pitchShape, positive, rackShape, toothCount } from "../fields";
import { tool } from "../tool";

export const gearSpanTool = tool({
  name: "gear-span",
  purpose: "span over teeth and measure over pins of one external gear",
  input: z
    .strictObject({
      toothCount,
      ...pitchShape,
      ...rackShape,
      profileShift: finite.default(0),
      thinningMm: notNegative.default(0),
      spanTeeth: z.number().int().gte(1).lte(10_000).optional(),
      pinDiameterMm: positive.optional(),
    })
    .superRefine(onePitch),
  output: z.strictObject({
    spanTeeth: z.number(),
    spanMm: z.number(),
    overPins: z.strictObject({ pinDiameterMm: z.number(), mm: z.number() }),
  }),
  run: (input) =>
    gearSpan(
      { ...input, teeth: input.toothCount, moduleMm: moduleOf(input), ring: false },
      input.spanTeeth,
      input.pinDiameterMm,
    ),
});
