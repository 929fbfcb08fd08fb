import * as z from "zod";
import { accept } from "../../core/quantity";
import { wormPair } from "../../core/worms";
import { wormShape } from "../../core/worms/schema";
import { notNegative } from "../fields";
import { tool } from "../tool";

export const wormPairTool = tool({
  name: "worm-pair",
  purpose: "angles, centre distance and lost motion of a worm and wheel, mesh and end float apart",
  input: z.strictObject({
    ...wormShape,
    wheelBacklashMm: notNegative.optional(),
    wormEndFloatMm: notNegative.optional(),
  }),
  output: z.strictObject({
    ratio: z.number(),
    leadAngleDeg: z.number(),
    axialPressureAngleDeg: z.number(),
    nominalCentreDistanceMm: z.number(),
    backlashPerCentreMm: z.number(),
    lostMotion: z.strictObject({ meshArcmin: z.number(), endFloatArcmin: z.number(), totalArcmin: z.number() }),
  }),
  run: (input) => accept(wormPair(input, input)),
});
