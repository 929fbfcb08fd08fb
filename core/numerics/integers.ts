/** Greatest common divisor of two whole numbers not below 0. */
export function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b);
}

/** Least common multiple of two whole numbers above 0. */
export const lcm = (a: number, b: number): number => (a / gcd(a, b)) * b;
