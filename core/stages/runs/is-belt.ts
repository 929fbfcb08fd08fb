import type { BeltElement, StageElement } from "../element";

export const isBelt = (element: StageElement): element is BeltElement =>
  element.kind === "toothed-belt" || element.kind === "v-belt";
