/**
 * The order in which a stack is laid: thin ones between thick ones, so that none of them creases or walks out (common practice).
 * The thickest two lie outside, the thinnest in the middle.
 *
 * @param shims of any order
 * @returns one thickness for each piece, mm, in lying order
 */
export function layStack(shims: readonly { thicknessMm: number; count: number }[]): number[] {
  const pieces = shims
    .flatMap(({ thicknessMm, count }) => Array.from({ length: count }, () => thicknessMm))
    .sort((a, b) => b - a);
  const left = pieces.filter((_, i) => i % 2 === 0);
  const right = pieces.filter((_, i) => i % 2 === 1);
  return [...left, ...right.reverse()];
}
