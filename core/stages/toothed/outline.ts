import type { PartOutline } from "../../drawing";
import { type GearBlank, toothCircles, toothOutlines } from "../../gears";

/** A gear with its true teeth. */
export function gearOutline(blank: GearBlank): PartOutline {
  const circles = toothCircles(blank);
  return {
    outline: toothOutlines(blank),
    tipRadius: circles.tipDiameterMm / 2,
    rootRadius: circles.rootDiameterMm / 2,
  };
}

/** A wheel drawn as a plain spur gear of its teeth. */
export const spurBlank = (teeth: number, moduleMm: number, pressureAngleDeg: number): GearBlank => ({
  teeth,
  moduleMm,
  pressureAngleDeg,
  helixAngleDeg: 0,
  profileShift: 0,
  thinningMm: 0,
  ring: false,
});
