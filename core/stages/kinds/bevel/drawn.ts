import { gearOutline, spurBlank } from "../../toothed/outline";
import type { KindDrawn } from "../kind-drawn";
import { bevelShapes } from "./shapes";

export const bevelDrawn: KindDrawn<"bevel"> = {
  shapes: bevelShapes,
  outline: ({ bevel: { teeth, moduleMm, pressureAngleDeg } }) =>
    gearOutline(spurBlank(teeth[1], moduleMm, pressureAngleDeg)),
};
