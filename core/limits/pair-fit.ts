import { classWindow, fitOf } from "./fit";
import { judge, type Verdict } from "./verdict";

/** How a measured pair goes together, from loose to tight. */
export const pairSays = ["loose", "slides", "light-press", "too-far"] as const;
export type PairSays = (typeof pairSays)[number];

export type PairFit = {
  /** Below 0 it is interference. */
  clearanceMm: number;
  expandedUncertaintyMm: number;
  says: PairSays;
  /** Whether the uncertainty leaves it in doubt. */
  verdict: Verdict;
  /** Clearances between which it slides, and the greatest interference of a light press. */
  slidesMm: [number, number];
  lightPressMm: number;
};

/**
 * A hole and a shaft as measured. It slides up to the most that H7 with g6 leaves, is a light press up to the most that H7 with p6
 * squeezes; more than that splits a plastic hub and closes a bearing.
 *
 * @param nominalMm in (0, 500]: that of the shaft
 * @source ISO 286-2 (g6, h6, p6 in H7); bearings want a light press, common practice
 */
export function pairFit(
  { holeMm, shaftMm }: { holeMm: number; shaftMm: number },
  expandedUncertaintyMm: number,
): PairFit {
  const hole = classWindow("H7", shaftMm);
  const most = fitOf(hole, classWindow("g6", shaftMm)).clearanceMm[1];
  const lightPressMm = -fitOf(hole, classWindow("p6", shaftMm)).clearanceMm[0];
  const clearanceMm = Number((holeMm - shaftMm).toFixed(9)) + 0;
  const u = Math.SQRT2 * expandedUncertaintyMm;
  const says: PairSays =
    clearanceMm > most
      ? "loose"
      : clearanceMm >= 0
        ? "slides"
        : clearanceMm >= -lightPressMm
          ? "light-press"
          : "too-far";
  const windows = {
    loose: { lo: most },
    slides: { lo: 0, hi: most },
    "light-press": { lo: -lightPressMm, hi: 0 },
    "too-far": { hi: -lightPressMm },
  };
  return {
    clearanceMm,
    expandedUncertaintyMm: u,
    says,
    verdict: judge(clearanceMm, windows[says], u).verdict,
    slidesMm: [0, most],
    lightPressMm,
  };
}
