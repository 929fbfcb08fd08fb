import type { Reader } from "~/app/features/words/reader";
import type { Provisional, SignedRecord } from "~/core/logbook";
import { capital } from "./count";
import { readWords } from "./entry";
import { feltWords } from "./feel";
import { provisionalWords } from "./state";

/** What a signature leaves provisional, with what was read where that is known: "Left outside: 0.17 to 0.38 mm". */
export function leftWords(
  reader: Reader,
  code: Provisional,
  { gears = [], ...left }: Pick<SignedRecord, "asLeft" | "asLeftByFeel" | "gears">,
): string {
  if (code !== "not-inside") return provisionalWords[code];
  const wrong = gears.filter((of) => !isInside(of)).map((of) => `${of.gear} ${leftOutside(reader, of).toLowerCase()}`);
  return wrong.length > 0 ? capital(wrong.join("; ")) : leftOutside(reader, left);
}

type Left = Pick<SignedRecord, "asLeft" | "asLeftByFeel">;

const isInside = ({ asLeft, asLeftByFeel }: Left): boolean =>
  asLeft ? asLeft.verdict === "conforms" || asLeft.verdict === null : asLeftByFeel?.verdict === "inside";

function leftOutside(reader: Reader, { asLeft, asLeftByFeel }: Left): string {
  if (asLeft)
    return `Left ${asLeft.verdict === "undecided" ? "near the edge" : "outside"}: ${readWords(reader, asLeft)}`;
  if (asLeftByFeel) return `Left ${feltWords(asLeftByFeel)}`;
  return provisionalWords["not-inside"];
}
