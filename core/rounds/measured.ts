import { type GearPair, gearPair, type PairGeometry } from "../gears";
import { radians } from "../numerics";

/**
 * What can be measured to tell a mesh's backlash: the rim's free way with an indicator, a feeler between the flanks, or a pin or feeler
 * between a pinion tip and the gear's root.
 */
export const measuredQuantities = ["circumferential-backlash", "normal-backlash", "tip-clearance"] as const;
export type MeasuredQuantity = (typeof measuredQuantities)[number];

/**
 * How far real tips and roots stray from the drawing, half the range in mm: common practice. A clearance between tip and root
 * carries it into the backlash that is worked out from it.
 */
const tipStrayMm = 0.05;

export type ToBacklash = {
  /** Circumferential backlash at the working pitch circle from what was measured, mm both. */
  convert: (measuredMm: number) => number;
  /** mm of backlash a mm measured, for the uncertainty. */
  factor: number;
  /** Standard uncertainty that the method itself adds, mm of backlash. */
  ownUncertainty: number;
};

/**
 * The way from a measured quantity to circumferential backlash of an external or internal pair (ISO 21771: j_t = j_n/(cos α_wt·cos β_b)).
 * From the clearance c of the pinion's tip to the gear's root the centre distance is the present one plus what c differs
 * from its nominal; the backlash there is the exact one of `gearPair`.
 *
 * @param indicatorFactor mm of backlash a mm of the indicator (`indicatorFactor`), for the circumferential way
 */
export function toBacklash(
  pair: PairGeometry,
  mesh: GearPair,
  quantity: MeasuredQuantity,
  indicatorFactor: number,
): ToBacklash {
  if (quantity === "circumferential-backlash")
    return { convert: (mm) => mm * indicatorFactor, factor: indicatorFactor, ownUncertainty: 0 };
  if (quantity === "normal-backlash") {
    const factor = 1 / normalPerCircumferential(pair, mesh);
    return { convert: (mm) => mm * factor, factor, ownUncertainty: 0 };
  }
  const sign = pair.internal ? -1 : 1;
  const slope = Math.abs(mesh.backlashPerCentreMm);
  return {
    convert: (mm) => {
      const centreDistanceMm = mesh.centreDistanceMm + sign * (mm - mesh.tipClearanceMm[0]);
      const there = gearPair({ ...pair, centreDistanceMm });
      return there.ok ? there.value.backlash.circumferentialMm : Number.NaN;
    },
    factor: slope,
    ownUncertainty: (slope * tipStrayMm * Math.SQRT2) / Math.sqrt(3),
  };
}

/** j_n/j_t of the pair: cos α_wt·cos β_b. */
export function normalPerCircumferential(pair: PairGeometry, mesh: GearPair): number {
  const baseHelix = Math.asin(Math.sin(radians(pair.helixAngleDeg)) * Math.cos(radians(pair.pressureAngleDeg)));
  return Math.cos(radians(mesh.workingPressureAngleDeg)) * Math.cos(baseHelix);
}
