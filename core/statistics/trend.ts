import { median, medianOfSorted } from "./median";
import { slopeCoverage } from "./slope-coverage";

export type TrendPoint = { t: number; y: number };
export type Trend = {
  slope: number;
  slopeInterval: [number, number];
  /** How surely the slope lies in that interval, exactly; 0.95 and more from five points on. */
  coverage: number;
  /** The line at the last t. */
  level: number;
  /** null: never reached; left out where no limit was given. */
  crossing?: { t: number; earliest: number; latest: number | null } | null;
};

/**
 * A robust line through points that start anew at each reset (after a retension, a new part): Theil–Sen, the median of the
 * slopes of all pairs within a segment. Least squares would follow one bad reading; this stands up to 29 % of them. The
 * interval of the slope comes from the order of the pair slopes (Sen, JASA 63 (1968) 1379; variance after Kendall, summed
 * over the segments).
 *
 * @param points three or more, in any order
 * @param resets a point at a reset's t belongs to the segment that begins there
 * @param limit the crossing is where the line of the last segment reaches it, ahead of the last t
 * @returns null where no segment holds two points at different t
 */
export function robustTrend(points: readonly TrendPoint[], resets: readonly number[], limit?: number): Trend | null {
  const sorted = [...points].sort((a, b) => a.t - b.t);
  const segments = segmentsOf(sorted, resets);
  const slopes = sortedSlopes(segments);
  if (slopes.length === 0) return null;
  const slope = medianOfSorted(slopes);
  const lastT = sorted[sorted.length - 1]?.t ?? 0;
  const lastSegment = segments[segments.length - 1] ?? [];
  const level = median(lastSegment.map((point) => point.y - slope * (point.t - lastT)));
  const { slopeInterval, coverage } = intervalOf(slopes, segments);
  const crossing = limit === undefined ? {} : { crossing: crossingOf(lastT, limit - level, slope, slopeInterval) };
  return { slope, slopeInterval, coverage, level, ...crossing };
}

function segmentsOf(sorted: readonly TrendPoint[], resets: readonly number[]): TrendPoint[][] {
  const cuts = [...resets].sort((a, b) => a - b);
  const segments = new Map<number, TrendPoint[]>();
  for (const point of sorted) {
    const segment = cuts.filter((cut) => cut <= point.t).length;
    segments.set(segment, [...(segments.get(segment) ?? []), point]);
  }
  return [...segments.values()];
}

/** Of all pairs within each segment, lowest first; plain numbers, for there are thousands. */
function sortedSlopes(segments: readonly TrendPoint[][]): Float64Array {
  const slopes: number[] = [];
  for (const segment of segments)
    for (const [i, a] of segment.entries())
      for (let j = i + 1; j < segment.length; j++) {
        const b = segment[j] as TrendPoint;
        if (b.t !== a.t) slopes.push((b.y - a.y) / (b.t - a.t));
      }
  return Float64Array.from(slopes).sort();
}

/**
 * An interval of 95 % where there are points enough: as many slopes from the bottom as from the top, (N − 1.96·√Var)/2 of them to the nearest, at least the
 * first; Var = Σ n(n − 1)(2n + 5)/18.
 */
function intervalOf(
  slopes: Float64Array,
  segments: readonly TrendPoint[][],
): Pick<Trend, "slopeInterval" | "coverage"> {
  const variance = segments.reduce((sum, { length: n }) => sum + (n * (n - 1) * (2 * n + 5)) / 18, 0);
  const reach = 1.96 * Math.sqrt(variance);
  const cut = Math.max(1, Math.round((slopes.length - reach) / 2));
  return {
    slopeInterval: [slopes[cut - 1] ?? 0, slopes[slopes.length - cut] ?? 0],
    coverage: slopeCoverage(
      segments.map(({ length }) => length),
      cut,
    ),
  };
}

function crossingOf(
  lastT: number,
  distance: number,
  slope: number,
  [low, high]: readonly [number, number],
): { t: number; earliest: number; latest: number | null } | null {
  if (slope === 0 || distance / slope < 0) return null;
  const [steep, flat] = slope > 0 ? [high, low] : [low, high];
  const reaches = flat !== 0 && Math.sign(flat) === Math.sign(slope);
  return {
    t: lastT + distance / slope,
    earliest: lastT + distance / steep,
    latest: reaches ? lastT + distance / flat : null,
  };
}
