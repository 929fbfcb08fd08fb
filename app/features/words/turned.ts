import type { TurnedBy } from "~/core/records";

/** From which end a stage is turned for reading. */
export const turnedWords: Record<TurnedBy, string> = {
  either: "It can be turned from either end.",
  input: "Turn it from the motor: from the output it must not be forced.",
  output: "Turn it from the output.",
  power: "It cannot be turned by hand.",
};
