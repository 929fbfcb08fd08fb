import type { Reader } from "~/app/features/words/reader";
import { parseQuantity } from "~/core/quantity";
import { lengthUnit, spoken, withUnit } from "../words/spoken";

type Pieces = readonly { thicknessMm: number; count: number }[];

/** "2 × 1.000 + 0.200 mm", "nothing". */
export const piecesText = (reader: Reader, pieces: Pieces): string =>
  pieces.length === 0 ? "nothing" : `${piecesTyped(reader, pieces)} ${spoken(reader, "mm", 3).unit}`;

/** As one would type them. */
export const piecesTyped = (reader: Reader, pieces: Pieces): string =>
  pieces
    .map(({ thicknessMm, count }) => `${count > 1 ? `${count} × ` : ""}${spoken(reader, "mm", 3).figure(thicknessMm)}`)
    .join(" + ");

/** What was typed, each bare size with its unit behind it where the reader's is not the millimetre, so that it means the same to whoever takes over. */
export const piecesKept = (reader: Reader, text: string): string =>
  lengthUnit(reader) === "mm"
    ? text
    : text
        .split("+")
        .map((part) => {
          const [, count = "", size = ""] = /^\s*(\d+\s*[×x*]\s*)?(.*)$/i.exec(part) ?? [];
          return `${count}${withUnit(size, lengthUnit(reader), "mm")}`;
        })
        .join(" + ");

/** Feeler leaves put together: "0.05 + 0.10 mm". */
export const leavesText = (reader: Reader, leavesMm: readonly number[]): string => {
  const { figure, unit } = spoken(reader, "mm", 2);
  return `${leavesMm.map((leaf) => figure(leaf)).join(" + ")} ${unit}`;
};

/** "0.5 + 2 × 0.1" as pieces, a size without a unit in the reader's; null where it cannot be read. */
export function readPieces(reader: Reader, text: string): { thicknessMm: number; count: number }[] | null {
  const parts = text.split("+").map((part) => part.trim());
  if (parts.length === 1 && /^(nothing|none|0)?$/i.test(parts[0] ?? "")) return [];
  const pieces = parts.map((part) => {
    const [, count = "1", size = ""] = /^(?:(\d+)\s*[×x*]\s*)?(.+)$/i.exec(part) ?? [];
    const read = parseQuantity(size, "length", lengthUnit(reader));
    return read.ok && read.value.value > 0 ? { thicknessMm: read.value.value, count: Number(count) } : null;
  });
  return pieces.every((piece) => piece !== null) ? pieces : null;
}
