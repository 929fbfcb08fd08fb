/** The middle of the values, or the mean of the two middle ones; NaN for none. */
export function median(values: readonly number[]): number {
  if (values.length === 0) return Number.NaN;
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  const upper = sorted[middle] ?? Number.NaN;
  return sorted.length % 2 === 1 ? upper : (upper + (sorted[middle - 1] ?? Number.NaN)) / 2;
}

/** Median distance from the median, times 1.4826: the standard deviation of normal data, untouched by a few wild ones. */
export function medianAbsoluteDeviation(values: readonly number[]): number {
  const centre = median(values);
  return 1.4826 * median(values.map((value) => Math.abs(value - centre)));
}
