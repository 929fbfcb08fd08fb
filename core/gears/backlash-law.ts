import { bisect } from "../numerics";
import { involute } from "./involute";
import { gearBlanks, type PairGeometry } from "./pair";
import { type ToothCircles, toothCircles } from "./tooth-circles";

/** Circumferential backlash of a pair over its centre distance, from where its base circles touch. */
export type BacklashLaw = {
  circles: readonly [ToothCircles, ToothCircles];
  /** +1 outside: backlash rises as the centres part; −1 inside a ring: it falls. */
  sign: 1 | -1;
  /** Base circles touch, mm. */
  touchMm: number;
  at: (centreDistanceMm: number) => number;
};

/** j_t(a) = ±2·a·(inv α_w − inv α_0), cos α_w = a_b/a (ISO 21771), α_0 where the teeth as they are touch on both flanks. */
export function backlashLaw(geometry: PairGeometry): BacklashLaw {
  const sign = geometry.internal ? -1 : 1;
  const blanks = gearBlanks(geometry);
  const circles = [toothCircles(blanks[0]), toothCircles(blanks[1])] as const;
  const excess = circles[0].thicknessMm + circles[1].thicknessMm - Math.PI * circles[0].transverseModuleMm;
  const free =
    involute(circles[0].transverseAngle) +
    excess / (circles[0].referenceDiameterMm + sign * circles[1].referenceDiameterMm);
  const touchMm = (circles[1].baseDiameterMm + sign * circles[0].baseDiameterMm) / 2;
  const at = (centre: number) => sign * 2 * centre * (involute(Math.acos(Math.min(1, touchMm / centre))) - free);
  return { circles, sign, touchMm, at };
}

/** The centre distance of a backlash; null where the teeth have more (a ring: less) even where the base circles touch. */
export function centreOfBacklash({ sign, touchMm, at }: BacklashLaw, backlashMm: number): number | null {
  const off = (centre: number) => sign * (at(centre) - backlashMm);
  if (off(touchMm) > 0) return null;
  let far = touchMm * 1.1;
  while (off(far) < 0) far *= 1.1;
  return bisect(off, touchMm, far);
}
