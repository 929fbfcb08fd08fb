import { judge, type Verdict, worstVerdict } from "./verdict";

/** Ropes, belts and chains in sets: within so much of their mean tension (common practice; matched V-belts ± 5 % of frequency, which is the same). */
export const strandsLimitPercent = 10;

/** Whether strands share their load: the worst of what each differs from their mean by, within ± the limit. */
export const strandsVerdict = (
  strands: readonly { deviationPercent: number }[],
  limitPercent: number,
  expandedUncertaintyPercent: number,
): Verdict =>
  worstVerdict(
    strands.map(
      ({ deviationPercent }) =>
        judge(deviationPercent, { lo: -limitPercent, hi: limitPercent }, expandedUncertaintyPercent).verdict,
    ),
  );
