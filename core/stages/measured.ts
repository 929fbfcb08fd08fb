import { classSpread } from "../belts";
import type { StageElement } from "./element";
import type { MeasuredQuantity } from "./quantities";

/** How a value is taken: where the tip stands, and what was held still while the other was read. */
export type MeasuringWay = {
  quantity: MeasuredQuantity;
  /** Where the indicator's tip touches; null: at the pitch circle. */
  indicatorRadiusMm: number | null;
  indicatorAngleDeg: number;
  /** mm of deflection for a force, N for a deflection, pitches counted for an elongation; null: the usual one. */
  held: number | null;
};

/** From what was measured, in the unit of `measuredUnit`, to the quantity judged, in that of `judgedUnit`. */
export type ToJudged = {
  convert: (measured: number) => number;
  /** Slope of that at a value, for the uncertainty. */
  factor: (measured: number) => number;
  /** Standard uncertainty that the method itself adds, in the judged unit. */
  ownUncertainty: number;
  /** The radius used, where one is. */
  indicatorRadiusMm: number | null;
};

/** Counted pitches of a chain where nobody says. */
export const usualPitches = 20;

/** Weighed lengths of wet, dirty or printed belts differ by 5 to 10 % (common practice): half of that as a standard uncertainty. */
const massSpread = 0.025;

/** What the method adds to the uncertainty of a tension, as a part of it: the mass a metre goes straight into a frequency's. */
export const relativeSpread = (element: StageElement, quantity: MeasuredQuantity): number =>
  quantity !== "span-frequency" ? 0 : "massFrom" in element && element.massFrom === "class" ? classSpread : massSpread;

export const linear = (factor: number, more: Partial<ToJudged> = {}): ToJudged => ({
  convert: (value) => value * factor,
  factor: () => factor,
  ownUncertainty: 0,
  indicatorRadiusMm: null,
  ...more,
});
