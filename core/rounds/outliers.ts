import { leastSquares, turnDegrees } from "../numerics";
import { median } from "../statistics";
import type { ReadingAt } from "./fit-round";
import { gearTerms } from "./harmonics";

/**
 * Readings that stand off from what the others say. Least squares will not do: a wild reading bends the fit towards itself
 * and makes its neighbours look bad, and two wild ones hide each other. The curve with the least sum of distances does not
 * follow them; it is found by least squares reweighted with 1/distance (Schlossmacher, JASA 68 (1973) 857–859). The
 * scatter is the median distance from it, times 1.4826. Nothing is ever dropped: these are to be questioned.
 *
 * @param least distances below this are never questioned (about three times the reading's uncertainty)
 * @returns indices into readings, rising; none below six readings
 */
export function questionable(readings: readonly ReadingAt[], least: number): number[] {
  if (readings.length < 6) return [];
  const rows = readings.map((reading) => gearTerms(turnDegrees(reading.gearAngleDeg)));
  const values = readings.map((reading) => reading.value);
  let distances = values.map(() => 1);
  for (let i = 0; i < reweightings; i++) {
    const roots = distances.map((distance) => 1 / Math.sqrt(Math.max(distance, 1e-6)));
    const fitted = leastSquares(
      rows.map((row, j) => row.map((term) => term * (roots[j] ?? 0))),
      values.map((value, j) => value * (roots[j] ?? 0)),
    );
    if (!fitted) return [];
    distances = rows.map((row, j) =>
      Math.abs((values[j] ?? 0) - row.reduce((sum, term, k) => sum + term * (fitted[k] ?? 0), 0)),
    );
  }
  const limit = Math.max(least, scatterFactor * 1.4826 * median(distances));
  return distances.flatMap((distance, i) => (distance > limit ? [i] : []));
}

const reweightings = 25;
/** Further off than this many standard deviations: common practice. */
const scatterFactor = 6;
