/**
 * Axial force on one member. `perTangential`: as a part of the tangential force of the teeth on the driven wheel; `way`: along which
 * direction, in the words of the member itself.
 */
export type Thrust = {
  member: 0 | 1;
  /** Turning of the driver, seen from the end at which it is driven (bevels: from its back). */
  turning: "clockwise" | "counter-clockwise";
  perTangential: number;
  way: "away-from-drive" | "towards-drive" | "with-the-worm" | "against-the-worm" | "into-mesh" | "out-of-mesh";
};

export const turnings = ["clockwise", "counter-clockwise"] as const;
