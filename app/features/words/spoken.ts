import type { Reader } from "~/app/features/words/reader";
import { type UnitId, unitById } from "~/core/quantity";
import { formatNumber } from "./figure";

/** A unit as its reader has it, with figures to so many digits. Values go in as the core keeps them: mm, N, N·m. */
export type Spoken = {
  unit: string;
  /** What a number typed without a unit is in. */
  bare: UnitId | null;
  /** How much of the kept value one of it is. */
  per: number;
  figure: (value: number, more?: number) => string;
  /** "0.12 to 0.15", or one figure where both are the same. */
  range: (min: number, max: number, more?: number) => string;
  /** With its unit: "0.12 mm", "0.0047 in". */
  said: (value: number, more?: number) => string;
};

/** What an inch reader reads instead, and how many more digits show the same step: 0.01 mm is 0.0004 in. */
const inches: Record<string, { id: UnitId; more: number }> = {
  mm: { id: "in", more: 2 },
  N: { id: "lbf", more: 1 },
  N·m: { id: "lbf-ft", more: 1 },
};
const metric: Record<string, UnitId> = { mm: "mm", N: "N", N·m: "Nm" };

/** @param unit as the core keeps the value; what has no inch of its own stays as it is */
export function spoken(reader: Reader, unit: string, digits: number): Spoken {
  const other = reader.units === "inch" ? inches[unit] : undefined;
  const shown = other && unitById(other.id);
  const symbol = shown?.symbol ?? unit;
  const per = shown?.factor ?? 1;
  // Inches are finer as they stand.
  const figure = (value: number, more = 0) => formatNumber(reader, value / per, digits + (other?.more ?? more));
  return {
    unit: symbol,
    bare: other?.id ?? metric[unit] ?? null,
    per,
    figure,
    range: (min, max, more) => {
      const [from, to] = [figure(min, more), figure(max, more)];
      return from === to ? from : `${from} to ${to}`;
    },
    said: (value, more) => `${figure(value, more)}${symbol === "°" ? "" : " "}${symbol}`,
  };
}

/** A length as its reader has it: "0.12 mm", "0.0047 in". */
export const lengthWords = (reader: Reader, mm: number, digits: number): string =>
  spoken(reader, "mm", digits).said(mm);

/** What was typed, with its unit behind it where a bare number would be taken for the usual one. */
export const withUnit = (typed: string, unit: string, usual: string): string =>
  unit !== usual && /^[\s\d.,/-]*\d[\s\d.,/-]*$/.test(typed) ? `${typed.trim()} ${written(unit)}` : typed.trim();

/** How a unit is written behind a figure that was typed: "16 ×0.01 mm", "5 thou". */
const written = (unit: string): string => (unit === "hundredth" ? "×0.01 mm" : unit);

/** What a length typed without a unit is in. */
export const lengthUnit = (reader: Reader): "mm" | "in" => (reader.units === "inch" ? "in" : "mm");
