import { type PaperPrint, paperPrints } from "~/core/logbook";

/** In the draft as "5:1 12:0": place, and which of the prints. */
export const writePrints = (prints: readonly { tooth: number; print: PaperPrint }[]): string =>
  prints.map(({ tooth, print }) => `${tooth}:${paperPrints.indexOf(print)}`).join(" ");

export function readPrints(text: string | undefined): { tooth: number; print: PaperPrint }[] {
  return (text ?? "").split(" ").flatMap((item) => {
    const [tooth, at] = item.split(":").map(Number);
    const print = paperPrints[at ?? -1];
    return tooth && print ? [{ tooth, print }] : [];
  });
}
