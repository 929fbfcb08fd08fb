/** Leaves laid together, and how far they miss what was wanted (positive: too thick). */
export type FeelerStack = { leavesMm: number[]; totalMm: number; missMm: number };

/** More leaves than this spring apart and read thick (common practice). */
const mostLeaves = 3;

/**
 * The leaves of a set that come nearest to a thickness: fewest leaves among those within a tenth of a hundredth, then the thinner
 * stack, for a feeler that is too thick leaves a mesh too loose by that much and one too thin leaves it tight. Each leaf is
 * there once. Tries every choice of up to three leaves: a set of thirty has 4 525.
 *
 * @param targetMm over 0
 * @param setMm thicknesses of the leaves
 * @returns null for an empty set
 */
export function feelerFromSet(targetMm: number, setMm: readonly number[]): FeelerStack | null {
  const leaves = [...setMm].sort((a, b) => b - a);
  let best: FeelerStack | null = null;
  const better = (a: FeelerStack, b: FeelerStack): boolean => {
    const apart = Math.abs(a.missMm) - Math.abs(b.missMm);
    if (Math.abs(apart) > 1e-3) return apart < 0;
    if (a.leavesMm.length !== b.leavesMm.length) return a.leavesMm.length < b.leavesMm.length;
    return Math.abs(apart) > 1e-9 ? apart < 0 : a.missMm < b.missMm;
  };
  const lay = (chosen: readonly number[], from: number): void => {
    if (chosen.length > 0) {
      const totalMm = chosen.reduce((a, b) => a + b, 0);
      const stack = { leavesMm: [...chosen], totalMm, missMm: totalMm - targetMm };
      if (!best || better(stack, best)) best = stack;
    }
    if (chosen.length === mostLeaves) return;
    for (let i = from; i < leaves.length; i++) lay([...chosen, leaves[i] as number], i + 1);
  };
  lay([], 0);
  return best;
}
