import { type KindWords, tightSpotOf } from "../kind-words";
import { perUnitWords } from "../per-unit-words";

const whatWords = {
  "end-float": "end float",
  "pinion-clearance": "pinion clearance",
  "running-clearance": "running clearance",
} as const;

export const gap: KindWords<"gap"> = {
  name: "gap",
  caution: "Shims: support the part before its screws are out. On vehicles the battery's negative lead off, on stands.",
  size: () => "",
  line: (_, { what }) => whatWords[what],
  drawn: (places) => `${places} places`,
  tightSpot: () => tightSpotOf.gap,
  beforeReading: () =>
    "Take the play out towards the same side each time, then feel for an even drag. With a pin or feeler, the largest that goes in by hand counts.",
  stand: (where) => (
    <>
      At {where}, {tightSpotOf.gap}.{" "}
    </>
  ),
  parting: (_, way) => (way === "apart" ? "Part them" : "Bring them together"),
  notRound: () => "the faces are not parallel",
  nothingToAdjust: "This stage has nothing to adjust.",
  sensitivity: perUnitWords,
  waves: () => null,
  madeOf: () => "",
  side: () => "",
  afterEachPart: () => null,
  thrust: null,
  ways: ["opens the gap", "closes the gap"],
};
