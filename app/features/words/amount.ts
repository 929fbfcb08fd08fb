import { formatNumber } from "~/app/features/words/figure";
import type { MoveUnit } from "~/core/advice";
import { accept, type Dimension, decimalsFor, nearestFraction, parseQuantity, type Result } from "~/core/quantity";
import type { AdjusterMeans } from "~/data/queries/stages";

const parts: Record<string, string> = {
  "1/2": "half a turn",
  "1/4": "a quarter turn",
  "1/8": "one eighth of a turn",
  "1/16": "one sixteenth of a turn",
};

/** A size of a move, without its direction: "one eighth of a turn", "1 3/16 turns", "0.14 mm", "14°". */
export function amountWords(amount: number, unit: MoveUnit, step: number, means?: AdjusterMeans | null): string {
  const size = Math.abs(amount);
  const millimetres = `${formatNumber(size, decimalsFor(step))} mm`;
  switch (means) {
    case "roller-holes": {
      const holes = Math.round(size / step);
      return holes === 1 ? "one hole" : `${holes} holes`;
    }
    case "roller-diameter":
      return `${millimetres} of roller diameter`;
    case "spacers":
      return `${millimetres} of spacer`;
    case "jack-screws":
      return `${plainAmount(size, unit, step)} on both screws alike`;
    default:
      return plainAmount(size, unit, step);
  }
}

function plainAmount(size: number, unit: MoveUnit, step: number): string {
  switch (unit) {
    case "turns": {
      const { whole, num, den } = nearestFraction(size, 16);
      if (num === 0) return whole === 1 ? "one whole turn" : `${whole} turns`;
      if (whole === 0) return parts[`${num}/${den}`] ?? `${num}/${den} of a turn`;
      return `${whole} ${num}/${den} turns`;
    }
    case "deg":
      return `${formatNumber(size, decimalsFor(step))}°`;
    case "mm-at-lever":
      return `${formatNumber(size, decimalsFor(step))} mm at the lever's end`;
    case "mm-of-shim":
      return `${formatNumber(size, decimalsFor(step))} mm of shim`;
    case "mm":
      return `${formatNumber(size, decimalsFor(step))} mm`;
  }
}

export const unitHint: Record<MoveUnit, string> = {
  turns: "Turns: 1/8, 0.25, 3 sixteenths, 45°",
  deg: "Degrees",
  mm: "Millimetres, or with unit: 5 thou",
  "mm-at-lever": "Millimetres at the lever's end",
  "mm-of-shim": "Millimetres of shim",
};

/** The size of a move as typed, in the adjuster's unit. */
export function parseAmount(typed: string, unit: MoveUnit): Result<number> {
  const [dimension, bare]: [Dimension, string] =
    unit === "turns" ? ["angle", "turn"] : unit === "deg" ? ["angle", "deg"] : ["length", "mm"];
  const parsed = parseQuantity(typed, dimension, bare);
  return parsed.ok ? accept(unit === "turns" ? parsed.value.value / 360 : parsed.value.value) : parsed;
}
