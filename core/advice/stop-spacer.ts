import { bandFit, judge, type Verdict, worstVerdict } from "../limits";
import { alike, atLeast, atMost } from "../numerics";

/** One end of a travel with its hard stop. */
export type StopEnd = {
  id: string;
  /** Backlash held against this stop at working force. */
  readingsMm: readonly number[];
  /** Change of backlash per mm of spacer, signed. */
  perMm: number;
  /** Fitted now. */
  spacerMm: number;
};

export type StopSpacerQuestion = {
  ends: readonly StopEnd[];
  limits: { lo: number; aim?: number | undefined; hi: number };
  expandedUncertaintyMm: number;
  /** On hand, each as often as wanted. */
  spacersMm?: readonly number[] | undefined;
};

export type ChosenSpacer = { thicknessMm: number; minMm: number; maxMm: number; verdict: Verdict };

export type StopEndAnswer = {
  id: string;
  verdict: Verdict;
  /** Positive: thicker. */
  changeMm: number;
  /** As computed, though it be below 0. */
  spacerMm: number;
  /** One piece in place of the fitted one; null where the end conforms now. Only where spacers are on hand. */
  choose?: ChosenSpacer | null;
  feasible: boolean;
};

export type StopSpacer = { feasible: boolean; ends: StopEndAnswer[] };

/**
 * Which spacer belongs under each hard stop. Each end has its own readings and its own spacer; the change of backlash that is wanted is that of
 * the advice (centre of the band; where no setting holds all, the tight side is kept, for a mesh that jams is worse than a loose one).
 *
 * @param question ends with one reading or more, perMm not 0, lo ≤ hi
 * @example 0.02 and 0.05 read, limits 0.05 to 0.15, U 0.01, 0.73 a mm, spacer 1.2 // thicker by 0.0890411
 */
export function stopSpacer(question: StopSpacerQuestion): StopSpacer {
  const ends = question.ends.map((end) => endAnswer(end, question));
  return { feasible: ends.every(({ feasible }) => feasible), ends };
}

function endAnswer(end: StopEnd, { limits, expandedUncertaintyMm: u, spacersMm }: StopSpacerQuestion): StopEndAnswer {
  const [min, max] = [Math.min(...end.readingsMm), Math.max(...end.readingsMm)];
  const judged = (lo: number, hi: number) => worstVerdict([lo, hi].map((value) => judge(value, limits, u).verdict));
  const verdict = judged(min, max);
  const changeMm = verdict === "conforms" ? 0 : wantedChange(min, max, limits, u) / end.perMm;
  const spacerMm = end.spacerMm + changeMm;
  const held = atMost(max - min, limits.hi - limits.lo) && atLeast(spacerMm, 0);
  if (!spacersMm) return { id: end.id, verdict, changeMm, spacerMm, feasible: held };
  if (verdict === "conforms") return { id: end.id, verdict, changeMm, spacerMm, choose: null, feasible: held };
  const choose = best(
    spacersMm.map((thicknessMm) => {
      const shift = end.perMm * (thicknessMm - end.spacerMm);
      return { thicknessMm, minMm: min + shift, maxMm: max + shift, verdict: judged(min + shift, max + shift) };
    }),
    limits.lo,
    spacerMm,
  );
  const inside = choose !== null && atLeast(choose.minMm, limits.lo) && atMost(choose.maxMm, limits.hi);
  return { id: end.id, verdict, changeMm, spacerMm, choose, feasible: held && inside };
}

/** Steps 3 and 4 of the advice, for the centre of the band. */
function wantedChange(min: number, max: number, { lo, aim, hi }: StopSpacerQuestion["limits"], u: number): number {
  const middle = (min + max) / 2;
  switch (bandFit({ min, max }, { lo, hi }, u, "linear")) {
    case "provable":
      return Math.min(hi - u - max, Math.max(lo + u - min, (aim ?? (lo + hi) / 2) - middle));
    case "fits":
      return (lo + hi) / 2 - middle;
    case "too-wide":
      return lo + u - min;
  }
}

const severity: readonly Verdict[] = ["conforms", "undecided", "does-not-conform"];

/** Best verdict, then not below the lower limit, then nearest to the spacer that is wanted, then more backlash. */
function best(choices: readonly ChosenSpacer[], lo: number, wantedMm: number): ChosenSpacer | null {
  const off = ({ thicknessMm }: ChosenSpacer) => Math.abs(thicknessMm - wantedMm);
  const kept = ({ minMm }: ChosenSpacer) => (atLeast(minMm, lo) ? 0 : 1);
  const order = (a: ChosenSpacer, b: ChosenSpacer) =>
    severity.indexOf(a.verdict) - severity.indexOf(b.verdict) ||
    kept(a) - kept(b) ||
    (alike(off(a), off(b)) ? b.minMm - a.minMm : off(a) - off(b));
  return choices.reduce<ChosenSpacer | null>((now, next) => (now === null || order(next, now) < 0 ? next : now), null);
}
