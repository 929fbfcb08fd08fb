export type TighteningPass = { torqueNm?: number; order: number[] };

/**
 * Order for n screws on a circle. Even n: opposite pairs, the next pair about a quarter turn on (at six the rule would put
 * neighbours in a row, so there the pairs go on by one). Odd n: a star with the step (n − 1)/2, which meets all.
 * Common practice for flanges and wheel nuts; followers lie at least ⌊n/4⌋ places apart, one more on odd counts.
 *
 * @example circleOrder(8) // [1, 5, 3, 7, 2, 6, 4, 8]
 */
export function circleOrder(bolts: number): number[] {
  if (bolts < 3) return Array.from({ length: bolts }, (_, i) => i + 1);
  if (bolts % 2 === 1) {
    const step = (bolts - 1) / 2;
    return Array.from({ length: bolts }, (_, i) => ((i * step) % bolts) + 1);
  }
  const half = bolts / 2;
  const quarter = Math.ceil(bolts / 4);
  const firsts =
    bolts === 6
      ? [1, 2, 3]
      : Array.from({ length: quarter }, (_, i) => [i + 1, i + 1 + quarter])
          .flat()
          .filter((bolt) => bolt <= half);
  return firsts.flatMap((bolt) => [bolt, bolt + half]);
}

/**
 * Order for screws that stand on no circle, 1 first: each next one far from the last and from all done so far. Ties go to the
 * lower number. On a circle this gives `circleOrder` for 4 and 8.
 *
 * @param points screw positions, mm, in the order of their numbers
 */
export function pointsOrder(points: readonly { x: number; y: number }[]): number[] {
  const distance = (a: number, b: number): number =>
    Math.hypot((points[a]?.x ?? 0) - (points[b]?.x ?? 0), (points[a]?.y ?? 0) - (points[b]?.y ?? 0));
  const done = points.length > 0 ? [0] : [];
  while (done.length < points.length) {
    const last = done[done.length - 1] ?? 0;
    let best = -1;
    let bestScore = Number.NEGATIVE_INFINITY;
    for (let i = 0; i < points.length; i++) {
      if (done.includes(i)) continue;
      const score = distance(i, last) + Math.min(...done.map((j) => distance(i, j)));
      if (score > bestScore * (1 + 1e-12) + 1e-12) [best, bestScore] = [i, score];
    }
    done.push(best);
  }
  return done.map((i) => i + 1);
}

/** The order repeated `passes` times with torque rising in equal parts to the full torque. */
export const passesOf = (order: readonly number[], passes: number, torqueNm?: number): TighteningPass[] =>
  Array.from({ length: passes }, (_, i) => ({
    ...(torqueNm === undefined ? {} : { torqueNm: i === passes - 1 ? torqueNm : (torqueNm * (i + 1)) / passes }),
    order: [...order],
  }));
