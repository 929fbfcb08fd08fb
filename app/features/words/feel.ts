import type { FeltSaid } from "~/core/logbook";
import type { MarkState } from "~/ui/state-mark";

/** The state of a verdict by hand; it is said to be one wherever it is shown. */
export const feltState: Record<FeltSaid["verdict"], MarkState> = {
  inside: "inside",
  near: "near",
  outside: "outside",
  "not-known": "unknown",
};

type By = NonNullable<FeltSaid["by"]> | "feel";
const byWords: Record<By, string> = { feel: "by feel", paper: "by paper", print: "by its print", pins: "by pins" };
const unknownWords: Record<By, string> = {
  feel: "too few places felt to tell",
  paper: "right where paper was tried; tried at too few places to tell",
  print: "one flank printed alone tells too little",
  pins: "tried with pins, but there are no limits to judge it by",
};

/** What a round by hand says, in a line. */
export function feltWords({ verdict, side, by: told, skew }: FeltSaid): string {
  const by: By = told ?? "feel";
  const how = byWords[by];
  if (verdict === "not-known") return unknownWords[by];
  if (skew) return `out of line, ${how}`;
  if (verdict === "inside") return `right ${how}`;
  if (verdict === "near")
    return {
      tight: `leans to tight, ${how}`,
      loose: `leans to loose, ${how}`,
      both: `tight and loose in one turn, ${how}`,
      none: `not decided ${how}`,
    }[side ?? "none"];
  return {
    tight: `too tight, ${how}`,
    loose: `too loose, ${how}`,
    both: `too tight and too loose in one turn, ${how}`,
    none: `not right, ${how}`,
  }[side ?? "none"];
}
