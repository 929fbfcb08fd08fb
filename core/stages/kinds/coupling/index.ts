import { alignLimitsAt, fitCoupling } from "../../../couplings";
import { degrees } from "../../../numerics";
import { accept, type Result } from "../../../quantity";
import { oneTurn } from "../../frame";
import { linear } from "../../measured";
import { oneRatio } from "../../ratio";
import { type Recommended, recommendRunout } from "../../rule";
import type { Unwise } from "../../unwise";
import type { Kind } from "../kind";
import type { CouplingElement } from "./schema";

/** Clearances that are good where nobody gave others (common practice): a push fit of the bore, and a key that does not hammer. */
const usualClearance = { lo: 0, hi: 0.05 };

/** Two shafts end to end, judged by the offset of their axes; its feet are moved as four readings round the turn say, not by one adjuster. */
export const coupling: Kind<"coupling"> = {
  felt: null,
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
  teeth: () => null,
  spanMm: () => null,
  slackByHand: () => null,
  wearLimit: () => null,
  check,
  recommend: ({ rpm, allow }) => {
    const limits = rpm === null ? null : alignLimitsAt(rpm);
    return limits && upTo(Math.min(limits.offsetMm, allow.radialMm ?? Number.POSITIVE_INFINITY), rpm, "align-speed");
  },
  recommendSide: ({ rpm, allow, gapMm }, quantity) => {
    if (quantity === "runout") return recommendRunout;
    if (quantity === "hub-gap")
      return allow.axialMm === undefined
        ? null
        : {
            lo: Math.max(0, gapMm - allow.axialMm),
            hi: gapMm + allow.axialMm,
            rule: "coupling-axial",
            facts: { gap: gapMm, axial: allow.axialMm },
          };
    const limits = rpm === null ? null : alignLimitsAt(rpm);
    if (quantity !== "angle" || !limits) return null;
    // Down to a hundredth of a degree: never more than the rule allows.
    const deg = Math.floor(100 * degrees(Math.atan(limits.angleMmPerM / 1000))) / 100;
    return upTo(Math.min(deg, allow.angularDeg ?? Number.POSITIVE_INFINITY), rpm, "align-speed");
  },
  mirrored: (element) => element,
};

const upTo = (hi: number, rpm: number | null, rule: "align-speed"): Recommended => ({
  lo: 0,
  hi,
  rule,
  facts: { rpm: rpm ?? 0 },
});

function check({ ends }: CouplingElement): Result<Unwise[]> {
  const fit = fitCoupling({ ends, clearanceMm: usualClearance, holdClearanceMm: usualClearance });
  if (!fit.ok) return fit;
  return accept(
    fit.value.faults.flatMap(({ end, code, by }) =>
      end === undefined ? [] : [{ code: "coupling-end" as const, end, fault: code, byMm: by }],
    ),
  );
}
