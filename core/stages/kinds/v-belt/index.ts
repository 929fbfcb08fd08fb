import { type Frame, marks, oneTurn } from "../../frame";
import { oneRatio } from "../../ratio";
import { type AskedFor, type Recommended, rounded } from "../../rule";
import {
  beltLaw,
  beltRecurrences,
  beltSensitivity,
  beltSides,
  beltTensionWays,
  beltWay,
  checkBelt,
  limitTensionWays,
  littleWrap,
  recommendBesideBelt,
  wrapOf,
} from "../../runs/belt";
import { mirroredIdlers } from "../../runs/mirrored";
import { stagePath } from "../../runs/path";
import { spanMm } from "../../runs/span";
import type { Kind } from "../kind";
import type { VBeltElement } from "./schema";

/** One V-belt, or a set of them side by side. */
export const vBelt: Kind<"v-belt"> = {
  felt: null,
  law: beltLaw,
  frame,
  judgedBy: () => "tension",
  waysToMeasure: () => beltTensionWays,
  limitWays: () => limitTensionWays,
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
  teeth: () => null,
  spanMm,
  slackByHand: () => null,
  wearLimit: () => null,
  check: (element) => checkBelt(element, element.lengthMm, "lengthMm", littleWrap),
  recommend,
  recommendSide: (element, quantity, asked) =>
    recommendBesideBelt(element, quantity, asked, { deg: 0.5, rule: "angle-v" }),
  mirrored: (element) => ({ ...element, idlers: mirroredIdlers(element.idlers) }),
};

/** Of a set every belt is read, at two places. */
function frame({ belts }: VBeltElement): Frame {
  return belts === 1
    ? oneTurn({ word: "place", places: marks, wave: true, usual: 4 })
    : { word: "place", places: 2, belts, teeth: null, wave: false, usual: 2 };
}

/** T₀ = 500·(2.5/K_θ − 1)·P/(z·v) + m·v² for each belt; new belts up to 1.5 times that. */
function recommend(element: VBeltElement, { powerKw, speedMPerS }: AskedFor): Recommended | null {
  if (!powerKw || !speedMPerS) return null;
  const path = stagePath(element);
  if (!path.ok) return null;
  const wrap = wrapOf(element, path.value);
  const factor = wrapFactor(wrap);
  const centrifugal = element.massKgPerM * speedMPerS ** 2;
  const lo = (500 * (2.5 / factor - 1) * powerKw) / (element.belts * speedMPerS) + centrifugal;
  const facts = { wrap, factor, powerKw, speedMPerS, belts: element.belts };
  return { lo: rounded(lo, 1), hi: rounded(1.5 * lo, 1), rule: "v-belt-pull", facts };
}

/** K_θ between its recalled values: 1 at 180°, 0.93 at 150°, 0.82 at 120°. */
function wrapFactor(wrapDeg: number): number {
  if (wrapDeg >= 180) return 1;
  if (wrapDeg >= 150) return 0.93 + (0.07 * (wrapDeg - 150)) / 30;
  return Math.max(0.5, 0.82 + (0.11 * (wrapDeg - 120)) / 30);
}
