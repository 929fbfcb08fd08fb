import * as z from "zod";
import { bevelPair } from "../../core/bevels";
import { bevelShape } from "../../core/bevels/schema";
import { accept } from "../../core/quantity";
import { both } from "../fields";
import { tool } from "../tool";

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
