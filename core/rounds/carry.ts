export type AtAngle = { gearAngleDeg: number; backlashMm: number };

/**
 * A whole round carried over a move: while setting one reads at the tight spot alone, and the rest moves with it. The earlier
 * round is shifted by the mean change at the positions read again, and those readings take their own new values.
 *
 * @returns null where no position was read both times
 */
export function carryRound(earlier: readonly AtAngle[], fresh: readonly AtAngle[]): AtAngle[] | null {
  const near = (a: number, b: number) => Math.abs(((((a - b) % 360) + 540) % 360) - 180) < 1e-6;
  const changes = fresh.flatMap((now) => {
    const before = earlier.filter((was) => near(was.gearAngleDeg, now.gearAngleDeg));
    if (before.length === 0) return [];
    return [now.backlashMm - before.reduce((sum, was) => sum + was.backlashMm, 0) / before.length];
  });
  if (changes.length === 0) return null;
  const shift = changes.reduce((a, b) => a + b, 0) / changes.length;
  const kept = earlier.filter((was) => !fresh.some((now) => near(was.gearAngleDeg, now.gearAngleDeg)));
  return [...kept.map((was) => ({ ...was, backlashMm: was.backlashMm + shift })), ...fresh].sort(
    (a, b) => a.gearAngleDeg - b.gearAngleDeg,
  );
}
