import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { type MoveUnit, unitOf } from "~/core/advice";
import { accept, type Dimension, decimalsFor, nearestFraction, parseQuantity, type Result } from "~/core/quantity";
import type { AdjusterMeans, StageAdjuster } from "~/core/records";
import { lengthUnit, lengthWords, withUnit } from "./spoken";

const parts: Record<string, string> = {
  "1/2": "half a turn",
  "1/4": "a quarter turn",
  "1/8": "one eighth of a turn",
  "1/16": "one sixteenth of a turn",
};

type MovedBy = Pick<StageAdjuster, "adjuster" | "step" | "means" | "positiveWord" | "negativeWord">;

/** A move with its direction: "3/16 of a turn out", "add 0.05 mm of shim", "take out 0.15 mm of spacer". */
export const moveWords = (reader: Reader, by: MovedBy, amount: number): string => {
  const { before, size, after } = moveParts(reader, by, amount, by.adjuster ? unitOf(by.adjuster) : "mm");
  return `${before}${size}${after}`;
};

/** "Slotted plate 0.05 mm apart", "Shims behind the gear: add 0.20 mm of shim". */
export function namedMoveWords(reader: Reader, by: MovedBy & { name: string }, amount: number): string {
  const words = moveWords(reader, by, amount);
  return moveParts(reader, by, amount, by.adjuster ? unitOf(by.adjuster) : "mm").before
    ? `${by.name}: ${words}`
    : `${by.name} ${words}`;
}

/** The same with its size by itself, so that the size can stand out. What lies in a stack is added or taken out. */
export function moveParts(
  reader: Reader,
  { step, means, positiveWord, negativeWord }: MovedBy,
  amount: number,
  unit: MoveUnit,
): { before: string; size: string; after: string } {
  const size = amountWords(reader, amount, unit, step, means);
  const stacked = unit === "mm-of-shim" && isAdded(means);
  if (stacked) return { before: amount > 0 ? "add " : "take out ", size, after: "" };
  return { before: "", size, after: ` ${amount > 0 ? positiveWord : negativeWord}` };
}

/** A stack grows by what is added; of one piece in place of another the size is said. */
const isAdded = (means: AdjusterMeans | null): boolean => means !== "roller-diameter" && means !== "stop";

/** Each way of an adjuster by itself, as one chooses it. */
export const wayWords = (by: MovedBy, sign: 1 | -1): string =>
  by.adjuster?.type === "shims" && isAdded(by.means)
    ? sign > 0
      ? "added"
      : "taken out"
    : sign > 0
      ? by.positiveWord
      : by.negativeWord;

/** The same once it is done: "0.05 mm of shim added". */
export function movedWords(reader: Reader, by: MovedBy, amount: number, unit: MoveUnit): string {
  const { before, size, after } = moveParts(reader, by, amount, unit);
  return before ? `${size} ${amount > 0 ? "added" : "taken out"}` : `${size}${after}`;
}

/** A size of a move, without its direction: "one eighth of a turn", "1 3/16 turns", "0.14 mm", "14°". */
export function amountWords(
  reader: Reader,
  amount: number,
  unit: MoveUnit,
  step: number,
  means?: AdjusterMeans | null,
): string {
  const size = Math.abs(amount);
  const millimetres = lengthWords(reader, size, decimalsFor(step));
  switch (means) {
    case "roller-holes": {
      const holes = Math.round(size / step);
      // With another barrel on it, which counts by half of its diameter.
      if (Math.abs(size - holes * step) > 1e-6) return `${lengthWords(reader, size, 2)} by holes and barrel`;
      return holes === 1 ? "one hole" : `${holes} holes`;
    }
    case "roller-diameter":
      return `${millimetres} of roller diameter`;
    case "spacers":
      return `${millimetres} of spacer`;
    case "stop":
      return millimetres;
    case "jack-screws":
      return `${plainAmount(reader, size, unit, step)} on both screws alike`;
    default:
      return plainAmount(reader, size, unit, step);
  }
}

function plainAmount(reader: Reader, size: number, unit: MoveUnit, step: number): string {
  switch (unit) {
    case "turns": {
      const { whole, num, den } = nearestFraction(size, 16);
      if (num === 0) return whole === 1 ? "one whole turn" : `${whole} turns`;
      if (whole === 0) return parts[`${num}/${den}`] ?? `${num}/${den} of a turn`;
      return `${whole} ${num}/${den} turns`;
    }
    case "deg":
      return `${formatNumber(reader, size, decimalsFor(step))}°`;
    case "mm-at-lever":
      return `${lengthWords(reader, size, decimalsFor(step))} at the lever's end`;
    case "mm-of-shim":
      return `${lengthWords(reader, size, decimalsFor(step))} of shim`;
    case "mm":
      return lengthWords(reader, size, decimalsFor(step));
  }
}

/** A size before it is rounded to what a hand can set: "0.137 mm", "0.0054 in", "7.84°". */
export function exactAmount(reader: Reader, amount: number, unit: MoveUnit): string {
  const size = Math.abs(amount);
  switch (unit) {
    case "turns":
      return `${formatNumber(reader, size, 3)} turns`;
    case "deg":
      return `${formatNumber(reader, size, 2)}°`;
    default:
      return lengthWords(reader, size, 3);
  }
}

/** In what a size is typed. */
export function unitHint(reader: Reader, unit: MoveUnit): string {
  const [lengths, other] =
    reader.units === "inch" ? ["Inches", "or with unit: 0.1 mm"] : ["Millimetres", "or with unit: 5 thou"];
  return {
    turns: "Turns: 1/8, 0.25, 3 sixteenths, 45°",
    deg: "Degrees",
    mm: `${lengths}, ${other}`,
    "mm-at-lever": `${lengths} at the lever's end, ${other}`,
    "mm-of-shim": `${lengths} of shim, ${other}`,
  }[unit];
}

/** What was typed, so that it means the same to whoever takes over what stands in the field. */
export const asTyped = (reader: Reader, typed: string, unit: MoveUnit): string =>
  unit === "turns" || unit === "deg" ? typed : withUnit(typed, lengthUnit(reader), "mm");

/** The size of a move as typed, in the adjuster's unit; a length without a unit is in the reader's. */
export function parseAmount(reader: Reader, typed: string, unit: MoveUnit): Result<number> {
  const [dimension, bare]: [Dimension, string] =
    unit === "turns" ? ["angle", "turn"] : unit === "deg" ? ["angle", "deg"] : ["length", lengthUnit(reader)];
  const parsed = parseQuantity(typed, dimension, bare);
  return parsed.ok ? accept(unit === "turns" ? parsed.value.value / 360 : parsed.value.value) : parsed;
}
