import type { Reader } from "~/app/features/words/reader";
import type { Provisional } from "~/core/logbook";
import type { NamedPoint } from "~/data/queries/open-points";
import { leftWords } from "./provisional";
import { provisionalWords } from "./state";

/** What is open, in words: as it was said, or what a signature left provisional, with the figures that it left. */
export function pointWords(reader: Reader, { code, text, left }: Pick<NamedPoint, "code" | "text" | "left">): string {
  if (code === "order") return `To order: ${text}`;
  if (code === "damage") return `Damage: ${text}`;
  const provisional = left ? leftWords(reader, code as Provisional, left) : provisionalWords[code as Provisional];
  return [provisional, text].filter(Boolean).join(": ");
}
