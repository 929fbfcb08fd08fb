export type GridPair = {
  teeth: [number, number];
  /** Holes along and across. */
  holes: [number, number];
  centreDistanceMm: number;
  clearanceMm: number;
};

export type HoleGrid = {
  pairs: GridPair[];
  viaIdler: { teeth: [number, number]; idler: number }[];
  unreachable: [number, number][];
};

export type GridQuestion = {
  pitchMm: number;
  moduleMm: number;
  teeth: readonly number[];
  maxHoles: number;
  /** Centre distance less the sum of the radii. */
  band: { loMm: number; hiMm: number };
};

/**
 * Which gears of a module mesh on a square grid of holes: every offset (a, b), 0 ≤ b ≤ a, whose distance less the sum of the reference
 * radii lies in the band. Pairs that find none may mesh through an idler that pairs with both; each count is to be had as often
 * as wanted. Limits count to 1e-9 mm.
 */
export function holeGrid({ pitchMm, moduleMm, teeth, maxHoles, band }: GridQuestion): HoleGrid {
  const counts = [...new Set(teeth)].sort((a, b) => a - b);
  const offsets = gridOffsets(pitchMm, maxHoles);
  const pairs: GridPair[] = [];
  const direct = new Set<string>();
  const couples = counts.flatMap((a, i) => counts.slice(i).map((b): [number, number] => [a, b]));
  for (const [z1, z2] of couples) {
    const radii = (moduleMm * (z1 + z2)) / 2;
    for (const { holes, distanceMm } of offsets) {
      const clearanceMm = distanceMm - radii;
      if (clearanceMm > band.hiMm + 1e-9) break;
      if (clearanceMm < band.loMm - 1e-9) continue;
      pairs.push({ teeth: [z1, z2], holes, centreDistanceMm: distanceMm, clearanceMm });
      direct.add(`${z1}:${z2}`);
    }
  }
  const meshes = (a: number, b: number) => direct.has(a <= b ? `${a}:${b}` : `${b}:${a}`);
  const apart = couples.filter(([z1, z2]) => !meshes(z1, z2));
  const viaIdler = apart.flatMap((couple) =>
    counts
      .filter((idler) => meshes(couple[0], idler) && meshes(couple[1], idler))
      .map((idler) => ({ teeth: couple, idler })),
  );
  const bridged = new Set(viaIdler.map(({ teeth: [a, b] }) => `${a}:${b}`));
  return { pairs, viaIdler, unreachable: apart.filter(([a, b]) => !bridged.has(`${a}:${b}`)) };
}

/** Offsets 1 ≤ a ≤ maxHoles, 0 ≤ b ≤ a, nearest first. */
function gridOffsets(pitchMm: number, maxHoles: number): { holes: [number, number]; distanceMm: number }[] {
  const offsets = Array.from({ length: maxHoles }, (_, i) => i + 1).flatMap((a) =>
    Array.from({ length: a + 1 }, (_, b) => ({
      holes: [a, b] as [number, number],
      distanceMm: pitchMm * Math.hypot(a, b),
    })),
  );
  return offsets.sort((x, y) => x.distanceMm - y.distanceMm || x.holes[0] - y.holes[0]);
}
