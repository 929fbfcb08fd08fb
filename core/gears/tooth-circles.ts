import { radians } from "../numerics";
import { involute } from "./involute";

/** One gear by itself. `ring`: internal teeth, diameters still positive. */
export type GearBlank = {
  teeth: number;
  moduleMm: number;
  pressureAngleDeg: number;
  helixAngleDeg: number;
  profileShift: number;
  thinningMm: number;
  ring: boolean;
  tipDiameterMm?: number | undefined;
};

export type ToothCircles = {
  transverseModuleMm: number;
  /** α_t, radians */
  transverseAngle: number;
  /** β_b, radians */
  baseHelix: number;
  referenceDiameterMm: number;
  baseDiameterMm: number;
  tipDiameterMm: number;
  rootDiameterMm: number;
  /** s_t: transverse arc of the tooth at the reference circle */
  thicknessMm: number;
};

/**
 * Circles and tooth thickness of one gear (ISO 21771 clauses 4 and 5; basic rack ISO 53: addendum 1, dedendum 1.25 modules).
 * No tip shortening: give the tip diameter where it differs.
 */
export function toothCircles(gear: GearBlank): ToothCircles {
  const helix = radians(gear.helixAngleDeg);
  const normal = radians(gear.pressureAngleDeg);
  const outward = gear.ring ? -1 : 1;
  const transverseModuleMm = gear.moduleMm / Math.cos(helix);
  const transverseAngle = Math.atan(Math.tan(normal) / Math.cos(helix));
  const reference = gear.teeth * transverseModuleMm;
  const thickness = gear.moduleMm * (Math.PI / 2 + 2 * gear.profileShift * Math.tan(normal)) - gear.thinningMm;
  return {
    transverseModuleMm,
    transverseAngle,
    baseHelix: Math.asin(Math.sin(helix) * Math.cos(normal)),
    referenceDiameterMm: reference,
    baseDiameterMm: reference * Math.cos(transverseAngle),
    tipDiameterMm: gear.tipDiameterMm ?? reference + outward * 2 * gear.moduleMm * (1 + gear.profileShift),
    rootDiameterMm: reference - outward * 2 * gear.moduleMm * (1.25 - gear.profileShift),
    thicknessMm: thickness / Math.cos(helix),
  };
}

/** Half the angle, radians, that a tooth fills at radius `radiusMm` outside its base circle (ISO 21771, 5.3). */
export function halfToothAngle(circles: ToothCircles, radiusMm: number, ring: boolean): number {
  const cosine = Math.min(1, circles.baseDiameterMm / (2 * radiusMm));
  const grown = involute(circles.transverseAngle) - involute(Math.acos(cosine));
  return circles.thicknessMm / circles.referenceDiameterMm + (ring ? -grown : grown);
}

/** Whether a rack-cut gear loses its root flank: x < 1 − z·sin²α_t/(2·cos β) (ISO 53 rack); a ring never. */
export function isUndercut(gear: GearBlank): boolean {
  if (gear.ring) return false;
  const helix = radians(gear.helixAngleDeg);
  const transverse = Math.atan(Math.tan(radians(gear.pressureAngleDeg)) / Math.cos(helix));
  return gear.profileShift < 1 - (gear.teeth * Math.sin(transverse) ** 2) / (2 * Math.cos(helix));
}
