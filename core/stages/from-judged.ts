/**
 * The measured value that gives a judged one, by doubling and halving. Every way of measuring is monotone where it is used: most rise,
 * a deflection by a force falls as the tension grows.
 *
 * @param convert from measured to judged; values it has none for are NaN and count as too low
 */
export function fromJudged(convert: (measured: number) => number, judged: number): number {
  const falls = convert(1) > convert(2);
  const beyond = (measured: number) => (falls ? convert(measured) <= judged : convert(measured) >= judged);
  let high = 1;
  while (!beyond(high) && high < 1e9) high *= 2;
  let low = 0;
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if (beyond(middle)) high = middle;
    else low = middle;
  }
  return high;
}
