import { degrees, radians } from "../../numerics";
import { accept, type Result } from "../../quantity";
import type { Frame } from "../frame";
import type { RockedWheel } from "../kinds/kind";
import { linear, type MeasuringWay, type ToJudged } from "../measured";
import type { MeasuredQuantity, SideQuantity } from "../quantities";

/** Read at a gear's teeth, every so many of them, with the other's coming round as well. */
export const meshFrame = (teeth: readonly [number, number]): Frame => ({
  word: "tooth",
  places: teeth[1],
  belts: 1,
  teeth,
  wave: true,
  usual: 12,
});

export const toothedWays: readonly MeasuredQuantity[] = [
  "circumferential-backlash",
  "normal-backlash",
  "angular-backlash",
];
export const toothedSides: readonly SideQuantity[] = ["end-float", "runout", "offset", "angle"];

/**
 * Backlash is circumferential at the working pitch circle of the wheel that is rocked (ISO 21771: j_t = j_n/(cos α_wt·cos β_b)); an
 * indicator's tip at radius R counts r_w/R·cos φ of its way.
 */
export function backlashWay(wheel: Result<RockedWheel>, way: MeasuringWay): Result<ToJudged> {
  if (!wheel.ok) return wheel;
  const { radiusMm, normalPerCircumferential } = wheel.value;
  const tip = way.indicatorRadiusMm ?? radiusMm;
  switch (way.quantity) {
    case "normal-backlash":
      return accept(linear(1 / normalPerCircumferential));
    case "angular-backlash":
      return accept(linear(radians(1 / 60) * radiusMm));
    case "tip-clearance":
      return accept(linear(1));
    default:
      return accept(linear((radiusMm / tip) * Math.cos(radians(way.indicatorAngleDeg)), { indicatorRadiusMm: tip }));
  }
}

/** Lost motion in arcminutes at the wheel, from its circumferential backlash. */
export const meshLostMotion = (wheel: Result<RockedWheel>, backlashMm: number, axialMm = 0): number =>
  wheel.ok ? degrees((Math.max(0, backlashMm) + axialMm) / wheel.value.radiusMm) * 60 : 0;
