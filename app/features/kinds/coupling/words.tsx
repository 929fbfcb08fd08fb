import type { CouplingElement } from "~/core/stages";
import { type KindWords, tightSpotOf } from "../kind-words";
import { perUnitWords } from "../per-unit-words";
import { shortFigure } from "../plain-words";

export const makeWords: Record<CouplingElement["make"], string> = {
  jaw: "jaws with an elastic spider",
  disc: "discs",
  bellows: "bellows",
  gear: "gear teeth",
  rigid: "rigid sleeve",
};

export const coupling: KindWords<"coupling"> = {
  name: "coupling",
  caution:
    "Coupling: both machines are locked out, the driven one too. Turn by hand alone, loose keys taken out; support a hub before its screws are out.",
  size: (reader, { ends }) => ends.map(({ shaftMm }) => `⌀${shortFigure(reader, shaftMm, 1)}`).join(" : "),
  line: (reader, { make, gapMm }, head) => `${head}, ${makeWords[make]}, ${shortFigure(reader, gapMm)} mm apart`,
  drawn: () => "Rim of the hub",
  tightSpot: () => tightSpotOf.coupling,
  beforeReading: () =>
    "Turn both shafts together, so that no hub's own runout goes into it, and take the end float out the same way each time.",
  stand: (where) => <>At {where}. </>,
  parting: (_, way) => (way === "apart" ? "Raise it" : "Lower it"),
  notRound: () => "the shafts do not lie in one line",
  nothingToAdjust: "No one adjuster sets it: its feet are shimmed and moved, as the readings at four places say.",
  sensitivity: perUnitWords,
  waves: () => null,
  madeOf: () => "",
  side: (_, quantity) =>
    quantity === "angle" ? "One hub's face against the other's, as the coupling is turned; 1 mm a metre is 0.06°." : "",
  afterEachPart: () => "Turn both shafts a turn by hand: it goes as free as it did.",
  thrust: null,
  ways: ["raises the movable shaft", "lowers the movable shaft"],
};
