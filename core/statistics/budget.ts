import { combined } from "./uncertainty";

/** What the uncertainty of a reading is made of: standard uncertainties in one unit, and what repeats at one place tell. */
export type ReadingBudget = {
  /** r/√6: two positions of the pointer. */
  resolution: number;
  /** U/k of the certificate. */
  calibration: number;
  /** Of turning what was measured into what is judged: its geometry, and what is known of the part. */
  way: number;
  /** Standard deviation of repeats at one place, over so many degrees of freedom; null where nothing was read twice. */
  repeats: { sd: number; freedom: number } | null;
};

/** Student's factor for 68.27 % at 1, 2, 3 … degrees of freedom (JCGM 100:2008, table G.2). */
const studentFactors = [1.84, 1.32, 1.2, 1.14, 1.11, 1.09, 1.08, 1.07, 1.06];

export const studentFactor = (freedom: number): number => studentFactors[freedom - 1] ?? 1;

/**
 * Expanded uncertainty (k = 2) of the mean of n readings at one place. Repeats count by s/√n with Student's factor while there are
 * few; of that and the resolution only the larger, for scattering repeats contain the rounding (JCGM 100:2008, 4.2.3, G.3).
 */
export function meanUncertainty({ resolution, calibration, way, repeats }: ReadingBudget, count: number): number {
  const scatter = repeats ? (studentFactor(repeats.freedom) * repeats.sd) / Math.sqrt(count) : 0;
  return 2 * combined(Math.max(resolution, scatter), calibration, way);
}

export type Settling =
  /** Decided as it is. */
  | { by: "now" }
  /** So many readings more at this place. */
  | { by: "repeats"; more: number }
  /** No number of repeats: step, certificate and way alone leave so much. */
  | { by: "finer"; leastUncertainty: number };

/**
 * What would settle a verdict: the mean's expanded uncertainty must not be larger than its distance from the limit it lies near.
 *
 * @param distance of the mean from that limit, over 0 on either side
 * @param count readings at the place so far
 */
export function whatSettles(budget: ReadingBudget, distance: number, count: number): Settling {
  if (meanUncertainty(budget, count) <= distance) return { by: "now" };
  const { resolution, calibration, way, repeats } = budget;
  const least = 2 * combined(resolution, calibration, way);
  // Without repeats the step stands for them, and what it leaves is all there is.
  if (least > distance || !repeats) return { by: "finer", leastUncertainty: least };
  const room = Math.sqrt((distance / 2) ** 2 - calibration ** 2 - way ** 2);
  const needed = Math.ceil(((studentFactor(repeats.freedom) * repeats.sd) / room) ** 2 - 1e-9);
  return { by: "repeats", more: Math.max(1, needed - count) };
}
