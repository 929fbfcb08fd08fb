/** inv α = tan α − α, α in radians. */
export const involute = (angle: number): number => Math.tan(angle) - angle;

/**
 * The angle whose involute is `value`, by Newton on t − atan t with t = tan α. Newton on α itself overshoots past 90° for
 * small angles; t − atan t is convex, so after one step the iteration comes down to the root and cannot leave it.
 *
 * @param value above 0
 * @returns α in (0, π/2) radians
 */
export function inverseInvolute(value: number): number {
  let t = value < 1 ? Math.cbrt(3 * value) : value + Math.PI / 2;
  for (let i = 0; i < 60; i++) {
    const step = ((t - Math.atan(t) - value) * (1 + t * t)) / (t * t);
    t -= step;
    if (Math.abs(step) <= 1e-16 * t) break;
  }
  return Math.atan(t);
}
