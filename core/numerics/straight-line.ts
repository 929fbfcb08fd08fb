/** y = at0 + slope·x. */
export type StraightLine = { slope: number; at0: number /** Σ(x − mean)². */; sxx: number };

/**
 * The straight line of least squares of y on x, about the means.
 *
 * @param x two different ones at least, else slope is no number
 * @param y as many
 */
export function straightLine(x: readonly number[], y: readonly number[]): StraightLine {
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const [mx, my] = [mean(x), mean(y)];
  const sxx = x.reduce((sum, value) => sum + (value - mx) ** 2, 0);
  const slope = x.reduce((sum, value, i) => sum + (value - mx) * ((y[i] as number) - my), 0) / sxx;
  return { slope, at0: my - slope * mx, sxx };
}
