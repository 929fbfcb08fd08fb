/**
 * Probability that a standard normal variable stays below x. Near the middle the series of Marsaglia (J. Stat. Software 11 (2004) 4), in the
 * tails the continued fraction of Mills' ratio (Abramowitz & Stegun 26.2.14), which keeps its digits where 1 − Φ would lose them.
 *
 * @example normalProbability(1.959964) // 0.975
 */
export function normalProbability(x: number): number {
  const density = Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI);
  if (Math.abs(x) < 3) {
    let term = x;
    let sum = x;
    for (let n = 3; Math.abs(term) > 1e-18 * Math.abs(sum) && n < 400; n += 2) {
      term *= (x * x) / n;
      sum += term;
    }
    return 0.5 + density * sum;
  }
  const size = Math.abs(x);
  let rest = 0;
  for (let n = 200; n >= 1; n--) rest = n / (size + rest);
  const tail = density / (size + rest);
  return x > 0 ? 1 - tail : tail;
}
