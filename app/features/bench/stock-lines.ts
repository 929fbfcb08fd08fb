import { parseNumber, parseQuantity } from "~/core/quantity";
import type { TextReader } from "../form/text-reader";

const most = 500;

/** A drawer as it is typed, a size a line with how many of it: "0.05 × 4", "0.1 4", "2 thou x 10", alone: one. */
export function readStock(read: TextReader, name: string): { sizeMm: number; count: number }[] {
  const lines = read.text(name).split(/[\n;]+/);
  const stock = lines.flatMap((line) => {
    if (line.trim() === "") return [];
    const [, size, count] = /^(.*?)(?:\s*[×x*]\s*|\s+)(\d+)$/i.exec(line.trim()) ?? [null, line.trim(), "1"];
    const sizeMm = parseQuantity(size ?? "", "length", "mm");
    const pieces = parseNumber(count ?? "", true);
    read.want(name, sizeMm.ok && pieces.ok && sizeMm.value.value > 0, "not-a-size");
    return sizeMm.ok && pieces.ok ? [{ sizeMm: sizeMm.value.value, count: pieces.value }] : [];
  });
  read.want(name, stock.length <= most, "too-large");
  return stock;
}
