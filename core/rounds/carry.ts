export type AtPlace = { tooth: number; gearAngleDeg: number; value: number };

/**
 * A whole round carried over a move: while setting one reads at the tight spot alone, and the rest moves with it. The earlier
 * round is shifted by the mean change at the places read again, and those readings take their own new values.
 *
 * @returns null where no place was read both times
 */
export function carryRound<T extends AtPlace>(earlier: readonly T[], fresh: readonly T[]): T[] | null {
  const changes = fresh.flatMap((now) => {
    const before = earlier.filter((was) => was.tooth === now.tooth);
    if (before.length === 0) return [];
    return [now.value - before.reduce((sum, was) => sum + was.value, 0) / before.length];
  });
  if (changes.length === 0) return null;
  const shift = changes.reduce((a, b) => a + b, 0) / changes.length;
  const kept = earlier.filter((was) => !fresh.some((now) => was.tooth === now.tooth));
  return [...kept.map((was) => ({ ...was, value: was.value + shift })), ...fresh].sort(
    (a, b) => a.gearAngleDeg - b.gearAngleDeg || a.tooth - b.tooth,
  );
}
