/**
 * Where a function changes sign between two ends, by halving down to the last digit that a double holds.
 *
 * @param f of one sign at `low` and of the other, or 0, at `high`
 */
export function bisect(f: (x: number) => number, low: number, high: number): number {
  const rising = f(high) > f(low);
  let a = low;
  let b = high;
  for (let i = 0; i < 200; i++) {
    const middle = (a + b) / 2;
    if (middle === a || middle === b) break;
    if (f(middle) > 0 === rising) b = middle;
    else a = middle;
  }
  return (a + b) / 2;
}
