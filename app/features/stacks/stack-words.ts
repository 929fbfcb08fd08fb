import { formatNumber } from "~/app/features/words/figure";
import { parseQuantity } from "~/core/quantity";

/** "2 × 1.000 + 0.200 mm", "nothing". */
export const piecesText = (pieces: readonly { thicknessMm: number; count: number }[]): string =>
  pieces.length === 0
    ? "nothing"
    : `${pieces.map(({ thicknessMm, count }) => `${count > 1 ? `${count} × ` : ""}${formatNumber(thicknessMm, 3)}`).join(" + ")} mm`;

/** "0.5 + 2 × 0.1" as pieces; null where it cannot be read. */
export function readPieces(text: string): { thicknessMm: number; count: number }[] | null {
  const parts = text.split("+").map((part) => part.trim());
  if (parts.length === 1 && /^(nothing|none|0)?$/i.test(parts[0] ?? "")) return [];
  const pieces = parts.map((part) => {
    const [, count = "1", size = ""] = /^(?:(\d+)\s*[×x*]\s*)?(.+)$/i.exec(part) ?? [];
    const read = parseQuantity(size, "length", "mm");
    return read.ok && read.value.value > 0 ? { thicknessMm: read.value.value, count: Number(count) } : null;
  });
  return pieces.every((piece) => piece !== null) ? pieces : null;
}
