import { radians } from "../numerics";

export type Rack = { moduleMm: number; pressureAngleDeg: number };
export type PitchMatch = "same" | "near-miss" | "rough" | "strips" | "no-mesh";

/** Normal base pitch, mm: π·m·cos α (ISO 21771). What two gears must share to run evenly. */
export const basePitchMm = ({ moduleMm, pressureAngleDeg }: Rack): number =>
  Math.PI * moduleMm * Math.cos(radians(pressureAngleDeg));

/**
 * How badly two gears mesh, by the error of their base pitches. Grades are common practice: 0.8 % (module 0.8 with 32 DP) is
 * sold as one and runs; 13 % (module 0.6 with 48 DP) turns by hand and strips at speed.
 *
 * @returns error of the second against the first, mm and per cent, and its grade
 */
export function comparePitches(
  first: Rack,
  second: Rack,
): { errorMm: number; errorPercent: number; match: PitchMatch } {
  const errorMm = basePitchMm(second) - basePitchMm(first);
  const errorPercent = (100 * errorMm) / basePitchMm(first);
  const size = Math.abs(errorPercent);
  const match =
    size <= 0.05 ? "same" : size <= 1 ? "near-miss" : size <= 4 ? "rough" : size <= 15 ? "strips" : "no-mesh";
  return { errorMm, errorPercent, match };
}
