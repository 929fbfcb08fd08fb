import { gcd } from "./integers";

/** A fraction of whole numbers in lowest terms, its denominator above 0. */
export type Fraction = { num: number; den: number };

/** Whole numbers small enough to be exact; `den` not 0. */
export function fraction(num: number, den: number): Fraction {
  const common = gcd(Math.abs(num), Math.abs(den)) || 1;
  const sign = den < 0 ? -1 : 1;
  return { num: (sign * num) / common, den: (sign * den) / common };
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
