import { type BacklashLaw, backlashLaw, centreOfBacklash } from "./backlash-law";
import type { PairGeometry } from "./pair";

/** Where a pair may stand: circumferential backlash inside a window, tips clear of roots, and enough contact. */
export type SettingWishes = {
  backlash: { lo: number; hi: number };
  minContactRatio: number;
};

/** The end of the reach that a pair runs against, and by how much; `mm` is left out where no distance would help. */
export type SettingMiss = {
  reason: "needs-more-room" | "too-loose" | "tip-clearance" | "contact-ratio";
  byMm?: number;
};

export type SettingInterval = { from: number; to: number } | { miss: SettingMiss };

/** Sizes and clearances are compared with this much allowed for rounding. */
const allowed = 1e-9;

/**
 * The centre distances within reach at which a pair may stand. Backlash rises with the distance of the centres (of a ring falls), tips clear
 * from some distance on, and contact is long enough up to another: each an interval, so is what is common to all. Looking
 * only at the aim, or only at the ends of the slot, would lose pairs whose base circles do not even touch at one end.
 *
 * @param geometry teeth, shifts, thinning and tips; its own centre distance does not matter
 * @param reach least and greatest centre distance, mm
 */
export function settingInterval(
  geometry: PairGeometry,
  reach: readonly [number, number],
  { backlash, minContactRatio }: SettingWishes,
): SettingInterval {
  const law = backlashLaw(geometry);
  const { circles, sign, touchMm: touch } = law;
  const [d1, d2] = circles.map(({ tipDiameterMm }) => tipDiameterMm / 2) as [number, number];
  const [f1, f2] = circles.map(({ rootDiameterMm }) => rootDiameterMm / 2) as [number, number];
  const reachOf = (c: (typeof circles)[0]) =>
    Math.sqrt(Math.max(0, (c.tipDiameterMm ** 2 - c.baseDiameterMm ** 2) / 4));
  const needed = minContactRatio * Math.PI * circles[0].transverseModuleMm * Math.cos(circles[0].transverseAngle);

  if (sign > 0) {
    const least = Math.max(touch, reach[0]);
    const loosest = centreOfBacklash(law, backlash.hi);
    const leastGap = centreOfBacklash(law, backlash.lo) ?? touch;
    if (leastGap > reach[1] + allowed) return { miss: { reason: "needs-more-room", byMm: leastGap - reach[1] } };
    if (loosest === null) return { miss: { reason: "too-loose" } };
    if (least > loosest + allowed) return { miss: { reason: "too-loose", byMm: least - loosest } };
    const tips = Math.max(d1 + f2, d2 + f1);
    const upper = Math.min(reach[1], loosest);
    if (tips > upper + allowed) return { miss: { reason: "tip-clearance", byMm: tips - upper } };
    const t = reachOf(circles[0]) + reachOf(circles[1]) - needed;
    const contact = t < 0 ? Number.NEGATIVE_INFINITY : Math.hypot(t, touch);
    const from = Math.max(least, leastGap, tips);
    if (contact < from - allowed) return { miss: { reason: "contact-ratio" } };
    return { from, to: Math.max(from, Math.min(upper, contact)) };
  }
  // Inside a ring the centres part into the mesh: least backlash is the upper end, tips and contact bound it as well.
  const tightest = centreOfBacklash(law, backlash.lo);
  const loosest = centreOfBacklash(law, backlash.hi) ?? touch;
  if (tightest === null || tightest < reach[0] - allowed)
    return { miss: { reason: "needs-more-room", ...(tightest === null ? {} : { byMm: reach[0] - tightest }) } };
  const lower = Math.max(loosest, reach[0]);
  if (lower > reach[1] + allowed) return { miss: { reason: "too-loose", byMm: lower - reach[1] } };
  const tips = Math.min(f2 - d1, d2 - f1);
  if (tips < lower - allowed) return { miss: { reason: "tip-clearance", byMm: lower - tips } };
  const t = needed - reachOf(circles[0]) + reachOf(circles[1]);
  const contact = Math.hypot(Math.max(0, t), touch);
  const upper = Math.min(reach[1], tightest, tips);
  if (contact > upper + allowed) return { miss: { reason: "contact-ratio" } };
  const from = Math.max(lower, contact);
  return { from, to: Math.max(from, upper) };
}

/** The setting inside an interval that comes nearest to a backlash. */
export function settingFor(law: BacklashLaw, backlashMm: number, { from, to }: { from: number; to: number }): number {
  const wanted = centreOfBacklash(law, backlashMm) ?? law.touchMm;
  return Math.min(to, Math.max(from, wanted));
}
