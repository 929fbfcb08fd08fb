import { gcd } from "./integers";

/** A fraction of whole numbers in lowest terms, its denominator above 0. */
export type Fraction = { num: number; den: number };

/** Whole numbers small enough to be exact; `den` not 0. */
export function fraction(num: number, den: number): Fraction {
  const common = gcd(Math.abs(num), Math.abs(den)) || 1;
  const sign = den < 0 ? -1 : 1;
  return { num: (sign * num) / common, den: (sign * den) / common };
}

/**
 * The fraction that a ratio of tooth counts is, from its value: the first convergent of its continued fraction that gives it to the last digits.
 *
 * @param value over 0
 * @returns null where no denominator up to `most` does: it is no ratio of such counts
 * @source continued fractions (Hardy and Wright, An Introduction to the Theory of Numbers, chapter X)
 */
export function fractionOfValue(value: number, most = 1e6): Fraction | null {
  let [num, den, numBefore, denBefore] = [1, 0, 0, 1];
  for (let rest = value; den <= most; ) {
    const whole = Math.floor(rest);
    [num, numBefore] = [whole * num + numBefore, num];
    [den, denBefore] = [whole * den + denBefore, den];
    if (den > most) return null;
    if (Math.abs(num / den - value) <= 1e-13 * value) return fraction(num, den);
    rest = 1 / (rest - whole);
  }
  return null;
}

/** The rest of a division, from 0 up to the modulus, for any sign and for broken numbers too. */
export function modulo(value: number, modulus: number): number {
  const rest = ((value % modulus) + modulus) % modulus;
  return rest === 0 ? 0 : rest;
}

/** x with a·x ≡ 1, by trying: moduli here are tooth counts. Undefined where the two have a common factor. */
export function inverseModulo(a: number, modulus: number): number | undefined {
  for (let x = 0; x < modulus; x++) if (modulo(a * x - 1, modulus) === 0) return x;
  return undefined;
}
