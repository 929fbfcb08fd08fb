import type { Reader } from "~/app/features/words/reader";
import type { Provisional, SignedRecord } from "~/core/logbook";
import { readWords } from "./entry";
import { feltWords } from "./feel";
import { provisionalWords } from "./state";

/** What a signature leaves provisional, with what was read where that is known: "Left outside: 0.17 to 0.38 mm". */
export function leftWords(
  reader: Reader,
  code: Provisional,
  { asLeft, asLeftByFeel }: Pick<SignedRecord, "asLeft" | "asLeftByFeel">,
): string {
  if (code !== "not-inside") return provisionalWords[code];
  if (asLeft)
    return `Left ${asLeft.verdict === "undecided" ? "near the edge" : "outside"}: ${readWords(reader, asLeft)}`;
  if (asLeftByFeel) return `Left ${feltWords(asLeftByFeel)}`;
  return provisionalWords[code];
}
