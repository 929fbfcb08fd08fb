import { bisect, radians } from "../numerics";
import { involute } from "./involute";
import { type GearPair, gearBlanks, type PairGeometry } from "./pair";
import { type GearBlank, type ToothCircles, toothCircles } from "./tooth-circles";

/**
 * Radius of curvature at which the involute of a gear begins, cut by a rack whose straight flank ends in a sharp corner one module
 * below its reference line (ISO 53 without its tip round, which would add less than 0.0015·m). Without undercut it begins where that flank
 * ends; the corner of an undercut gear's rack sweeps a trochoid that cuts the involute further out. Thinning is left out of account.
 *
 * @returns mm along the line of action from its tangent point; null where the trochoid leaves no involute
 * @example involuteBegins(10 teeth, module 1, 20°, unshifted) // 0.5002082
 */
export function involuteBegins(gear: GearBlank, circles: ToothCircles): number | null {
  const { transverseAngle: alpha, transverseModuleMm } = circles;
  const radius = circles.referenceDiameterMm / 2;
  const baseRadius = circles.baseDiameterMm / 2;
  const depth = (1 - gear.profileShift) * gear.moduleMm;
  const straight = radius * Math.sin(alpha) - depth / Math.sin(alpha);
  if (straight >= 0) return straight;
  // In the frame of the tooth space: the corner at (s, q) from the gear's centre, rolled back by (s − b)/r.
  const q = radius - depth;
  const b = (Math.PI * transverseModuleMm) / 4 - gear.moduleMm * Math.tan(alpha);
  const halfSpace =
    (Math.PI / 2 - (2 * gear.profileShift * Math.tan(alpha) * gear.moduleMm) / transverseModuleMm) / gear.teeth -
    involute(alpha);
  const off = (s: number) => {
    const reach = Math.hypot(s, q);
    const flank = halfSpace + involute(Math.acos(Math.min(1, baseRadius / reach)));
    return Math.atan2(s, q) - (s - b) / radius - flank;
  };
  const from = Math.sqrt(Math.max(0, baseRadius ** 2 - q ** 2));
  const to = depth / Math.tan(alpha);
  if (!(from < to) || off(from) * off(to) > 0) return null;
  const s = bisect(off, from, to);
  return Math.sqrt(Math.max(0, s * s + q * q - baseRadius ** 2));
}

/**
 * Contact ratio over the part of the path of contact on which both flanks are involutes (handbook of gear kinematics; ISO 21771 for the path):
 * beyond where a flank begins its partner's tip runs on the fillet or on nothing. A ring is not limited.
 *
 * @param mesh as the pair stands (`gearPair` of the same geometry)
 * @returns not below 0
 * @example 10/40, module 1, at 25 mm // 1.0945783, where the plain ratio says 1.5415082
 */
export function usableContactRatio(
  geometry: PairGeometry,
  mesh: Pick<GearPair, "centreDistanceMm" | "workingPressureAngleDeg">,
): number {
  const blanks = gearBlanks(geometry);
  const circles = [toothCircles(blanks[0]), toothCircles(blanks[1])] as const;
  const u1 = involuteBegins(blanks[0], circles[0]);
  const u2 = blanks[1].ring ? 0 : involuteBegins(blanks[1], circles[1]);
  if (u1 === null || u2 === null) return 0;
  const reach = (c: ToothCircles) => Math.sqrt(Math.max(0, (c.tipDiameterMm ** 2 - c.baseDiameterMm ** 2) / 4));
  const [a1, a2] = [reach(circles[0]), reach(circles[1])];
  const t = mesh.centreDistanceMm * Math.sin(radians(mesh.workingPressureAngleDeg));
  const path = geometry.internal
    ? Math.min(a1 - a2 + t, a1 - u1)
    : Math.min(a1 + a2 - t, a1 - u1, a2 - u2, t - u1 - u2);
  return Math.max(0, path / (Math.PI * circles[0].transverseModuleMm * Math.cos(circles[0].transverseAngle)));
}
