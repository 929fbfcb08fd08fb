import { above, atLeast, below } from "../numerics";
import { accept, type Result, refuse } from "../quantity";

/** Along the shaft, growing to the right. */
export type FaceSpan = { fromMm: number; toMm: number };
type Both<T> = { left: T; right: T };

export type ShiftQuestion = {
  /** Faces that meet the left and the right mate, at slide position 0; a single sliding gear has the same twice. */
  slider: Both<FaceSpan>;
  mates: Both<FaceSpan>;
  /** Slide positions at the stops. */
  stops: { leftMm: number; rightMm: number };
  /** Of the narrower face, over 0 to 1. */
  wantedShare: number;
  neutral: { loMm: number; hiMm?: number | undefined };
};

export type ShiftEnd = {
  overlapMm: number;
  /** Of the narrower face. */
  share: number;
  /** How much further the stop could move either way before the wanted share is lost; negative: by how much it lies outside. */
  marginMm: number;
  ok: boolean;
  /** Positive: thicker. 0 where it is right. */
  spacerChangeMm: number;
};

export type ShiftTravel = {
  left: ShiftEnd;
  right: ShiftEnd;
  /** Travel with both out; negative: both in. */
  neutralMm: number;
  neutralOk: boolean;
  ok: boolean;
  /** Stops cannot change the neutral travel, only the faces can. */
  feasible: boolean;
};

/**
 * A sliding gear or dog between two mates: how much of the face meets at each stop, which spacer brings it to full face, and whether both are
 * out in between (handbook of shifting). Overlap is at least v for positions from A + v − b to B − v − a, slider [a, b], mate [A, B]:
 * with faces of different width a stop a little beyond full overlap costs nothing, with equal ones every error is lost face.
 *
 * @returns the travel, or `window-upside-down` at the `fromMm` of an empty face, at stops.leftMm or at neutral.loMm
 * @example slider 0 to 8, mate −12 to −4, stop −10 // overlap 6, share 0.75, spacer 2 thinner
 */
export function shiftTravel(question: ShiftQuestion): Result<ShiftTravel> {
  const { slider, mates, stops, wantedShare, neutral } = question;
  for (const [name, part] of [
    ["slider", slider],
    ["mates", mates],
  ] as const) {
    for (const side of ["left", "right"] as const)
      if (part[side].fromMm >= part[side].toMm) return refuse("window-upside-down", [name, side, "fromMm"]);
  }
  if (stops.leftMm >= stops.rightMm) return refuse("window-upside-down", ["stops", "leftMm"]);
  if (neutral.hiMm !== undefined && neutral.loMm > neutral.hiMm)
    return refuse("window-upside-down", ["neutral", "loMm"]);
  const left = endAt(slider.left, mates.left, stops.leftMm, wantedShare, 1);
  const right = endAt(slider.right, mates.right, stops.rightMm, wantedShare, -1);
  const neutralMm = mates.right.fromMm - slider.right.toMm - (mates.left.toMm - slider.left.fromMm);
  const neutralOk = !below(neutralMm, neutral.loMm) && !above(neutralMm, neutral.hiMm ?? Number.POSITIVE_INFINITY);
  return accept({ left, right, neutralMm, neutralOk, ok: left.ok && right.ok && neutralOk, feasible: neutralOk });
}

/** @param thicker which way a thicker spacer moves this stop: 1 to the right */
function endAt(slider: FaceSpan, mate: FaceSpan, stop: number, wantedShare: number, thicker: 1 | -1): ShiftEnd {
  const narrower = Math.min(slider.toMm - slider.fromMm, mate.toMm - mate.fromMm);
  const from = slider.fromMm + stop;
  const to = slider.toMm + stop;
  const overlapMm = Math.max(0, Math.min(to, mate.toMm) - Math.max(from, mate.fromMm));
  const positions = (v: number) => [mate.fromMm + v - slider.toMm, mate.toMm - v - slider.fromMm] as const;
  const [first, last] = positions(wantedShare * narrower);
  const ok = atLeast(overlapMm / narrower, wantedShare);
  const [fullFrom, fullTo] = positions(narrower);
  const nearest = Math.min(fullTo, Math.max(fullFrom, stop));
  return {
    overlapMm,
    share: overlapMm / narrower,
    marginMm: Math.min(stop - first, last - stop),
    ok,
    spacerChangeMm: ok ? 0 : thicker * (nearest - stop),
  };
}
