import type { FeltJudged } from "~/core/logbook";
import type { MarkState } from "~/ui/state-mark";

/** The state of a verdict by feel; it is said to be one wherever it is shown. */
export const feltState: Record<FeltJudged["verdict"], MarkState> = {
  inside: "inside",
  near: "near",
  outside: "outside",
  "not-known": "unknown",
};

/** What a round by feel says, in a line. */
export function feltWords({ verdict, side }: Pick<FeltJudged, "verdict" | "side">): string {
  switch (verdict) {
    case "inside":
      return "right by feel";
    case "not-known":
      return "too few places felt to tell";
    case "near":
      return {
        tight: "leans to tight, by feel",
        loose: "leans to loose, by feel",
        both: "tight and loose in one turn, by feel",
      }[side ?? "both"];
    case "outside":
      return {
        tight: "too tight, by feel",
        loose: "too loose, by feel",
        both: "too tight and too loose in one turn, by feel",
      }[side ?? "both"];
  }
}
