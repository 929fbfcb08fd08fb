import { accept } from "../../../quantity";
import { oneTurn } from "../../frame";
import { linear } from "../../measured";
import type { Kind } from "../kind";

/** A gap that shims or spacers set: end float, a starter pinion's clearance, a running clearance. It drives nothing. */
export const gap: Kind<"gap"> = {
  felt: null,
  law: () => "geometry",
  frame: ({ places, names }) => oneTurn({ word: "place", places, wave: false, usual: places, names }),
  judgedBy: () => "gap",
  waysToMeasure: () => ["gap"],
  limitWays: () => ["gap"],
  sides: () => ["runout"],
  toJudged: () => accept(linear(1)),
  sensitivity: () => 1,
  ratios: () => [],
  efficiency: () => 1,
  lostMotionArcmin: () => 0,
  recurrences: () => [],
  thrusts: () => [],
  tangentialForceN: () => null,
  rockedWheel: null,
  // A pinion that is thrown into its ring is shimmed by its print where nothing goes between.
  printed: ({ what }) =>
    what === "pinion-clearance"
      ? { kinds: ["ring-pinion"], wholeDepthMm: null, faceWidthMm: null, pressureAngleDeg: 20, spiral: false }
      : null,
  teeth: () => null,
  spanMm: () => null,
  slackByHand: () => null,
  wearLimit: () => null,
};
