import { type Frame, marks, oneTurn } from "../../frame";
import { oneRatio } from "../../ratio";
import {
  beltLaw,
  beltRecurrences,
  beltSensitivity,
  beltSides,
  beltTensionWays,
  beltWay,
  limitTensionWays,
} from "../../runs/belt";
import { spanMm } from "../../runs/span";
import type { Kind } from "../kind";
import type { VBeltElement } from "./schema";

/** One V-belt, or a set of them side by side. */
export const vBelt: Kind<"v-belt"> = {
  felt: "strand",
  law: beltLaw,
  frame,
  judgedBy: () => "tension",
  waysToMeasure: beltTensionWays,
  limitWays: limitTensionWays,
  sides: () => beltSides,
  toJudged: beltWay,
  sensitivity: (element, { aim }) => beltSensitivity(element, aim),
  ratios: ({ pitchDiameterMm: [a, b] }) => oneRatio(b / a),
  efficiency: () => 0.95,
  lostMotionArcmin: null,
  recurrences: (element) => beltRecurrences(element, []),
  thrusts: () => [],
  tangentialForceN: () => null,
  rockedWheel: null,
  printed: null,
  teeth: () => null,
  spanMm,
  slackByHand: () => null,
  wearLimit: () => null,
};

/** Of a set every belt is read, at two places. */
function frame({ belts }: VBeltElement): Frame {
  return belts === 1
    ? oneTurn({ word: "turn", places: marks, wave: true, usual: 4 })
    : { word: "turn", places: 2, belts, teeth: null, wave: false, usual: 2 };
}
