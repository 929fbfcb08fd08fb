import type { Reader } from "~/app/features/words/reader";
import type { Unwise } from "~/core/stages";
import { unwiseWords } from "./unwise";

/** A warning as the logbook keeps it ("odd-links, even 102") in words; one that this release does not know stays as it is. */
export function notedWords(reader: Reader, kept: string): string {
  const [code, ...figures] = kept.split(", ");
  const facts = figures.map((figure) => {
    const at = figure.indexOf(" ");
    const value = figure.slice(at + 1);
    return [figure.slice(0, at), Number.isNaN(Number(value)) ? value : Number(value)];
  });
  const words: string | undefined = unwiseWords(reader, { code, ...Object.fromEntries(facts) } as Unwise);
  return words ?? kept;
}
