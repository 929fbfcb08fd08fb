import { parseQuantity } from "./parse";
import type { Dimension } from "./units";

/**
 * What the last digit that was written down is worth: as fine as a display showed it, where nobody says how finely it shows.
 *
 * @param texts as typed
 * @param bareUnit unit of a number typed without one
 * @returns in the canonical unit of the dimension, the finest of them; null where none is a figure
 * @example lastDigit(["0.4", "0,42"], "current", "A") // 0.01
 */
export function lastDigit(texts: readonly string[], dimension: Dimension, bareUnit: string): number | null {
  const worth = texts.flatMap((text) => {
    const digits = /\d[\d.,]*|[.,]\d+/.exec(text)?.[0] ?? "";
    const last = digits.replace(/[.,]$/, "");
    const one = last.replace(/\d/g, "0").replace(/0$/, "1");
    const parsed = parseQuantity(text.replace(digits, one), dimension, bareUnit);
    return parsed.ok ? [parsed.value.value] : [];
  });
  return worth.length > 0 ? Math.min(...worth) : null;
}
