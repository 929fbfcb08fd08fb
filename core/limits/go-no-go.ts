import { above, alike, atLeast, atMost, below } from "../numerics";
import { accept, type Result, refuse } from "../quantity";
import type { Limits, Verdict } from "./verdict";

export type GoNoGoQuestion = {
  /** Largest that goes. */
  goesMm?: number | undefined;
  /** Smallest that does not. */
  stopsMm?: number | undefined;
  /** Of pins, drills or feelers, ±. */
  toleranceMm: number;
  limits?: Limits | undefined;
  /** On hand. */
  sizesMm?: readonly number[] | undefined;
};

export type GoNoGo = {
  lowMm: number;
  highMm: number | null;
  valueMm: number | null;
  expandedUncertaintyMm: number | null;
  verdict?: Verdict;
  /** Size to try next; null where none is left or the verdict stands. */
  nextMm?: number | null;
};

/**
 * A gap by what goes into it and what does not. It lies in an interval within which nothing is known (rectangular, JCGM 100:2008, 4.3.7); as
 * the interval cannot be left, the verdict takes it and not the uncertainty. The limits themselves are tried first, as limit gauges
 * do it (principle of Taylor); else the interval is halved.
 *
 * @returns the gap, or `one-of-missing` at goesMm, `goes-beyond-stop` at stopsMm
 * @example goNoGo({ goesMm: 0.1, stopsMm: 0.15, toleranceMm: 0 }) // 0.125 ± 0.0288675
 */
export function goNoGo(question: GoNoGoQuestion): Result<GoNoGo> {
  const { goesMm, stopsMm, toleranceMm, limits, sizesMm } = question;
  if (goesMm === undefined && stopsMm === undefined) return refuse("one-of-missing", ["goesMm"]);
  if (goesMm !== undefined && stopsMm !== undefined && stopsMm <= goesMm)
    return refuse("goes-beyond-stop", ["stopsMm"], { goesMm });
  const lowMm = goesMm === undefined ? 0 : Math.max(0, goesMm - toleranceMm);
  const highMm = stopsMm === undefined ? null : stopsMm + toleranceMm;
  const verdict = limits && verdictOf(lowMm, highMm ?? Number.POSITIVE_INFINITY, limits);
  return accept({
    lowMm,
    highMm,
    valueMm: highMm === null ? null : (lowMm + highMm) / 2,
    expandedUncertaintyMm: highMm === null ? null : (highMm - lowMm) / Math.sqrt(3),
    ...(verdict ? { verdict } : {}),
    ...(sizesMm
      ? { nextMm: verdict && verdict !== "undecided" ? null : nextOf(question, sizesMm, lowMm, highMm) }
      : {}),
  });
}

function verdictOf(
  low: number,
  high: number,
  { lo = Number.NEGATIVE_INFINITY, hi = Number.POSITIVE_INFINITY }: Limits,
): Verdict {
  if (atLeast(low, lo) && atMost(high, hi)) return "conforms";
  return atMost(high, lo) || above(low, hi) ? "does-not-conform" : "undecided";
}

function nextOf(
  { goesMm = 0, stopsMm, toleranceMm, limits }: GoNoGoQuestion,
  sizesMm: readonly number[],
  low: number,
  high: number | null,
): number | null {
  const between = sizesMm
    .filter((size) => above(size, goesMm) && below(size, stopsMm ?? Number.POSITIVE_INFINITY))
    .sort((a, b) => a - b);
  const { lo = Number.NEGATIVE_INFINITY, hi = Number.POSITIVE_INFINITY } = limits ?? {};
  const proves =
    limits && below(low, lo) ? between.find((size) => atLeast(size - toleranceMm, lo) && atMost(size, hi)) : undefined;
  if (proves !== undefined) return proves;
  const bounds =
    limits && above(high ?? Number.POSITIVE_INFINITY, hi)
      ? between.findLast((size) => atMost(size + toleranceMm, hi) && atLeast(size, lo))
      : undefined;
  if (bounds !== undefined) return bounds;
  if (stopsMm === undefined) return between[0] ?? null;
  const middle = (goesMm + stopsMm) / 2;
  const off = (size: number) => Math.abs(size - middle);
  return between.reduce<number | null>(
    (best, size) => (best === null || (off(size) < off(best) && !alike(off(size), off(best))) ? size : best),
    null,
  );
}
