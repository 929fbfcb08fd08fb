import type { Reader } from "~/app/features/words/reader";
import { decimalsFor } from "~/core/quantity";
import type { Instrument } from "~/core/records";
import {
  type Frame,
  frameOf,
  type JudgedQuantity,
  judgedBy,
  judgedUnit,
  onBelt,
  type SideQuantity,
  type StageElement,
  sideUnit,
} from "~/core/stages";
import { judgedWords } from "./quantity-names";
import { type Spoken, spoken } from "./spoken";

/** The unit in which a stage is spoken of, and what it is judged by: "0.12 mm", "0.0047 in", "240 N", "12.5 arcmin". */
export type StageUnit = Spoken & { quantity: JudgedQuantity; name: string };

export function stageUnit(reader: Reader, element: StageElement): StageUnit {
  const quantity = judgedBy(element);
  return { ...judgedIn(reader, quantity), quantity, name: judgedWords[quantity] };
}

export function judgedIn(reader: Reader, quantity: JudgedQuantity): Spoken {
  const { unit, digits } = judgedUnit[quantity];
  return spoken(reader, unit, digits);
}

export function sideIn(reader: Reader, quantity: SideQuantity): Spoken {
  const { unit, digits } = sideUnit[quantity];
  return spoken(reader, unit, digits);
}

/** Of readings in millimetres as finely as the instrument shows them, of all else as its unit has it. */
export function readIn(
  reader: Reader,
  element: StageElement,
  { dimension, resolution }: Pick<Instrument, "dimension" | "resolution">,
): Spoken {
  const { unit, digits } = judgedUnit[judgedBy(element)];
  return spoken(reader, unit, unit === "mm" && dimension === "length" ? decimalsFor(resolution) : digits);
}

/** "tooth 5", "place 2", "link 12", "belt 2, place 1". */
export function placeWords(frame: Frame, place: number): string {
  const { belt, place: on } = onBelt(frame, place);
  return frame.belts > 1 ? `belt ${belt}, place ${on}` : `${frame.word} ${on}`;
}
export const placeOf = (element: StageElement, place: number): string => placeWords(frameOf(element), place);
