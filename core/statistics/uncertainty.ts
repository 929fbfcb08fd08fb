/**
 * Expanded uncertainty (k = 2) of one reading that is the difference of two positions of the pointer, as a backlash
 * reading is. Resolution r gives r/√6, calibration U/k, repeatability s/√n; of resolution and repeatability only the
 * larger counts, because scattering repeats already contain the rounding. Source: JCGM 100:2008, 4.3.7, 5.1.2, H.6;
 * "larger of the two" is common practice.
 *
 * @param resolution one step of the instrument
 * @param calibrationU expanded uncertainty from its certificate
 * @param coverage coverage factor of that certificate
 * @param repeatability standard deviation of repeats at one position, where there are any
 * @returns in the unit of the arguments
 * @example differenceUncertainty(0.01, 0.004, 2) // 0.00909
 */
export function differenceUncertainty(
  resolution: number,
  calibrationU: number,
  coverage: number,
  repeatability?: { sd: number; count: number },
): number {
  const fromResolution = resolution / Math.sqrt(6);
  const fromRepeats = repeatability ? repeatability.sd / Math.sqrt(repeatability.count) : 0;
  return 2 * Math.hypot(Math.max(fromResolution, fromRepeats), calibrationU / coverage);
}

/** Standard uncertainty of a combination of independent parts (JCGM 100:2008, 5.1.2). */
export const combined = (...parts: readonly number[]): number => Math.hypot(...parts);

/** One step r of a digital or scaled reading, as a standard uncertainty: r/√12 (JCGM 100:2008, F.2.2.1). */
export const fromResolution = (resolution: number): number => resolution / Math.sqrt(12);
