import { accept } from "../../../quantity";
import { oneTurn } from "../../frame";
import { linear } from "../../measured";
import { recommendEndFloat, recommendRunout } from "../../rule";
import type { Kind } from "../kind";

/** A gap that shims or spacers set: end float, a starter pinion's clearance, a running clearance. It drives nothing. */
export const gap: Kind<"gap"> = {
  felt: null,
  law: () => "geometry",
  frame: ({ places }) => oneTurn({ word: "place", places, wave: false, usual: places }),
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
  teeth: () => null,
  spanMm: () => null,
  slackByHand: () => null,
  wearLimit: () => null,
  check: () => accept([]),
  recommend: ({ what }, asked) => {
    switch (what) {
      case "pinion-clearance":
        return { lo: 1.6, hi: 3.2, rule: "starter-pinion", facts: {} };
      case "running-clearance":
        return null;
      case "end-float":
        return recommendEndFloat(asked);
    }
  },
  recommendSide: (_, quantity, asked) =>
    quantity === "end-float" ? recommendEndFloat(asked) : quantity === "runout" ? recommendRunout : null,
  mirrored: (element) => element,
};
