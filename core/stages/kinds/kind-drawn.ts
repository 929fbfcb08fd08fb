import type { PartOutline, StageShapes } from "../../drawing";
import type { Elements, StageKind } from "../element";

/** How a kind of stage is drawn; apart from what is computed of it, for most pages draw none. */
export type KindDrawn<K extends StageKind> = {
  /** null: it has no geometry. */
  shapes: (element: Elements[K]) => StageShapes | null;
  outline: (element: Elements[K]) => PartOutline;
};
