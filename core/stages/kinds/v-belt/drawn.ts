import { markedWheel } from "../../../drawing";
import { placeCount } from "../../frame";
import { beltShapes } from "../../runs/shapes";
import type { KindDrawn } from "../kind-drawn";
import { vBelt } from ".";

export const vBeltDrawn: KindDrawn<"v-belt"> = {
  shapes: (element) =>
    beltShapes(element, { role: "belt", thickMm: 0.06 * Math.min(...element.pitchDiameterMm), wheel: null }),
  outline: (element) => markedWheel(placeCount(vBelt.frame(element))),
};
