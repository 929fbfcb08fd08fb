import type { ForceSweep } from "~/core/shifting";
import type { MarkState } from "~/ui/state-mark";
import { formatNumber } from "./figure";
import type { Reader } from "./reader";

export const sweepCauseWords: Record<NonNullable<ForceSweep["cause"]>, string> = {
  follows: "It rises all along: the stop does not bottom, the mesh takes the force.",
  "gives-way": "It holds at first and then rises: a stop, an arm or the frame gives way.",
  settles: "It rises and then holds: the stop bottoms only at a higher force. Work and read there.",
  unknown: "What yields cannot be told: give at least two forces in each half of the range.",
};

export const sweepState: Record<ForceSweep["verdict"], MarkState> = {
  flat: "inside",
  undecided: "near",
  rises: "outside",
};

/** Where the current surely falls as the force rises: the actuator, the meter or the order of the figures wants looking at. */
const fallsWords =
  "Flat for the stop, but the current falls as the force rises: look whether force and current stand beside each other as they were read, and whether the actuator pushes the way it should";

/** What a sweep of an actuator's force says. */
export const sweepWords = (
  reader: Reader,
  { verdict, risePercent, slopeInterval: [, most] }: Pick<ForceSweep, "verdict" | "risePercent" | "slopeInterval">,
): string => {
  if (most < 0) return fallsWords;
  const rise = formatNumber(reader, risePercent, 1);
  return {
    flat: "Flat: the stop carries the force",
    rises: `It rises by ${rise} %: the mesh feels the force`,
    undecided: `Not decided: ${rise} % on these figures; take more steps, or a finer meter`,
  }[verdict];
};
