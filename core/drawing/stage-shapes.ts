import type { StageElement } from "../stages";
import { beltShapes } from "./belt-shapes";
import { bevelShapes } from "./bevel-shapes";
import { gapShapes } from "./gap-shapes";
import { gearShapes } from "./gear-shapes";
import { planetaryShapes } from "./planetary-shapes";
import type { StageShapes } from "./shape";
import { wormShapes } from "./worm-shapes";

/** The drawing of a stage, to scale; null where it has no geometry. */
export function stageShapes(element: StageElement): StageShapes | null {
  switch (element.kind) {
    case "gear-pair":
      return gearShapes(element.pair);
    case "worm":
      return wormShapes(element);
    case "bevel":
      return bevelShapes(element);
    case "planetary":
      return planetaryShapes(element);
    case "toothed-belt":
    case "v-belt":
    case "chain":
      return beltShapes(element);
    case "gap":
      return gapShapes(element);
  }
}
