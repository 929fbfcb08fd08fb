export const beltAges = ["new", "run-in", "used"] as const;
export type BeltAge = (typeof beltAges)[number];

/** What a belt of an age should have, and below which it is tightened again. */
export type AgedTension = { age: BeltAge; loN: number; hiN: number };

/** A new V-belt is set to so many times what it needs run in, and loses that much in the first day or two (common practice). */
const newV = [1.3, 1.5] as const;
export const firstLossV = [0.2, 0.4] as const;

/**
 * The tension of one strand by the belt's age. A V-belt beds into its grooves and stretches: new it is set higher, run in it is held by its limits, and
 * used it is tightened again below the lower one. A toothed belt is set once (common practice).
 *
 * @param limits of the belt as it runs, N
 */
export function tensionByAge(kind: "toothed-belt" | "v-belt", { lo, hi }: { lo: number; hi: number }): AgedTension[] {
  const runIn = { loN: lo, hiN: hi };
  const fresh = kind === "v-belt" ? { loN: newV[0] * lo, hiN: newV[1] * lo } : runIn;
  return beltAges.map((age) => ({ age, ...(age === "new" ? fresh : runIn) }));
}
