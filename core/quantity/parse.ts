import { accept, type Result, refuse } from "./refusal";
import { type Dimension, toCanonical, type Unit, unitById, unitsSpelled } from "./units";

export type Parsed = {
  /** In the canonical unit of the dimension: mm, degrees, N, N·m, Hz, °C, hours. */
  value: number;
  /** In the unit as typed. */
  amount: number;
  unit: Unit;
};

const vulgarFractions: Record<string, string> = {
  "½": "1/2",
  "¼": "1/4",
  "¾": "3/4",
  "⅛": "1/8",
  "⅜": "3/8",
  "⅝": "5/8",
  "⅞": "7/8",
};

// A number is a mixed fraction (1 3/8, 1-3/8), a fraction (3/64) or a decimal with point or comma (0,12  .005  5.).
const mixedFraction = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)/;
const decimal = /^(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:e[+-]?\d{1,3})?/i;

/**
 * What a person typed, as a quantity. A bare number is taken in `bareUnit`; a unit of another dimension is refused by
 * name rather than converted. Comma and point are both decimal signs; a figure with both, or with two of one, is
 * refused because nobody can say which groups thousands.
 *
 * @param text as typed, e.g. `0.12`, `0,12`, `5 thou`, `.005in`, `1/8 in`, `1-1/8"`, `12'`, `1/8 turn`, `12° 30'`
 * @param dimension what is wanted here
 * @param bareUnit unit of a number typed without one
 * @returns the quantity, or a refusal with code `empty`, `not-a-number`, `two-decimal-signs`, `unknown-unit`,
 *   `wrong-dimension`, `zero-denominator` or `too-large`; `facts.text` names what was not understood
 * @example parseQuantity("5 thou", "length", "mm") // value 0.127, amount 5, unit thou
 */
export function parseQuantity(text: string, dimension: Dimension, bareUnit: string): Result<Parsed> {
  const typed = text
    .normalize("NFC")
    .replace(/[\u00a0\u2009\u202f]/g, " ")
    .replace(/[−–]/g, "-")
    .replace(/(\d)?([½¼¾⅛⅜⅝⅞])/g, (_, whole, sign) => `${whole ? `${whole} ` : ""}${vulgarFractions[sign]}`)
    .trim();
  if (typed === "") return refuse("empty", []);

  const negative = typed.startsWith("-");
  const unsigned = typed.replace(/^[+-]\s*/, "");

  const degreesAndMinutes = /^(\d+)\s*[°º]\s*(\d+(?:[.,]\d+)?)\s*['′’]$/.exec(unsigned);
  if (degreesAndMinutes && dimension === "angle") {
    const degrees = Number(degreesAndMinutes[1]) + decimalNumber(degreesAndMinutes[2] ?? "") / 60;
    return finished(negative ? -degrees : degrees, unitById("deg"), text);
  }

  const number = readNumber(unsigned);
  if (!number.ok) return number;
  const rest = number.value.rest.trim();
  const amount = negative ? -number.value.amount : number.value.amount;
  if (rest === "") return finished(amount, unitById(bareUnit), text);
  if (/^[.,\d]/.test(rest)) return refuse("two-decimal-signs", [], { text: unsigned });

  const spelled = unitsSpelled(rest);
  if (spelled.length === 0) return refuse("unknown-unit", [], { text: rest });
  const fitting = spelled.find((candidate) => candidate.dimension === dimension);
  if (!fitting) {
    return refuse("wrong-dimension", [], { text: rest, is: spelled[0]?.dimension ?? "", wanted: dimension });
  }
  return finished(amount, fitting, text);
}

/**
 * A plain number without a unit: teeth, a shift, a count, a meter. Point or comma, fractions too.
 *
 * @param whole only whole numbers
 * @returns the number, or a refusal as of `parseQuantity`; `not-whole` for a broken one where a whole is wanted
 */
export function parseNumber(text: string, whole = false): Result<number> {
  const typed = text
    .replace(/[\u00a0\u2009\u202f]/g, " ")
    .replace(/[−–]/g, "-")
    .trim();
  if (typed === "") return refuse("empty", []);
  const number = readNumber(typed.replace(/^[+-]\s*/, ""));
  if (!number.ok) return number;
  const rest = number.value.rest.trim();
  if (/^[.,\d]/.test(rest)) return refuse("two-decimal-signs", [], { text: typed });
  if (rest !== "") return refuse("not-a-number", [], { text: typed });
  const value = typed.startsWith("-") ? -number.value.amount : number.value.amount;
  if (!Number.isFinite(value) || Math.abs(value) > 1e12) return refuse("too-large", [], { text });
  return whole && !Number.isInteger(value) ? refuse("not-whole", [], { text: typed }) : accept(value);
}

const decimalNumber = (text: string): number => Number(text.replace(",", "."));

function readNumber(text: string): Result<{ amount: number; rest: string }> {
  const fraction = mixedFraction.exec(text);
  if (fraction) {
    const denominator = Number(fraction[3]);
    if (denominator === 0) return refuse("zero-denominator", [], { text: fraction[0] });
    const amount = Number(fraction[1] ?? 0) + Number(fraction[2]) / denominator;
    return accept({ amount, rest: text.slice(fraction[0].length) });
  }
  const plain = decimal.exec(text);
  if (!plain) return refuse("not-a-number", [], { text });
  return accept({ amount: decimalNumber(plain[0]), rest: text.slice(plain[0].length) });
}

function finished(amount: number, unit: Unit, text: string): Result<Parsed> {
  const value = toCanonical(amount, unit);
  if (!Number.isFinite(value) || Math.abs(value) > 1e12) return refuse("too-large", [], { text });
  return accept({ value, amount, unit });
}
