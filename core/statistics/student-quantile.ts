/** Beyond so many degrees of freedom the normal distribution is closer than anybody reads a meter. */
const mostFreedom = 20_000;

/**
 * Student's t for a two-sided share, for whole degrees of freedom. The distribution function is a finite sum there (Abramowitz & Stegun,
 * 26.7.3 and 26.7.4), which is turned round by halving; table G.2 of JCGM 100:2008 gives two decimals of it.
 *
 * @param share of the distribution between −t and t, between 0 and 1
 * @param freedom degrees of freedom, whole, 1 or more
 * @example studentQuantile(0.95, 9) // 2.262157, that is t(0.975, 9)
 */
export function studentQuantile(share: number, freedom: number): number {
  const nu = Math.min(freedom, mostFreedom);
  // Over the angle θ = atan(t/√ν) the share rises evenly enough to be halved from 0 to a right angle.
  let [low, high] = [0, Math.PI / 2];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (shareWithin(middle, nu) < share) low = middle;
    else high = middle;
  }
  return Math.sqrt(nu) * Math.tan((low + high) / 2);
}

/** A(t|ν) at θ. */
function shareWithin(theta: number, nu: number): number {
  const cosine = Math.cos(theta);
  const odd = nu % 2 === 1;
  let term = odd ? cosine : 1;
  let sum = nu === 1 ? 0 : term;
  for (let k = odd ? 3 : 2; k <= nu - 2; k += 2) {
    term *= ((k - 1) / k) * cosine * cosine;
    sum += term;
  }
  return odd ? (2 / Math.PI) * (theta + Math.sin(theta) * sum) : Math.sin(theta) * sum;
}
