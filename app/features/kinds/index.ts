import type { ReactNode } from "react";
import type { Reader } from "~/app/features/words/reader";
import type { StrandShape } from "~/core/chains";
import type { RoundFit } from "~/core/rounds";
import type { Elements, SideQuantity, StageElement, StageKind } from "~/core/stages";
import { axis } from "./axis/words";
import { bevel } from "./bevel/words";
import { chain } from "./chain/words";
import { coupling } from "./coupling/words";
import { gap } from "./gap/words";
import { gearPair } from "./gear-pair/words";
import { type KindWords, lineOf, type Way } from "./kind-words";
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
  coupling,
  gap,
  axis,
};

export const wordsOf = <K extends StageKind>(element: Elements[K] & { kind: K }): KindWords<K> =>
  kindWords[element.kind];

/** "worm and wheel". */
export const kindName = (kind: StageKind): string => kindWords[kind].name;

/** Teeth or diameters, as they stand beside a stage's name. */
export const sizeWords = (reader: Reader, element: StageElement): string => wordsOf(element).size(reader, element);

/** The stage in a line: "toothed belt 20 : 60, pitch 5 mm, 120 teeth". */
export const elementWords = (reader: Reader, element: StageElement): string =>
  lineOf(wordsOf(element), reader, element);

/** What else is to be known of it, by name. */
export const factsOf = (reader: Reader, element: StageElement): (readonly [string, string])[] =>
  wordsOf(element).facts?.(reader, element) ?? [];

/** What it loads beside itself at the mean of what was read: the pull of a belt on its shafts; null: nothing is known. */
export const loadsOf = (reader: Reader, element: StageElement, mean: number): readonly [string, string] | null =>
  wordsOf(element).loads?.(reader, element, mean) ?? null;

/** What it has to pull at a torque of its driver (null: not known), and where that is worked on; null: it pulls nothing. */
export function pullsOf(
  reader: Reader,
  element: StageElement,
  torqueNm: number | null,
): { said: string; bench: string | null } | null {
  const { pulls } = wordsOf(element);
  if (!pulls) return null;
  return torqueNm === null
    ? { said: "the motor's torque is not known.", bench: null }
    : pulls(reader, element, torqueNm);
}

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
export const sensitivityWords = (
  reader: Reader,
  element: StageElement,
  sensitivity: number,
  strand: StrandShape = "arc",
): string => wordsOf(element).sensitivity(reader, element, sensitivity, strand);
export const wavesOfKind = (reader: Reader, element: StageElement, fit: RoundFit): string | null =>
  wordsOf(element).waves(reader, element, fit);
export const sideRemark = (element: StageElement, quantity: SideQuantity): string =>
  wordsOf(element).side(element, quantity);
export const afterEachPart = (reader: Reader, element: StageElement): string | null =>
  wordsOf(element).afterEachPart(reader, element);
export const thrustWords = (element: StageElement) => wordsOf(element).thrust;
