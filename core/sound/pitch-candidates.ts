import type { Peak } from "./spectrum";

/** Of partials counted, and of the frequencies looked at. */
const mostPartials = 10;
export const highestHz = 2900;

/** A partial that was found: which one, its peak, and what it is above the noise. */
export type HeardPartial = { n: number; peak: Peak; above: number };
export type Candidate = { hz: number; bend: number; partials: HeardPartial[]; score: number };

/** A peak that stands clear of the noise, and by how much. */
export type ClearPeak = { peak: Peak; above: number };

/** How much a peak counts: as many decibels as it stands above the noise, within bounds. */
const weightOf = (above: number): number => Math.min(40, 10 * Math.log10(above));

/**
 * Every clear peak, and what small whole numbers divide it into, as the pitch: the one whose partials explain most of what is clear, with
 * fewest of them missing, first.
 *
 * @param widthHz of a peak, from foot to foot
 */
export function candidatesOf(
  clear: readonly ClearPeak[],
  [lo, hi]: readonly [number, number],
  widthHz: number,
  expectedHz: number | undefined,
): Candidate[] {
  const own = clear.map(({ peak }) => peak.hz);
  // Below a peak one is tried only where there is none of its own: the lowest partial itself tells more than what it would be by a higher one.
  const below = clear
    .slice(0, 10)
    .flatMap(({ peak }) => [2, 3, 4, 5].map((n) => peak.hz / n))
    .filter((hz) => own.every((known) => Math.abs(known - hz) > widthHz / 2 + hz * 0.01));
  const tried = [...own, ...below]
    .filter((hz) => hz >= lo && hz <= hi)
    .sort((a, b) => a - b)
    .filter((hz, i, list) => i === 0 || hz > (list[i - 1] as number) * 1.004);
  return tried
    .map((hz) => candidateAt(hz, clear, widthHz, expectedHz))
    .filter(({ partials, hz }) => partials.length > 0 && hz >= lo && hz <= hi)
    .sort((a, b) => b.score - a.score);
}

function candidateAt(
  hz: number,
  clear: readonly ClearPeak[],
  widthHz: number,
  expectedHz: number | undefined,
): Candidate {
  let bend = 0;
  let at = hz;
  let partials = matched(at, bend, clear, widthHz);
  for (let round = 0; round < 2; round++) {
    ({ hz: at, bend } = refined(partials, at, widthHz));
    partials = matched(at, bend, clear, widthHz);
  }
  const total = clear.reduce((sum, { above }) => sum + weightOf(above), 0);
  const explained = partials.reduce((sum, { above }) => sum + weightOf(above), 0) / total;
  const highest = Math.max(1, ...partials.map(({ n }) => n));
  const has = (n: number) => partials.some((partial) => partial.n === n);
  let missing = 0;
  let wanted = 0;
  for (let n = 1; n <= highest; n++) {
    // Low ones are missed more.
    const counts = 1 / Math.sqrt(n);
    wanted += counts;
    if (!has(n)) missing += counts;
  }
  const nearby = expectedHz === undefined ? 0 : 0.1 * Math.exp(-((Math.log2(at / expectedHz) / 0.3) ** 2));
  return { hz: at, bend, partials, score: explained - 0.55 * (missing / wanted) - (has(1) ? 0 : 0.15) + nearby };
}

/** The clear peak nearest to each partial, where one lies near enough. */
function matched(hz: number, bend: number, clear: readonly ClearPeak[], widthHz: number): HeardPartial[] {
  const partials: HeardPartial[] = [];
  for (let n = 1; n <= mostPartials && n * hz < highestHz; n++) {
    const at = n * hz * Math.sqrt((1 + bend * n * n) / (1 + bend));
    // Stiffness only sharpens; a wide peak may lie half its width off.
    const [under, over] = [
      at * 0.006 + widthHz * 0.25,
      at * (0.006 + (bend === 0 ? 0.0012 * n * n : 0.004)) + widthHz * 0.25,
    ];
    let found: ClearPeak | null = null;
    for (const one of clear) {
      const off = one.peak.hz - at;
      if (off < -Math.min(under, hz * 0.25) || off > Math.min(over, hz * 0.3)) continue;
      if (!found || one.peak.power > found.peak.power) found = one;
    }
    if (found) partials.push({ n, ...found });
  }
  return partials;
}

/** The lowest partial and B from all that were found: (f_n/n)² = a·(1 + B·n²), a straight line over n², each by what it stands above noise. */
export function refined(partials: readonly HeardPartial[], hz: number, widthHz: number): { hz: number; bend: number } {
  if (partials.length === 0) return { hz, bend: 0 };
  let [w, wx, wy, wxx, wxy] = [0, 0, 0, 0, 0];
  for (const { n, peak, above } of partials) {
    const [x, y] = [n * n, (peak.hz / n) ** 2];
    // By its noise (which counts less the higher it is), and by how little a real span keeps to the line: a thousandth for each partial on.
    const weight = 1 / (((0.3 * widthHz) / (n * hz)) ** 2 / above + (0.001 * (n - 1)) ** 2 + 1e-9);
    w += weight;
    wx += weight * x;
    wy += weight * y;
    wxx += weight * x * x;
    wxy += weight * x * y;
  }
  const spread = w * wxx - wx * wx;
  const slope = partials.length >= 3 && spread > 0 ? (w * wxy - wx * wy) / spread : 0;
  const limited = Math.min(Math.max(0, slope), (0.01 * wy) / w);
  const a = (wy - limited * wx) / w;
  return { hz: Math.sqrt(a + limited), bend: limited / a };
}
