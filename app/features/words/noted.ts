import type { Reader } from "~/app/features/words/reader";
import type { Noted } from "~/core/logbook";
import type { Unwise } from "~/core/stages";
import { unwiseWords } from "./unwise";

/** A warning as the logbook keeps it, in words; one that this release does not know is shown as it is kept. */
export function notedWords(reader: Reader, kept: Noted): string {
  const words: string | undefined = unwiseWords(reader, (typeof kept === "string" ? asData(kept) : kept) as Unwise);
  return words ?? (typeof kept === "string" ? kept : JSON.stringify(kept));
}

/** Earlier releases kept a text of it: "odd-links, even 102". */
function asData(text: string): Record<string, unknown> {
  const [code, ...figures] = text.split(", ");
  const facts = figures.map((figure) => {
    const at = figure.indexOf(" ");
    const value = figure.slice(at + 1);
    return [figure.slice(0, at), Number.isNaN(Number(value)) ? value : Number(value)];
  });
  return { code, ...Object.fromEntries(facts) };
}
