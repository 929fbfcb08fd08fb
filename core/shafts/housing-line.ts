import { judge, type Verdict, worstVerdict } from "../limits";
import { accept, type Result, refuse } from "../quantity";

export type Housing = {
  /** Along the bar or wire. */
  xMm: number;
  /** From the bar or wire down to the housing; a greater gap lies lower. */
  gapMm: number;
  /** What turning by hand said when its bolts alone were eased; left out: not tried. */
  eased?: "frees" | "no change" | undefined;
};

export type HousingLine = {
  /** The line lies so far under the bar at the first housing and at the last. */
  lineGapMm: [number, number];
  /** Shim under each that lifts all into one line: none has to go down, and together they need least. */
  raiseMm: number[];
  /** The greatest of them. */
  offMm: number;
  /** Which housings bind: eased, they free it. */
  binds: number[];
  verdict?: Verdict;
};

/**
 * Bearing housings in line, by a straight bar or a taut wire past them. As shims only lift, the line goes over the high ones: of all lines
 * over all housings that with the least sum of shims, which touches two of them.
 *
 * @param expandedUncertaintyMm of a gap, k = 2; a raise is known to it times √(1 + (1 − t)² + t²), t its place between the two that the line touches
 * @returns refused with `positions-undetermined` at housings where two lie at one place
 * @source geometry (upper hull); housings in line by bar or wire, bolts eased one by one: common practice. Decided by ISO 14253-1
 */
export function housingLine(
  housings: readonly Housing[],
  expandedUncertaintyMm: number,
  limitMm?: number | undefined,
): Result<HousingLine> {
  const xs = housings.map(({ xMm }) => xMm);
  if (new Set(xs).size < xs.length) return refuse("positions-undetermined", ["housings"]);
  const mean = xs.reduce((sum, x) => sum + x, 0) / xs.length;
  let best: { a: Housing; b: Housing; at: number } | null = null;
  for (const a of housings)
    for (const b of housings) {
      if (a.xMm >= b.xMm) continue;
      const line = through(a, b);
      // None may stand above the line: its gap is no less than the line's.
      if (housings.some(({ xMm, gapMm }) => gapMm < line(xMm) - 1e-9)) continue;
      // The sum of shims goes with the line's height at the middle of all places.
      if (!best || line(mean) > best.at + 1e-12) best = { a, b, at: line(mean) };
    }
  if (!best) return refuse("positions-undetermined", ["housings"]);
  const { a, b } = best;
  const line = through(a, b);
  const raiseMm = housings.map(({ xMm, gapMm }) => Math.max(0, Number((gapMm - line(xMm)).toFixed(9))));
  const verdicts = housings.map(({ xMm }, i): Verdict => {
    const t = (xMm - a.xMm) / (b.xMm - a.xMm);
    const touches = t === 0 || t === 1;
    const u = touches ? 0 : expandedUncertaintyMm * Math.sqrt(1 + (1 - t) ** 2 + t ** 2);
    return judge(raiseMm[i] as number, { hi: limitMm as number }, u).verdict;
  });
  return accept({
    lineGapMm: [line(Math.min(...xs)), line(Math.max(...xs))],
    raiseMm,
    offMm: Math.max(...raiseMm),
    binds: housings.flatMap(({ eased }, i) => (eased === "frees" ? [i] : [])),
    ...(limitMm === undefined ? {} : { verdict: worstVerdict(verdicts) }),
  });
}

const through = (a: Housing, b: Housing) => (xMm: number) =>
  a.gapMm + ((b.gapMm - a.gapMm) * (xMm - a.xMm)) / (b.xMm - a.xMm);
