import type { ReactNode } from "react";
import { formatNumber } from "~/app/features/words/figure";
import { tightSpotOf } from "../kind-words";

/** A figure without zeros at its end: "2.5", "20". */
export const shortFigure = (value: number, digits = 3): string =>
  formatNumber(value, digits)
    .replace(/(\.\d*?)0+$/, "$1")
    .replace(/\.$/, "");

/** What gear pairs, worms and bevels have in common. */
export const toothedWords = {
  tightSpot: () => tightSpotOf.mesh,
  drawn: (places: number) => `Gear of ${places} teeth`,
  stand: (where: ReactNode) => <>Stand the gear with {where}, the tight spot, in mesh. </>,
  notRound: () => "the gear is not round",
  nothingToAdjust: "This stage has nothing to adjust.",
  waves: () => null,
  madeOf: () => "",
  side: () => "",
  afterEachPart: () => null,
  ways: ["parts the centres", "brings the centres together"],
} as const;
