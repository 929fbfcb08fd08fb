import { formatNumber } from "~/app/features/words/figure";
import type { KindWords } from "../kind-words";
import { shortFigure as f } from "../plain-words";
import { vPull } from "../runs/pull-words";
import { beltWords } from "../runs/words";

export const vBelt: KindWords<"v-belt"> = {
  ...beltWords,
  name: "V-belt",
  caution: "Belts: slacken them, never roll or lever them on. The nip is where they run onto the pulley.",
  size: (reader, { pitchDiameterMm }) => pitchDiameterMm.map((d) => `⌀${formatNumber(reader, d, 0)}`).join(" : "),
  line: (reader, { belts, lengthMm }, head) =>
    `${belts > 1 ? `${belts} ${head.replace("belt", "belts")}` : head}, ${f(reader, lengthMm, 0)} mm long`,
  drawn: (places) => `${places} places`,
  beforeReading: ({ belts }) =>
    belts > 1
      ? "Turn the drive two turns by hand first. Read each belt by itself: they share a load only at equal tension. Never lever or roll a belt on."
      : "Turn the drive two turns by hand first, so that the belt seats. Pluck or press the span in its middle. Never lever or roll a belt on.",
  pulls: vPull,
  lookOver: [
    "Grooves gauged: no step worn into their flanks",
    "The belt stands proud of the groove and does not bottom",
    "All belts of a set of one make, length and age",
    "Put on slack: not levered or rolled over the rim",
  ],
  lookAgain: "New V-belts lose 20 to 40 % in 24 to 48 hours: look again after them (common practice).",
  runInDays: 2,
  notRound: ({ belts }) =>
    belts > 1 ? "the belts of the set are not alike" : "a pulley is not round, or sits off centre",
};
