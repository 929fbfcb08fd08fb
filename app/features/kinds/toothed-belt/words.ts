import type { KindWords } from "../kind-words";
import { shortFigure as f } from "../plain-words";
import { toothedPull } from "../runs/pull-words";
import { beltWords } from "../runs/words";

export const toothedBelt: KindWords<"toothed-belt"> = {
  ...beltWords,
  name: "toothed belt",
  caution: "Belts: slacken them, never roll or lever them on. The nip is where they run onto the pulley.",
  size: (_, { teeth }) => teeth.join(" : "),
  line: (reader, { pitchMm, beltTeeth }, head) => `${head}, pitch ${f(reader, pitchMm)} mm, ${beltTeeth} teeth`,
  drawn: (places) => `Pulley of ${places} teeth`,
  beforeReading: () =>
    "Turn the drive two turns by hand first, so that the belt seats. Pluck or press the longest free span in its middle; the same span each time.",
  pulls: toothedPull,
  lookOver: [
    "Two turns by hand: the belt sits in its teeth and climbs no flange",
    "Edges not frayed, no teeth cracked at their roots",
    "The plate that carries it did not bend as it was tightened",
  ],
  lookAgain: "A new toothed belt is looked at once more after some hours; then it keeps (common practice).",
  runInDays: 2,
  notRound: () => "a pulley is not round, or sits off centre",
};
