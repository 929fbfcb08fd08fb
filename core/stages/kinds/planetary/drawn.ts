import { markedWheel } from "../../../drawing";
import { marks } from "../../frame";
import type { KindDrawn } from "../kind-drawn";
import { planetaryShapes } from "./shapes";

export const planetaryDrawn: KindDrawn<"planetary"> = {
  shapes: planetaryShapes,
  outline: () => markedWheel(marks),
};
