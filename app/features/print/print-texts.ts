import type { ContactPrint, PrintFlank } from "~/core/prints";
import type { TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";
import type { FlankSpan } from "./print-flank";

export const printFlanks: readonly { flank: PrintFlank; label: string }[] = [
  { flank: "drive", label: "Drive flank" },
  { flank: "coast", label: "Coast flank" },
];
const edges = ["depth.from", "depth.to", "length.from", "length.to"] as const;

const percent = (share: number): string => String(Math.round(100 * share));

export const spanTexts = (flank: PrintFlank, { depth, length }: FlankSpan): Texts => ({
  [`${flank}.depth.from`]: percent(depth.from),
  [`${flank}.depth.to`]: percent(depth.to),
  [`${flank}.length.from`]: percent(length.from),
  [`${flank}.length.to`]: percent(length.to),
});

/** The prints that were marked: of a flank all four edges, or none. */
export function readPrints(read: TextReader): ContactPrint[] {
  const prints = printFlanks.flatMap(({ flank }): ContactPrint[] => {
    if (!edges.some((edge) => read.has(`${flank}.${edge}`))) return [];
    const share = (edge: (typeof edges)[number]) => {
      const value = read.number(`${flank}.${edge}`) / 100;
      read.want(`${flank}.${edge}`, !(value < 0), "too-small");
      read.want(`${flank}.${edge}`, !(value > 1), "too-large");
      return value;
    };
    const depth = { from: share("depth.from"), to: share("depth.to") };
    const length = { from: share("length.from"), to: share("length.to") };
    read.want(`${flank}.depth.from`, !(depth.from >= depth.to), "window-upside-down");
    read.want(`${flank}.length.from`, !(length.from >= length.to), "window-upside-down");
    return [{ flank, depth, length, diagonal: read.has(`${flank}.diagonal`) }];
  });
  read.want("drive.depth.from", prints.length > 0, "missing");
  return prints;
}

/** What is typed as far as it can be drawn. */
export function typedSpan(texts: Texts, flank: PrintFlank): FlankSpan | null {
  const [from, to, start, end] = edges.map((edge) => {
    const text = texts[`${flank}.${edge}`] ?? "";
    return text.trim() === "" ? Number.NaN : Number(text.replace(",", ".")) / 100;
  }) as [number, number, number, number];
  const ordered = (a: number, b: number) => a >= 0 && b <= 1 && a < b;
  if (!ordered(from, to) || !ordered(start, end)) return null;
  return { depth: { from, to }, length: { from: start, to: end } };
}
