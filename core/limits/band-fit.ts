/** Whether one setting can hold a spread inside limits: with room for the uncertainty at both, without it, or not at all. */
export const bandFits = ["provable", "fits", "too-wide"] as const;
export type BandFit = (typeof bandFits)[number];

/** Sag goes as the root of the slack, so an adjuster shifts all places evenly on its square. */
export type ShiftScale = "linear" | "square";

export const onScale = (scale: ShiftScale, value: number): number => (scale === "square" ? value * value : value);

/**
 * Whether one setting can hold what was read (handbook, "Advice": provable and fits). A move shifts least and greatest by the same amount on
 * the scale on which the adjuster acts: 3 and 16 mm of sag lie 247 mm² apart, which the 420 mm² between 11.5 and 23.5 hold, though
 * 13 mm do not go into 12.
 *
 * @param limits of one limit alone nothing is ever too wide
 */
export function bandFit(
  read: { min: number; max: number },
  limits: { lo?: number | undefined; hi?: number | undefined },
  expandedUncertainty: number,
  scale: ShiftScale,
): BandFit {
  const { lo, hi } = limits;
  if (lo === undefined || hi === undefined) return "provable";
  const f = (value: number) => onScale(scale, value);
  const width = f(read.max) - f(read.min);
  const u = expandedUncertainty;
  if (width <= f(hi - u) - f(lo + u)) return "provable";
  return width <= f(hi) - f(lo) ? "fits" : "too-wide";
}
