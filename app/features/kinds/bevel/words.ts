import { formatNumber } from "~/app/features/words/figure";
import { lengthUnit } from "~/app/features/words/spoken";
import { bevelPair } from "~/core/bevels";
import type { KindWords } from "../kind-words";
import { shortFigure as f } from "../plain-words";
import { toothedWords } from "../toothed/words";

export const bevel: KindWords<"bevel"> = {
  ...toothedWords,
  name: "bevel pair",
  caution: "Bevels: support the member before its screws are out; take prints braked and guarded.",
  size: (_, element) => element.bevel.teeth.join(" : "),
  line: (reader, element, head) =>
    `${head}, module ${f(reader, element.bevel.moduleMm)}, shafts at ${f(reader, element.bevel.shaftAngleDeg, 1)}°`,
  beforeReading: () =>
    "Support the member that is shimmed. Rock the shafts first, then read the gear with the pinion held. The gear's shims set the backlash, the pinion's the contact pattern; after one, look at the other again.",
  parting: ({ shimmed }, way) => `Move the ${shimmed} ${way === "apart" ? "away from" : "towards"} the apex`,
  sensitivity: (reader, { bevel: pair, shimmed }, sensitivity) => {
    const delta = bevelPair(pair).pitchAngleDeg[shimmed === "pinion" ? 0 : 1];
    const length = lengthUnit(reader);
    const slope = `2·tan ${formatNumber(reader, pair.pressureAngleDeg, 1)}°·sin ${formatNumber(reader, delta, 2)}°/cos ${formatNumber(reader, pair.spiralAngleDeg, 1)}°`;
    return `${slope} = ${formatNumber(reader, sensitivity, 3)} ${length} of backlash for each ${length} that the ${shimmed} is moved along its axis (ISO 23509)`;
  },
  thrust: { driver: "pinion", driven: "gear", seen: "seen from its back", friction: "without friction" },
  ways: ["moves the member away from the apex", "moves the member towards the apex"],
};
