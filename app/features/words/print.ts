import type { PrintFinding, PrintKind, PrintMove } from "~/core/prints";
import { formatNumber } from "./figure";
import type { Reader } from "./reader";
import { lengthWords } from "./spoken";

/** What the two ends of a flank are called. */
export const printEnds: Record<PrintKind, readonly [string, string]> = {
  spur: ["flange or motor end", "far end"],
  "ring-pinion": ["flange or motor end", "far end"],
  bevel: ["toe", "heel"],
  worm: ["one face", "other face"],
};

export const printKindWords: Record<PrintKind, string> = {
  spur: "two gears",
  "ring-pinion": "pinion and ring gear",
  bevel: "bevel pair",
  worm: "worm and wheel",
};

export const findingWords: Record<PrintFinding, string> = {
  deep: "The print lies deep, near the root: too close.",
  high: "The print lies high, near the tips: too far apart.",
  "flanks-apart-in-depth": "One flank is deep and the other high: look at the teeth, or print again.",
  "one-end": "The print lies at one end on one flank alone.",
  inclined: "Both flanks touch at the same end: the shafts are inclined.",
  crossed: "The flanks touch at opposite ends: the shafts are crossed.",
  toe: "Both flanks touch at the toe.",
  heel: "Both flanks touch at the heel.",
  "one-side": "Both flanks touch at the same side of the wheel.",
  offset: "The flanks touch at opposite ends: the shafts do not meet.",
  "flanks-apart": "The flanks touch at opposite ends.",
  "shaft-angle": "The print runs slantwise across the wheel: the shaft angle is off.",
  diagonal: "The print runs diagonally: a tooth or lead error, or a bad print. Print again, and look at the tooth.",
  short: "The print is short, though it lies where it should: enough at no load; it grows under load.",
};

/** What the print as a whole says. */
export const printWords = (findings: readonly PrintFinding[], ok: boolean): string => {
  const [first] = findings;
  return first === undefined
    ? "The print lies where it should."
    : ok
      ? `Right. ${findingWords[first]}`
      : findingWords[first];
};

/** A move in a sentence: what to do, how much as a first step, and that it is printed again. */
export function printMoveWords(reader: Reader, move: PrintMove, ends: readonly [string, string]): string {
  const step = move.amountMm === undefined ? "" : ` by ${lengthWords(reader, move.amountMm, 2)} as a first step`;
  const end = (at: 0 | 1 | undefined) => (at === undefined ? "" : ends[at]);
  const tilt =
    move.mmPerMm === undefined
      ? ""
      : `, by ${formatNumber(reader, move.mmPerMm, 4)} mm a mm at least${
          move.shimMm === undefined
            ? `, ${lengthWords(reader, move.acrossFaceMm ?? 0, 3)} over the face`
            : `: ${lengthWords(reader, move.shimMm, 2)} of shim under one pair of bolts. Halve it, print again`
        }`;
  switch (move.what) {
    case "apart":
      return `Move the teeth apart${step}; in a shim pack, add. Print again.`;
    case "together":
      return `Bring the teeth together${step}; in a shim pack, take out. Never past the least backlash. Print again.`;
    case "pinion-in":
      return "Bring the pinion in, towards the apex. Read the backlash, then print again.";
    case "pinion-out":
      return "Bring the pinion out, away from the apex. Read the backlash, then print again.";
    case "gear-in":
      return "Bring the gear in, towards the apex. Read the backlash, then print again.";
    case "gear-out":
      return "Bring the gear out, away from the apex. Read the backlash, then print again.";
    case "print-other-flank":
      return "Print the other flank too: one alone cannot tell inclined from crossed.";
    case "look-at-tooth":
      return "Look at that tooth: a burr, a damaged flank, a gear not seated. Re-seat it, try another tooth.";
    case "tilt":
      return `Tilt the shaft so that it parts at the ${end(move.partAt)}${tilt}.`;
    case "swing":
      return `Swing the shaft out of the common plane${tilt}. Which way, a second print tells.`;
    case "wheel-axially":
      return `Move the wheel along its shaft, towards the ${end(move.towards)}. Print again.`;
    case "shafts-to-meet":
      return "Bring the shafts to meet: one passes beside the other. Check the seats and the housing.";
    case "shaft-angle":
      return "Look at the shaft angle: seats, housing, a bent shaft. No shim along a shaft cures it.";
  }
}
