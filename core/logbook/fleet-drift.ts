import { normalQuantile } from "../statistics";

/** How fast one of several like stages drifts: a slope and the interval in which it surely lies. */
export type OwnDrift = { slope: number; slopeInterval: readonly [number, number]; coverage: number };

export type FleetDrift = {
  /** Of the mean of all such stages. */
  slope: number;
  sd: number;
  /** How much one stage differs from another beyond what its rounds leave open, 1 sd. */
  between: number;
  /** Where the next one of them lies, 95 %. */
  nextInterval: [number, number];
  stages: number;
};

/**
 * The drift of like stages taken together: weighted by how well each is known, with the spread between them estimated from what the weights
 * do not explain (DerSimonian and Laird, Controlled Clinical Trials 7 (1986) 177). A stage that was read too rarely for a trend of its own
 * is expected to do as the others do.
 *
 * @param own one slope of each stage, all in one unit
 * @returns null for fewer than two that are known with an interval
 */
export function fleetDrift(own: readonly OwnDrift[]): FleetDrift | null {
  const known = own.flatMap(({ slope, slopeInterval: [lo, hi], coverage }) => {
    const sd = coverage > 0 && coverage < 1 ? (hi - lo) / 2 / normalQuantile((1 + coverage) / 2) : 0;
    return sd > 0 ? [{ slope, variance: sd * sd }] : [];
  });
  if (known.length < 2) return null;
  const weigh = (between: number) => {
    const weights = known.map(({ variance }) => 1 / (variance + between));
    const sum = weights.reduce((a, b) => a + b, 0);
    const mean = known.reduce((total, { slope }, i) => total + (weights[i] ?? 0) * slope, 0) / sum;
    return { weights, sum, mean };
  };
  const fixed = weigh(0);
  const q = known.reduce((total, { slope }, i) => total + (fixed.weights[i] ?? 0) * (slope - fixed.mean) ** 2, 0);
  const squares = fixed.weights.reduce((total, weight) => total + weight * weight, 0);
  const between = Math.max(0, (q - (known.length - 1)) / (fixed.sum - squares / fixed.sum));
  const { sum, mean } = weigh(between);
  const reach = normalQuantile(0.975) * Math.sqrt(between + 1 / sum);
  return {
    slope: mean,
    sd: Math.sqrt(1 / sum),
    between: Math.sqrt(between),
    nextInterval: [mean - reach, mean + reach],
    stages: known.length,
  };
}

/** When a value that drifts so gets to a limit, in the slope's unit of time from now; null: not, as far as is known. */
export function reachesIn(
  value: number,
  limit: number,
  { slope, nextInterval: [lo, hi] }: Pick<FleetDrift, "slope" | "nextInterval">,
): { at: number; earliest: number; latest: number | null } | null {
  const room = limit - value;
  const until = (rate: number): number | null => (room * rate > 0 ? room / rate : room === 0 ? 0 : null);
  const at = until(slope);
  if (at === null) return null;
  const ends = [until(lo), until(hi)];
  const known = ends.filter((end) => end !== null);
  return { at, earliest: Math.min(at, ...known), latest: ends.includes(null) ? null : Math.max(at, ...known) };
}
