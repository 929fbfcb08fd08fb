import type { ReactNode } from "react";
import { tightSpotOf } from "../kind-words";

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
  ways: ["opens the centres", "closes the centres"],
} as const;
