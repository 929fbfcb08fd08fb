import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { lengthUnit } from "~/app/features/words/spoken";
import { degrees } from "~/core/numerics";
import { type WormElement, wormFriction } from "~/core/stages";
import { wormPair } from "~/core/worms";
import type { KindWords } from "../kind-words";
import { shortFigure as f } from "../plain-words";
import { toothedWords } from "../toothed/words";

export const worm: KindWords<"worm"> = {
  ...toothedWords,
  name: "worm and wheel",
  caution:
    "Worm: self-locking is no brake. Land the load before anything is slackened; no hand or rag where the worm runs in.",
  size: (_, element) => `${element.worm.wormStarts} : ${element.worm.wheelTeeth}`,
  line: (reader, element, head) =>
    `${head}, axial module ${f(reader, element.worm.axialModuleMm)}, ${element.hand}-hand`,
  drawn: (places) => `Wheel of ${places} teeth`,
  stand: (where) => <>Stand the wheel with {where}, the tight spot, at the worm. </>,
  beforeReading: (element) =>
    `${holds(element) ? "Hold the load and turn it from the worm alone, at the motor's end: to and fro until the wheel just follows each way, read at the wheel." : "Hold the load and release the drive; then rock the wheel both ways with the worm locked along its axis."} What the worm floats is read apart: no mesh adjustment takes it away. A worm that seems self-locking is no brake.`,
  parting: (_, way) => (way === "apart" ? "Move the worm away from the wheel" : "Move the worm towards the wheel"),
  sensitivity: (reader, element, sensitivity) => {
    const length = lengthUnit(reader);
    return `2·tan ${formatNumber(reader, wormPair(element.worm).axialPressureAngleDeg, 2)}° = ${formatNumber(reader, sensitivity, 3)} ${length} at the wheel for each ${length} of centre distance (ISO/TR 14521 symbols)`;
  },
  side: (_, quantity) =>
    quantity === "end-float"
      ? " It feels like play of the mesh, and no mesh adjustment takes it away: it belongs to the worm's bearings."
      : "",
  afterEachPart: (reader, element) =>
    `After every part ${freeTurnWords(reader, element)}: it must run free, with no tight spot.`,
  thrust: {
    driver: "worm",
    driven: "wheel",
    seen: "seen from where it is driven",
    friction: `with a friction of ${wormFriction} (common practice)`,
  },
};

/** Of a worm that cannot be driven by its wheel the output is never turned: the worm is, by so many turns. */
const leadThatHolds = 15;

/** Whether its lead is so small that its wheel does not turn it. */
const holds = ({ worm: w }: Pick<WormElement, "worm">): boolean =>
  degrees(Math.atan((w.wormStarts * w.axialModuleMm) / w.wormPitchDiameterMm)) < leadThatHolds;

/** How a worm stage is felt free: by its output where the lead lets it, else by so many turns of the worm. */
export function freeTurnWords(reader: Reader, { worm: w }: WormElement): string {
  const turns = w.wheelTeeth / w.wormStarts;
  return holds({ worm: w })
    ? `turn the worm ${Number.isInteger(turns) ? turns : formatNumber(reader, turns, 1)} turns by hand, one turn of the output (a worm of so small a lead cannot be turned from its output, and must not be forced)`
    : "release the drive and turn the output a turn by hand";
}
