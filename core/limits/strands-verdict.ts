import { judge, type Verdict, worstVerdict } from "./verdict";

/** Ropes, belts and chains in sets: within so much of their mean tension (common practice; matched V-belts ± 5 % of frequency, which is the same). */
export const strandsLimitPercent = 10;

/** Whether one strand carries its share: what it differs from the mean by, within ± the limit. */
export const strandVerdict = (
  deviationPercent: number,
  limitPercent: number,
  expandedUncertaintyPercent: number,
): Verdict => judge(deviationPercent, { lo: -limitPercent, hi: limitPercent }, expandedUncertaintyPercent).verdict;

/** Whether strands share their load: the worst of theirs. */
export const strandsVerdict = (
  strands: readonly { deviationPercent: number }[],
  limitPercent: number,
  expandedUncertaintyPercent: number,
): Verdict =>
  worstVerdict(
    strands.map(({ deviationPercent }) => strandVerdict(deviationPercent, limitPercent, expandedUncertaintyPercent)),
  );
