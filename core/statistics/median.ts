/** The middle of the values, or the mean of the two middle ones; NaN for none. */
export const median = (values: readonly number[]): number => medianOfSorted(Float64Array.from(values).sort());

/** The same of values that lie in order, lowest first. */
export function medianOfSorted(sorted: ArrayLike<number>): number {
  const middle = Math.floor(sorted.length / 2);
  const upper = sorted[middle] ?? Number.NaN;
  return sorted.length % 2 === 1 ? upper : (upper + (sorted[middle - 1] ?? Number.NaN)) / 2;
}
