import { markedWheel } from "../../../drawing";
import type { KindDrawn } from "../kind-drawn";
import { axisShapes } from "./shapes";

export const axisDrawn: KindDrawn<"axis"> = {
  shapes: axisShapes,
  outline: () => markedWheel(2),
};
