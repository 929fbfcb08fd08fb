import type { ReactNode } from "react";
import { frameOf, leastPlaces, type StageElement } from "~/core/stages";
import { standAt } from "../../kinds";
import { placeOf } from "../../words/quantity";

/** Where to stand the part while setting: always at its tight spot. null where there is but one place. */
export function standWords(element: StageElement, place: number | null): ReactNode {
  if (place === null || leastPlaces(frameOf(element)) === 1) return null;
  return standAt(element, <span className="text-copper">{placeOf(element, place)}</span>);
}
