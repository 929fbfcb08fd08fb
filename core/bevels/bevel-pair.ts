import { degrees, radians } from "../numerics";

/** A bevel pair as given, defaults filled in. Lengths mm, angles degrees. */
export type BevelGeometry = {
  teeth: readonly [number, number];
  moduleMm: number;
  shaftAngleDeg: number;
  pressureAngleDeg: number;
  spiralAngleDeg: number;
};

export type BevelPair = {
  pitchAngleDeg: [number, number];
  pitchDiameterMm: [number, number];
  coneDistanceMm: number;
  /** Circumferential, outer, per mm that each member is moved along its own axis away from the apex. */
  backlashPerAxialMm: [number, number];
};

/**
 * Pitch cones of a bevel pair (ISO 23509) and what shims behind either member do to the backlash.
 *
 * @param bevel shaft angle between 0 and 180°
 * @example bevelPair({ teeth: [20, 40], moduleMm: 3, shaftAngleDeg: 90, pressureAngleDeg: 20, spiralAngleDeg: 0 })
 *   // pitchAngleDeg [26.565, 63.435], coneDistanceMm 67.082
 */
export function bevelPair(bevel: BevelGeometry): BevelPair {
  const [z1, z2] = bevel.teeth;
  const shafts = radians(bevel.shaftAngleDeg);
  const first = Math.atan2(Math.sin(shafts), z2 / z1 + Math.cos(shafts));
  const angles = [first, shafts - first] as const;
  const perAxial = (delta: number) =>
    (2 * Math.tan(radians(bevel.pressureAngleDeg)) * Math.sin(delta)) / Math.cos(radians(bevel.spiralAngleDeg));
  return {
    pitchAngleDeg: [degrees(angles[0]), degrees(angles[1])],
    pitchDiameterMm: [z1 * bevel.moduleMm, z2 * bevel.moduleMm],
    coneDistanceMm: (z1 * bevel.moduleMm) / (2 * Math.sin(first)),
    backlashPerAxialMm: [perAxial(angles[0]), perAxial(angles[1])],
  };
}
