import { accept, type Result, refuse } from "../quantity";
import { median, studentQuantile } from "../statistics";

/** `toleranceShare`: half the 95 % interval of the rate, as a share of it. `missed`: beats of the noise that were not tapped. */
export type TappedRate = { perMinute: number; toleranceShare: number; taps: number; missed: number };

/** Fewer tell nothing of how evenly they came. */
export const fewestTaps = 5;
/** No hand keeps closer to a noise than this, however evenly it taps. Common practice. */
const leastShare = 0.01;

/**
 * How often a noise comes that somebody tapped along with. A mean of the gaps would take a missed beat for a slower noise: every gap is first
 * counted in whole beats of the middle gap, then a line is laid through the times over the beats.
 *
 * @param seconds of the taps, rising, on any clock that only runs forwards
 * @returns the rate; or `too-few-taps` (facts: least), `taps-astray` where they came so unevenly that the rate may be off by a third and more, or more beats were
 *   missed than tapped
 * @example 0, 1, 2, 4, 5 s // 60 a minute, one missed
 * @source interval of a slope by least squares, any text on regression
 */
export function tappedRate(seconds: readonly number[]): Result<TappedRate> {
  const taps = seconds.length;
  if (taps < fewestTaps) return refuse("too-few-taps", ["taps"], { least: fewestTaps });
  const gaps = seconds.slice(1).map((second, i) => second - (seconds[i] as number));
  const middle = median(gaps);
  if (!(middle > 0)) return refuse("taps-astray", ["taps"]);
  const beats = [0];
  for (const gap of gaps) beats.push((beats.at(-1) as number) + Math.max(1, Math.round(gap / middle)));
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / taps;
  const [beatMean, secondMean] = [mean(beats), mean(seconds)];
  const sxx = beats.reduce((sum, beat) => sum + (beat - beatMean) ** 2, 0);
  const period =
    beats.reduce((sum, beat, i) => sum + (beat - beatMean) * ((seconds[i] as number) - secondMean), 0) / sxx;
  const squares = beats.reduce(
    (sum, beat, i) => sum + ((seconds[i] as number) - secondMean - period * (beat - beatMean)) ** 2,
    0,
  );
  const half = studentQuantile(0.95, taps - 2) * Math.sqrt(squares / (taps - 2) / sxx);
  const toleranceShare = Math.max(leastShare, half / period);
  const missed = (beats.at(-1) as number) - (taps - 1);
  if (!(toleranceShare < 1 / 3) || missed > taps - 1) return refuse("taps-astray", ["taps"]);
  return accept({ perMinute: 60 / period, toleranceShare, taps, missed });
}
