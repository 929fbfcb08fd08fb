import { markedWheel } from "../../../drawing";
import type { KindDrawn } from "../kind-drawn";
import { couplingShapes } from "./shapes";

export const couplingDrawn: KindDrawn<"coupling"> = {
  shapes: couplingShapes,
  outline: () => markedWheel(1),
};
