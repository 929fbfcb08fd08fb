import { type BevelGeometry, bevelPair } from "./bevel-pair";

/** Ways along their own axes, mm, positive away from the apex; what the print asks of a member, null where it asks nothing. */
export type AskedByPrint = { pinionMm: number | null; gearMm: number | null };

export type BothMembers = {
  pinionMm: number;
  gearMm: number;
  /** Circumferential, outer, as it will read then. */
  backlashMm: number;
};

/**
 * Both members of a bevel pair set together: the print says which way one of them goes, and the other follows so that the backlash comes to its
 * aim. One after the other they chase each other, since either changes both. Where the print asks something of both, the backlash is what
 * comes of it; where it asks nothing, the gear sets it, which is the one that moves the contact least.
 *
 * @param now backlash as it reads, and the one that is wanted, mm circumferential at the outer pitch circle
 * @example 20 : 40 at 90°, pinion 0.1 out, backlash right: the gear goes 0.05 in // pinionMm 0.1, gearMm −0.05
 * @source Δ·2·tan α·sin δ/cos β for either member (ISO 23509, README); the order of setting is common practice
 */
export function bothMembers(
  bevel: BevelGeometry,
  now: { backlashMm: number; aimMm: number },
  asked: AskedByPrint,
): BothMembers {
  const [perPinion, perGear] = bevelPair(bevel).backlashPerAxialMm;
  const missing = now.aimMm - now.backlashMm;
  const { pinionMm: pinion, gearMm: gear } = asked;
  const pinionMm = pinion ?? (gear === null ? 0 : (missing - perGear * gear) / perPinion);
  const gearMm = gear ?? (missing - perPinion * pinionMm) / perGear;
  return { pinionMm, gearMm, backlashMm: now.backlashMm + perPinion * pinionMm + perGear * gearMm };
}
