import { useMemo } from "react";
import { type StageElement, stageShapes } from "~/core/stages";
import { drawnOnce } from "./drawn-once";
import { type Drawn, ShapesDrawing } from "./shapes-drawing";

export const drawnStage = drawnOnce((element: StageElement) => element, stageShapes);

/** A stage of any kind as it is, to scale. */
export function StageDrawing({ element, ...rest }: Drawn & { element: StageElement }) {
  const drawn = useMemo(() => drawnStage(element), [element]);
  return drawn && <ShapesDrawing drawn={drawn} {...rest} />;
}
