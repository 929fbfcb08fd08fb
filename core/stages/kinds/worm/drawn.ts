import { gearOutline, spurBlank } from "../../toothed/outline";
import type { KindDrawn } from "../kind-drawn";
import { wormShapes } from "./shapes";

export const wormDrawn: KindDrawn<"worm"> = {
  shapes: wormShapes,
  outline: ({ worm: { wheelTeeth, axialModuleMm, pressureAngleDeg } }) =>
    gearOutline(spurBlank(wheelTeeth, axialModuleMm, pressureAngleDeg)),
};
