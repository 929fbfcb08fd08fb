import { gearPair, type PairGeometry } from "../gears";
import { degrees, radians } from "../numerics";
import { accept, type Result, roundTo } from "../quantity";

export type RecommendedBy = "iso-tr-10064-2" | "iso-tr-10064-2-guess" | "fine-pitch-metal" | "fine-pitch-plastic";

export type RecommendedLimits = {
  loMm: number;
  hiMm: number;
  by: RecommendedBy;
  /** j_bn,min before it became circumferential; null for the fine-pitch rules, which are circumferential already. */
  normalMm: number | null;
  /** The upper limit that the runouts alone ask for; null where they are not known. */
  forRunoutMm: number | null;
};

/** Upper limit as a multiple of the lower where nothing else tells: 2 to 2.5 (common practice). */
const upperByLower = 2.25;

/**
 * Limits of circumferential backlash where no maker's value is at hand. Module 1.5 to 18: j_bn,min = ⅔·(0.06 + 0.0005·a +
 * 0.03·m_n) (ISO/TR 10064-2, iron housings, below 15 m/s), made circumferential by j_t = j_bn/(cos α_wt·cos β_b); outside of
 * that range the same formula as a guess. Module 0.2 to 1: 0.06·m, not below 0.02 mm, for metal, 0.05·m + 0.02 mm for
 * moulded or printed gears (common practice). The upper limit is 2.25 times the lower, and at least lower + 2·tan α_wt·(F_r1 +
 * F_r2), so that gears with that runout can hold it. Both rounded up to 0.01 mm: the least is never below its rule.
 *
 * @param plastic either gear moulded or printed
 * @param runoutMm F_r of both gears, where known
 * @returns the limits, or the refusal of the pair
 */
export function recommendBacklash(
  pair: PairGeometry,
  plastic: boolean,
  runoutMm?: readonly [number, number],
): Result<RecommendedLimits> {
  const mesh = gearPair(pair);
  if (!mesh.ok) return mesh;
  const { workingPressureAngleDeg, centreDistanceMm } = mesh.value;
  const m = pair.moduleMm;
  const fine = m >= 0.2 && m <= 1;
  const baseHelix = Math.asin(Math.sin(radians(pair.helixAngleDeg)) * Math.cos(radians(pair.pressureAngleDeg)));
  const normalMm = fine ? null : (2 / 3) * (0.06 + 0.0005 * centreDistanceMm + 0.03 * m);
  const lo =
    normalMm === null
      ? plastic
        ? 0.05 * m + 0.02
        : Math.max(0.02, 0.06 * m)
      : normalMm / (Math.cos(radians(workingPressureAngleDeg)) * Math.cos(baseHelix));
  const by: RecommendedBy = fine
    ? plastic
      ? "fine-pitch-plastic"
      : "fine-pitch-metal"
    : m >= 1.5 && m <= 18
      ? "iso-tr-10064-2"
      : "iso-tr-10064-2-guess";
  const forRunoutMm = runoutMm
    ? lo + 2 * Math.tan(radians(workingPressureAngleDeg)) * (runoutMm[0] + runoutMm[1])
    : null;
  return accept({
    // The least that the rule asks for is never rounded below it.
    loMm: roundTo(Math.ceil(lo * 100 - 1e-9) / 100, 0.01),
    hiMm: roundTo(Math.ceil(Math.max(upperByLower * lo, forRunoutMm ?? 0) * 100 - 1e-9) / 100, 0.01),
    by,
    normalMm,
    forRunoutMm,
  });
}

/** α_wt and β_b of a pair in degrees, as the formula shows them. */
export const anglesShown = (pair: PairGeometry): { workingDeg: number; baseHelixDeg: number } | null => {
  const mesh = gearPair(pair);
  if (!mesh.ok) return null;
  return {
    workingDeg: mesh.value.workingPressureAngleDeg,
    baseHelixDeg: degrees(Math.asin(Math.sin(radians(pair.helixAngleDeg)) * Math.cos(radians(pair.pressureAngleDeg)))),
  };
};
