import { normalProbability } from "./normal-probability";

/** Points up to which the inversions are counted; beyond, the normal distribution is as good to a thousandth. */
const counted = 60;

/**
 * How surely the true slope lies between the `cut`-th pair slope from below and from above: the probability that Kendall's score stays within
 * N − 2·cut, exactly, by counting inversions (Kendall, Rank Correlation Methods; Sen, JASA 63 (1968) 1379). The normal
 * approximation calls three points 95 %; they are 67 %, four are 92 %.
 *
 * @param segments how many points each segment of the line holds
 * @param cut from 1
 * @example slopeCoverage([4], 1) // 0.9166…
 */
export function slopeCoverage(segments: readonly number[], cut: number): number {
  const points = segments.reduce((sum, n) => sum + n, 0);
  if (points > counted) {
    const slopes = segments.reduce((sum, n) => sum + (n * (n - 1)) / 2, 0);
    const variance = segments.reduce((sum, n) => sum + (n * (n - 1) * (2 * n + 5)) / 18, 0);
    return 2 * normalProbability((slopes - 2 * cut + 1) / Math.sqrt(variance)) - 1;
  }
  // Inversions of independent orders add up: the generating functions multiply, each in parts of one.
  let inversions = [1];
  for (const n of segments) {
    for (let k = 2; k <= n; k++) inversions = timesUniform(inversions, k);
  }
  // With as many inversions as slopes lie below the true one, it is inside from `cut` of them up to all but `cut`.
  return inversions.slice(cut, inversions.length - cut).reduce((sum, share) => sum + share, 0);
}

/** Shares of a sum with one more whole number from 0 to k − 1, each as likely. */
function timesUniform(shares: readonly number[], k: number): number[] {
  const result = new Array<number>(shares.length + k - 1).fill(0);
  let running = 0;
  for (let i = 0; i < result.length; i++) {
    running += shares[i] ?? 0;
    if (i >= k) running -= shares[i - k] ?? 0;
    result[i] = Math.max(0, running) / k;
  }
  return result;
}
