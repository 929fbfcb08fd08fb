/** A dial read at four places of a turn, mm; plunger pushed in is positive. */
export type DialRound = { topMm: number; rightMm: number; bottomMm: number; leftMm: number; sagMm: number };

export type AlignQuestion = {
  rim: DialRound;
  /** The angle by the hub's face, or by a second rim. */
  by: { face: DialRound & { diameterMm: number } } | { rim2: DialRound; planesApartMm: number };
  /** Behind the plane of `rim`. */
  feet?: { frontMm: number; rearMm: number } | undefined;
  /** Beyond it, in size, the readings do not close and nothing is to be shimmed. */
  closureLimitMm: number;
  /** Of one dial reading. */
  expandedUncertaintyMm: number;
};

type Error = { offsetMm: number; angleMmPerM: number };
export type FootMove = { shimMm: number; sideMm: number };

export type Alignment = {
  vertical: Error;
  horizontal: Error;
  /** Of both planes together. */
  offsetMm: number;
  angleMmPerM: number;
  closureMm: [number, number];
  valid: boolean;
  uncertainty: Error;
  moves?: { front: FootMove; rear: FootMove };
};

/**
 * How a movable shaft stands against a fixed one, and what its feet need (signs: README). The bracket's sag goes out of the bottom whole and
 * out of the sides by half.
 *
 * @returns `moves` where feet are given and the readings close
 * @example rim 0, 0.11, 0.32, 0.21, sag −0.06; face 0, −0.05, −0.12, −0.07 on 120: offset −0.19 up, −0.05 right; 1.0 and 0.1667 mm/m
 */
export function alignShafts({ rim, by, feet, closureLimitMm, expandedUncertaintyMm: u }: AlignQuestion): Alignment {
  const first = withoutSag(rim);
  const offset = { up: first.vertical / 2, right: first.horizontal / 2 };
  const second = withoutSag("face" in by ? by.face : by.rim2);
  const slope =
    "face" in by
      ? { up: second.vertical / by.face.diameterMm, right: second.horizontal / by.face.diameterMm }
      : {
          up: (offset.up + second.vertical / 2) / by.planesApartMm,
          right: (offset.right + second.horizontal / 2) / by.planesApartMm,
        };
  const closureMm: [number, number] = [first.closure, second.closure];
  const valid = closureMm.every((closure) => Math.abs(closure) <= closureLimitMm + 1e-9);
  const foot = (atMm: number): FootMove => ({
    shimMm: -(offset.up + slope.up * atMm),
    sideMm: -(offset.right + slope.right * atMm),
  });
  return {
    vertical: { offsetMm: offset.up, angleMmPerM: 1000 * slope.up },
    horizontal: { offsetMm: offset.right, angleMmPerM: 1000 * slope.right },
    offsetMm: Math.hypot(offset.up, offset.right),
    angleMmPerM: 1000 * Math.hypot(slope.up, slope.right),
    closureMm,
    valid,
    uncertainty: {
      offsetMm: u / Math.SQRT2,
      angleMmPerM: (1000 * u) / ("face" in by ? by.face.diameterMm / Math.SQRT2 : by.planesApartMm),
    },
    ...(feet && valid ? { moves: { front: foot(feet.frontMm), rear: foot(feet.rearMm) } } : {}),
  };
}

/** Top less bottom, right less left, and what does not close. */
function withoutSag({ topMm, rightMm, bottomMm, leftMm, sagMm }: DialRound) {
  const bottom = bottomMm - sagMm;
  const [right, left] = [rightMm - sagMm / 2, leftMm - sagMm / 2];
  return { vertical: topMm - bottom, horizontal: right - left, closure: topMm + bottom - (right + left) };
}

export type AlignLimits = { offsetMm: number; angleMmPerM: number };

/** What is acceptable up to and with a speed (common practice); excellent is about half. */
const bySpeed: readonly (AlignLimits & { rpm: number })[] = [
  { rpm: 1000, offsetMm: 0.13, angleMmPerM: 1 },
  { rpm: 2000, offsetMm: 0.1, angleMmPerM: 0.8 },
  { rpm: 3000, offsetMm: 0.07, angleMmPerM: 0.7 },
  { rpm: 4000, offsetMm: 0.05, angleMmPerM: 0.6 },
  { rpm: 5000, offsetMm: 0.03, angleMmPerM: 0.5 },
  { rpm: 6000, offsetMm: 0.03, angleMmPerM: 0.4 },
];

/** null: no rule is known for such a speed. */
export function alignLimitsAt(rpm: number): AlignLimits | null {
  const row = bySpeed.find((known) => rpm <= known.rpm);
  return row ? { offsetMm: row.offsetMm, angleMmPerM: row.angleMmPerM } : null;
}
