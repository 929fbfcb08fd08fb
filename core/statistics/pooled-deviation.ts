/**
 * Standard deviation of repeats, pooled over positions: √(Σ(x − mean of its position)²/Σ(n − 1)) (JCGM 100:2008, H.3.6).
 *
 * @param pairs [position, value]
 * @returns null where no position was read twice
 */
export function pooledDeviation(pairs: readonly (readonly [number, number])[]): { sd: number; freedom: number } | null {
  const groups = new Map<number, number[]>();
  for (const [position, value] of pairs) groups.set(position, [...(groups.get(position) ?? []), value]);
  let squares = 0;
  let freedom = 0;
  for (const values of groups.values()) {
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    squares += values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
    freedom += values.length - 1;
  }
  return freedom === 0 ? null : { sd: Math.sqrt(squares / freedom), freedom };
}
