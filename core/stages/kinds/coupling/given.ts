import { alignLimitsAt, fitCoupling } from "../../../couplings";
import { degrees } from "../../../numerics";
import { accept, type Result } from "../../../quantity";
import { type Recommended, recommendRunout } from "../../rule";
import type { Unwise } from "../../unwise";
import type { KindGiven } from "../kind-given";
import type { CouplingElement } from "./schema";

/** Clearances that are good where nobody gave others (common practice): a push fit of the bore, and a key that does not hammer. */
const usualClearance = { lo: 0, hi: 0.05 };

export const couplingGiven: KindGiven<"coupling"> = {
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
