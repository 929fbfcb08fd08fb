import { accept } from "../../../quantity";
import { oneTurn } from "../../frame";
import { linear } from "../../measured";
import { oneRatio } from "../../ratio";
import type { Kind } from "../kind";

/** Two shafts end to end, judged by the offset of their axes; its feet are moved as four readings round the turn say, not by one adjuster. */
export const coupling: Kind<"coupling"> = {
  felt: "shaft",
  law: () => "geometry",
  frame: () => oneTurn({ word: "place", places: 1, wave: false, usual: 1 }),
  judgedBy: () => "shaft-offset",
  waysToMeasure: () => ["rim-swing", "shaft-offset"],
  limitWays: () => ["shaft-offset"],
  sides: () => ["angle", "hub-gap", "runout"],
  // Turned together once, a dial on the other's rim swings by twice the offset; neither has a sign.
  toJudged: (_, { quantity }) => {
    const factor = quantity === "rim-swing" ? 0.5 : 1;
    return accept(linear(factor, { convert: (value) => factor * Math.abs(value) }));
  },
  sensitivity: () => null,
  ratios: () => oneRatio(1),
  efficiency: () => 1,
  lostMotionArcmin: null,
  recurrences: () => [
    { part: "driver-turn", timesPerTurn: 1 },
    { part: "driven-turn", timesPerTurn: 1 },
  ],
  thrusts: () => [],
  tangentialForceN: () => null,
  rockedWheel: null,
  printed: null,
  teeth: () => null,
  spanMm: () => null,
  slackByHand: () => null,
  wearLimit: () => null,
};
