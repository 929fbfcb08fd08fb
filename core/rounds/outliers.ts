import { median, medianAbsoluteDeviation } from "../statistics";
import { type BacklashReading, fitHarmonics } from "./mesh-round";

/**
 * Readings that stand off from what the others say. Each is compared with a fit through all the others (leave one out), so
 * that a wild one cannot bend the curve towards itself. Questioned: further off than six robust deviations of those
 * distances and than `leastMm`. The factor is common practice; nothing is ever dropped.
 *
 * @param leastMm distances below this are never questioned (about three times the reading's uncertainty)
 * @returns indices into readings
 */
export function questionable(readings: readonly BacklashReading[], ratio: number, leastMm: number): number[] {
  if (readings.length < 6) return [];
  const off = readings.map((reading, i) => {
    const others = readings.filter((_, j) => j !== i);
    const fitted = fitHarmonics(others, ratio, false);
    if (!fitted) return 0;
    const theta = (reading.gearAngleDeg * Math.PI) / 180;
    const { mean, gear } = fitted.harmonics;
    return reading.backlashMm - (mean - gear.amplitude * Math.cos(theta - gear.tightRad));
  });
  const centre = median(off);
  const scale = medianAbsoluteDeviation(off);
  return off.flatMap((distance, i) => (Math.abs(distance - centre) > Math.max(6 * scale, leastMm) ? [i] : []));
}
