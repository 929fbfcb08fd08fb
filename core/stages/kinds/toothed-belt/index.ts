import { oneTurn } from "../../frame";
import { oneRatio } from "../../ratio";
import { rounded } from "../../rule";
import {
  beltLaw,
  beltRecurrences,
  beltSensitivity,
  beltSides,
  beltTensionWays,
  beltWay,
  checkBelt,
  limitTensionWays,
  recommendBesideBelt,
} from "../../runs/belt";
import { mirroredIdlers } from "../../runs/mirrored";
import { spanMm } from "../../runs/span";
import type { Kind } from "../kind";

/** Toothed belts carry their full load with so many teeth in mesh (common practice). */
const leastTeethInMesh = 6;

/** A toothed belt over two pulleys and any idlers. */
export const toothedBelt: Kind<"toothed-belt"> = {
  felt: null,
  law: beltLaw,
  frame: ({ teeth }) => oneTurn({ word: "tooth", places: teeth[1], wave: true, usual: 4 }),
  judgedBy: () => "tension",
  waysToMeasure: () => beltTensionWays,
  limitWays: () => limitTensionWays,
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
  teeth: () => null,
  spanMm,
  slackByHand: () => null,
  wearLimit: () => null,
  check: (element) =>
    checkBelt(element, element.beltTeeth * element.pitchMm, "beltTeeth", (wrapDeg) => {
      const teeth = Math.floor((Math.min(...element.teeth) * wrapDeg) / 360 + 1e-9);
      return teeth < leastTeethInMesh ? [{ code: "few-teeth-in-mesh", teeth }] : [];
    }),
  // T₀ from half of the effective pull up to all of it, F_u = 2000·M/d.
  recommend: ({ pitchMm, teeth }, { torqueNm }) => {
    if (!torqueNm) return null;
    const d = (pitchMm * teeth[0]) / Math.PI;
    const pull = (2000 * torqueNm) / d;
    return { lo: rounded(pull / 2, 1), hi: rounded(pull, 1), rule: "toothed-belt-pull", facts: { torqueNm, d, pull } };
  },
  recommendSide: (element, quantity, asked) =>
    recommendBesideBelt(element, quantity, asked, { deg: 0.25, rule: "angle-toothed" }),
  mirrored: (element) => ({ ...element, idlers: mirroredIdlers(element.idlers) }),
};
