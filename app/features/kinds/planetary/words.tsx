import { formatNumber } from "~/app/features/words/figure";
import type { KindWords } from "../kind-words";
import { tightSpotOf } from "../kind-words";
import { perUnitWords } from "../per-unit-words";
import { helicalFigures } from "./helical-figures";

export const planetary: KindWords<"planetary"> = {
  name: "planetary set",
  caution: "Planetary set: the output may run free when it is opened. Hold the load.",
  size: (_, { set }) => [set.sun, ...set.planet, ...set.ring].join(" / "),
  line: (reader, { set, helix }, head) => {
    const ring = (name: string, deg: number | undefined) =>
      deg ? `, ${name} ${formatNumber(reader, Math.abs(deg), 0)}° ${deg > 0 ? "right" : "left"}` : "";
    const rings = helix
      ? `${ring(set.kind === "simple" ? "ring" : "ring 1", helix.ring1Deg)}${ring("ring 2", helix.ring2Deg)}`
      : "";
    return `${head}, ${set.planets} planets${rings}`;
  },
  drawn: (places) => `${places} places`,
  tightSpot: () => tightSpotOf.mesh,
  beforeReading: () =>
    "Hold the input still and turn the output both ways: what is felt is the play of both meshes and of the planets' bearings. The output may run free when the set is opened.",
  stand: (where) => (
    <>
      At {where}, {tightSpotOf.mesh}.{" "}
    </>
  ),
  parting: (_, way) => (way === "apart" ? "Part them" : "Bring them together"),
  notRound: () => "the carrier is not round",
  nothingToAdjust: "Nothing on a planetary set can be adjusted: its play is made by teeth, planet bearings and pins.",
  sensitivity: perUnitWords,
  waves: () => null,
  madeOf: () => "",
  side: () => "",
  afterEachPart: () => null,
  thrust: null,
  facts: helicalFigures,
  ways: ["opens the centres", "closes the centres"],
};
