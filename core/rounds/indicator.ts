import { radians } from "../numerics";

/**
 * What one millimetre of the indicator is worth at the working pitch circle: r_w/R·cos φ. The tip stands at radius R, and a
 * lever or plunger inclined by φ to the motion shows only that part. Geometry; usual instrument practice, φ below 10°.
 *
 * @param workingRadiusMm r_w of the gear that is rocked
 * @param indicatorRadiusMm R, where the tip touches
 * @param indicatorAngleDeg φ
 */
export const indicatorFactor = (
  workingRadiusMm: number,
  indicatorRadiusMm: number,
  indicatorAngleDeg: number,
): number => (workingRadiusMm / indicatorRadiusMm) * Math.cos(radians(indicatorAngleDeg));
