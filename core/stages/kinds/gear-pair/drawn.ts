import { gearBlanks } from "../../../gears";
import { gearOutline } from "../../toothed/outline";
import type { KindDrawn } from "../kind-drawn";
import { gearShapes } from "./shapes";

export const gearPairDrawn: KindDrawn<"gear-pair"> = {
  shapes: ({ pair }) => gearShapes(pair),
  outline: ({ pair }) => gearOutline(gearBlanks(pair)[1]),
};
