import { markedWheel } from "../../../drawing";
import type { KindDrawn } from "../kind-drawn";
import { gapShapes } from "./shapes";

export const gapDrawn: KindDrawn<"gap"> = {
  shapes: gapShapes,
  outline: ({ places }) => markedWheel(places),
};
