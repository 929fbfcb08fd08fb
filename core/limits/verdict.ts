export const verdicts = ["conforms", "undecided", "does-not-conform"] as const;
export type Verdict = (typeof verdicts)[number];
export type Limits = { lo?: number | undefined; hi?: number | undefined };

/**
 * Decision rule with guard bands of the expanded uncertainty on both sides of each limit (ISO 14253-1, 1998/2013 editions).
 * Numbers are compared as given, without rounding.
 *
 * @param value measured value, and limits and U in the same unit
 * @returns the verdict and the margin to the nearest bare limit (negative outside); at least one limit must be there
 * @example judge(0.055, { lo: 0.05, hi: 0.15 }, 0.01) // undecided, margin 0.005
 */
export function judge(
  value: number,
  limits: Limits,
  expandedUncertainty: number,
): { verdict: Verdict; marginToNearest: number } {
  const { lo = Number.NEGATIVE_INFINITY, hi = Number.POSITIVE_INFINITY } = limits;
  const u = expandedUncertainty;
  const marginToNearest = Math.min(value - lo, hi - value);
  if (value >= lo + u && value <= hi - u) return { verdict: "conforms", marginToNearest };
  if (value < lo - u || value > hi + u) return { verdict: "does-not-conform", marginToNearest };
  return { verdict: "undecided", marginToNearest };
}

const severity: readonly Verdict[] = ["conforms", "undecided", "does-not-conform"];

/** The worst of several verdicts; conforms for none. */
export const worstVerdict = (verdicts: readonly Verdict[]): Verdict =>
  severity[Math.max(0, ...verdicts.map((verdict) => severity.indexOf(verdict)))] ?? "conforms";
