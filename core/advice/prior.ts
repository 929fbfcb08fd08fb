import { lawOf, type StageElement } from "../stages";
import type { Adjuster } from "./adjusters";
import { gainOf } from "./adjusters";
import type { Response } from "./response";

/** One standard deviation of what an adjuster is expected to do before any move has taught (common practice). */
const widths = { geometry: 0.15, stiffness: 0.3, "guessed-stiffness": 0.3 } as const;

/** Whether a belt's stiffness is a guess: its first moves are then safe parts (`tensionFirst`). */
export const stiffnessGuessed = (element: StageElement): boolean => lawOf(element) === "guessed-stiffness";

/** As a part of the response: narrow where the law is plain geometry, wide where a part of it is guessed, as a belt's stiffness in its frame is. */
export const priorWidth = (element: StageElement): number => widths[lawOf(element)];

/**
 * What a unit of the adjuster is expected to do by its law. The same in advice, picture and words.
 *
 * @param sensitivity change of the quantity per mm of centre distance; of sag that of its square
 * @returns per unit of the amount; for an eccentric a factor on its law
 */
export function priorResponse(element: StageElement, adjuster: Adjuster, sensitivity: number): Response {
  const perUnit = adjuster.type === "eccentric" ? 1 : sensitivity * gainOf(adjuster);
  return { perUnit, sd: priorWidth(element) * Math.abs(perUnit) };
}
