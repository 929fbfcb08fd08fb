import { oneTurn } from "../../frame";
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

/** A toothed belt over two pulleys and any idlers. */
export const toothedBelt: Kind<"toothed-belt"> = {
  felt: "strand",
  law: beltLaw,
  frame: ({ teeth }) => oneTurn({ word: "turn", places: teeth[1], wave: true, usual: 4 }),
  judgedBy: () => "tension",
  waysToMeasure: beltTensionWays,
  limitWays: limitTensionWays,
  sides: () => beltSides,
  toJudged: beltWay,
  sensitivity: (element, { aim }) => beltSensitivity(element, aim),
  ratios: ({ teeth: [a, b] }) => oneRatio(b / a),
  efficiency: () => 0.97,
  lostMotionArcmin: null,
  recurrences: (element) => beltRecurrences(element, [{ part: "tooth", timesPerTurn: element.teeth[0] }]),
  thrusts: () => [],
  tangentialForceN: () => null,
  rockedWheel: null,
  printed: null,
  teeth: () => null,
  spanMm,
  slackByHand: () => null,
  wearLimit: () => null,
};
