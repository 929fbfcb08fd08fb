import type { Reader } from "~/app/features/words/reader";
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

/** "tooth 5", "place 2", "link 12", "belt 2, place 1", or what people call it: "drive side". */
export function placeWords(frame: Frame, place: number): string {
  const { belt, place: on } = onBelt(frame, place);
  const counted = () =>
    frame.word === "turn" || frame.word === "round" ? shareWords(frame, on) : `${frame.word} ${on}`;
  const where = frame.names?.[on - 1] ?? counted();
  return frame.belts > 1 ? `belt ${belt}, ${where}` : where;
}

const eighths = ["", "⅛", "¼", "⅜", "½", "⅝", "¾", "⅞"];

/** How far round a place is, from the mark: an eighth of a turn where it is as near to one as a place can be, else in degrees. */
function shareWords({ word, places }: Frame, on: number): string {
  if (on === 1) return "the mark";
  const share = (on - 1) / places;
  const nearest = Math.round(8 * share);
  const name = eighths[nearest % 8];
  return name && Math.abs(share - nearest / 8) <= 0.5 / places + 1e-9
    ? `${name} ${word}`
    : `${Math.round(360 * share)}° ${word === "turn" ? "on" : "round"}`;
}

/** What the next place is called where one goes on to it. */
export const nextPlaceWord: Record<Frame["word"], string> = {
  tooth: "tooth",
  place: "place",
  link: "link",
  turn: "place",
  round: "place",
};
export const placeOf = (element: StageElement, place: number): string => placeWords(frameOf(element), place);
