import { fromCanonical, unitById } from "./units";

export type DecimalSign = "." | ",";

/** Decimals that show one step of the resolution and no more: 0.01 → 2, 0.002 → 3, 0.5 → 1, 5 → 0. At most 6. */
export function decimalsFor(resolution: number): number {
  if (!(resolution > 0)) return 3;
  const exact = Math.ceil(-Math.log10(resolution) - 1e-9);
  return Math.min(6, Math.max(0, exact));
}

/** A figure with fixed decimals, a true minus sign and no "-0". */
export function formatNumber(value: number, decimals: number, sign: DecimalSign = "."): string {
  const fixed = Math.abs(value).toFixed(decimals);
  const isZero = Number(fixed) === 0;
  return `${value < 0 && !isZero ? "−" : ""}${sign === "," ? fixed.replace(".", ",") : fixed}`;
}

/**
 * A canonical value in the unit asked for, with the digits that its resolution deserves.
 * @example formatQuantity(0.127, "thou", 0.0254) // "5 thou"
 */
export function formatQuantity(
  canonical: number,
  unitId: string,
  resolutionCanonical: number,
  sign: DecimalSign = ".",
): string {
  const unit = unitById(unitId);
  const decimals = decimalsFor(resolutionCanonical / unit.factor);
  const space = unit.symbol === "°" || unit.symbol === "′" ? "" : " ";
  return `${formatNumber(fromCanonical(canonical, unit), decimals, sign)}${space}${unit.symbol}`;
}

/** Numerator and denominator of the nearest multiple of 1/`denominator`, in lowest terms. */
export function nearestFraction(value: number, denominator: number): { whole: number; num: number; den: number } {
  const parts = Math.round(Math.abs(value) * denominator);
  const whole = Math.floor(parts / denominator);
  let num = parts - whole * denominator;
  let den = denominator;
  while (num > 0 && num % 2 === 0 && den % 2 === 0) {
    num /= 2;
    den /= 2;
  }
  return { whole, num, den: num === 0 ? 1 : den };
}

/** A measure as inch fraction to the nearest 1/64 where that lies within the uncertainty, else decimal inches. */
export function formatInchFraction(mm: number, uncertaintyMm: number): string {
  const inches = mm / 25.4;
  const { whole, num, den } = nearestFraction(inches, 64);
  const shown = whole + num / den;
  if (Math.abs(Math.abs(inches) - shown) * 25.4 > uncertaintyMm) return `${formatNumber(inches, 4)} in`;
  const text = num === 0 ? `${whole}` : whole === 0 ? `${num}/${den}` : `${whole} ${num}/${den}`;
  return `${inches < 0 && shown !== 0 ? "−" : ""}${text} in`;
}

/** The multiple of `step` nearest to a value, free of binary dust: roundTo(0.30000000000000004, 0.01) is 0.3. */
export function roundTo(value: number, step: number): number {
  return Number((Math.round(value / step) * step).toFixed(decimalsFor(step) + 2));
}
