import type { ReactNode } from "react";
import type { StrandShape } from "~/core/chains";
import type { Elements, SideQuantity, StageElement, StageKind } from "~/core/stages";
import { bevel } from "./bevel/words";
import { chain } from "./chain/words";
import { gap } from "./gap/words";
import { gearPair } from "./gear-pair/words";
import type { KindWords, Way } from "./kind-words";
import { planetary } from "./planetary/words";
import { toothedBelt } from "./toothed-belt/words";
import { vBelt } from "./v-belt/words";
import { worm } from "./worm/words";

export const kindWords: { readonly [K in StageKind]: KindWords<K> } = {
  "gear-pair": gearPair,
  worm,
  bevel,
  planetary,
  "toothed-belt": toothedBelt,
  "v-belt": vBelt,
  chain,
  gap,
};

const wordsOf = <K extends StageKind>(element: Elements[K] & { kind: K }): KindWords<K> => kindWords[element.kind];

/** "worm and wheel". */
export const kindName = (kind: StageKind): string => kindWords[kind].name;

/** Teeth or diameters, as they stand beside a stage's name. */
export const sizeWords = (element: StageElement): string => wordsOf(element).size(element);

/** The stage in a line: "toothed belt 20 : 60, pitch 5 mm, 120 teeth". */
export const elementWords = (element: StageElement): string =>
  wordsOf(element).line(element, `${wordsOf(element).name} ${sizeWords(element)}`.trim());

/** Of what its parts are made; empty: nobody said. */
export const madeOf = (element: StageElement): string => wordsOf(element).madeOf(element);

/** What the tight spot is called on a stage of this kind. */
export const tightWords = (element: StageElement): string => wordsOf(element).tightSpot(element);

export const drawnWords = (element: StageElement, places: number): string => wordsOf(element).drawn(places);
export const beforeReading = (element: StageElement): string => wordsOf(element).beforeReading(element);
export const standAt = (element: StageElement, where: ReactNode): ReactNode => wordsOf(element).stand(where);
export const partingWay = (element: StageElement, way: Way): string => wordsOf(element).parting(element, way);
export const notRound = (element: StageElement): string => wordsOf(element).notRound(element);
export const nothingToAdjust = (element: StageElement): string => wordsOf(element).nothingToAdjust;
export const sensitivityWords = (element: StageElement, sensitivity: number, strand: StrandShape = "arc"): string =>
  wordsOf(element).sensitivity(element, sensitivity, strand);
export const wavesOfKind: (element: StageElement, fit: Parameters<KindWords<"gap">["waves"]>[1]) => string | null = (
  element,
  fit,
) => wordsOf(element).waves(element, fit);
export const sideRemark = (element: StageElement, quantity: SideQuantity): string =>
  wordsOf(element).side(element, quantity);
export const afterEachPart = (element: StageElement): string | null => wordsOf(element).afterEachPart(element);
export const thrustWords = (element: StageElement) => wordsOf(element).thrust;
