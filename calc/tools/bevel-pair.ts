import { z } from "zod";
import { bevelPair } from "../../core/bevels";
import { accept } from "../../core/quantity";
import { both, helixAngle, positive, pressureAngle, toothCount } from "../fields";
import { tool } from "../tool";

export const bevelShape = {
  teeth: both(toothCount),
  moduleMm: positive,
  shaftAngleDeg: z.number().gt(0).lt(180).default(90),
  pressureAngleDeg: pressureAngle,
  spiralAngleDeg: helixAngle,
};

const two = both(z.number());

export const bevelPairTool = tool({
  name: "bevel-pair",
  purpose: "pitch cones of a bevel pair, and the backlash a millimetre of either member's own axis gives",
  input: z.strictObject(bevelShape),
  output: z.strictObject({
    pitchAngleDeg: two,
    pitchDiameterMm: two,
    coneDistanceMm: z.number(),
    backlashPerAxialMm: two,
  }),
  run: (input) => accept(bevelPair(input)),
});
