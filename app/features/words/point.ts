import type { Provisional } from "~/core/logbook";
import type { OpenPoint } from "~/data/queries/open-points";
import { provisionalWords } from "./state";

/** What is open, in words: as it was said, or what a signature left provisional. */
export function pointWords({ code, text }: Pick<OpenPoint, "code" | "text">): string {
  const provisional = provisionalWords[code as Provisional];
  return [provisional, text].filter(Boolean).join(": ");
}
