import { micrometres, type Stack, type StackQuestion, type StockShim } from "../stacks";

export type Piece = { thicknessMm: number; count: number };
export type Pieces = readonly Piece[];

export type DrawerStage = {
  /** Of the judged quantity, over everything that counts. */
  now: { min: number; max: number };
  limits: { lo: number; aim?: number | undefined; hi: number };
  expandedUncertainty: number;
  /** Change of the judged quantity per mm of shim, with its sign. */
  perShimMm: number;
  /** What lies in it now. */
  present: Pieces;
};

/** Expanded uncertainty of one shim, mm (k = 2): measured with a micrometer, or taken by its nominal size (common practice). */
export const shimUncertaintyMm = { measured: 0.004, nominal: 0.01 };

/**
 * The whole stack that a stage wants, as a question to `shimStack`: totals that bring every value inside the limits, with the uncertainty
 * of the reading kept off both where there is room for that. The pieces that lie in it are in the drawer as well, and go back in first.
 *
 * @returns null where no stack can hold the spread, or shims do not act on the stage
 */
export function drawerQuestion(
  { now, limits, expandedUncertainty: u, perShimMm, present }: DrawerStage,
  drawer: readonly StockShim[],
  maxPieces: number,
  alternatives = 40,
): StackQuestion | null {
  const spread = now.max - now.min;
  const guard = spread <= limits.hi - limits.lo - 2 * u ? u : 0;
  if (spread > limits.hi - limits.lo || Math.abs(perShimMm) < 1e-9) return null;
  const aim = limits.aim ?? (limits.lo + limits.hi) / 2;
  const total = totalOf(present);
  const ends = [limits.lo + guard - now.min, limits.hi - guard - now.max].map((change) => total + change / perShimMm);
  const thickest = Math.max(...ends);
  const wanted = total + (aim - (now.min + now.max) / 2) / perShimMm;
  return {
    // What is left of the gap is then how much thinner the stack is than the thickest that does.
    gapMm: thickest,
    target: { loMm: 0, hiMm: thickest - Math.min(...ends), aimMm: thickest - wanted },
    stock: [...drawer, ...present.map((piece) => ({ ...piece, wereIn: piece.count }))],
    maxPieces,
    alternatives,
  };
}

export const totalOf = (pieces: Pieces): number =>
  Math.round(pieces.reduce((sum, { thicknessMm, count }) => sum + thicknessMm * count, 0) * 1000) / 1000;

export type StackOutcome = {
  /** mm of shim, as the move is logged. */
  amount: number;
  min: number;
  max: number;
  /** Of what it will read, with the reading's and the shims' own: only pieces that are moved count. */
  expandedUncertainty: number;
  /** Whether it lies inside the limits even so. */
  provable: boolean;
};

/** What the stage will read with a stack in the place of the present one. */
export function stackOutcome(
  { now, limits, expandedUncertainty, perShimMm, present }: DrawerStage,
  stack: Pick<Stack, "shims">,
  measured: (thicknessMm: number) => boolean,
): StackOutcome {
  const amount = Math.round((totalOf(stack.shims) - totalOf(present)) * 1000) / 1000;
  const { taken, returned } = exchange(present, stack.shims);
  const own = [...taken, ...returned].map(
    ({ thicknessMm, count }) => count * shimUncertaintyMm[measured(thicknessMm) ? "measured" : "nominal"] ** 2,
  );
  const u = Math.hypot(expandedUncertainty, perShimMm * Math.sqrt(own.reduce((sum, one) => sum + one, 0)));
  const [min, max] = [now.min + perShimMm * amount, now.max + perShimMm * amount];
  return { amount, min, max, expandedUncertainty: u, provable: min - u >= limits.lo && max + u <= limits.hi };
}

/** Pieces that come out and go back in all. */
export const handled = (present: Pieces, stack: Pieces): number => {
  const { taken, returned } = exchange(present, stack);
  return [...taken, ...returned].reduce((sum, { count }) => sum + count, 0);
};

/**
 * Of all that fit: the best first, those nearest to it, and in any case the one for which fewest pieces change hands; a few micrometres
 * nearer to the aim are seldom worth a stack taken apart.
 */
export function stacksToShow<T extends { shims: Pieces }>(present: Pieces, fitting: readonly T[], most: number): T[] {
  const easiest = [...fitting].sort((a, b) => handled(present, a.shims) - handled(present, b.shims))[0];
  const first = fitting.slice(0, most);
  return !easiest || first.includes(easiest) ? first : [...first.slice(0, most - 1), easiest];
}

/** What comes out of the drawer for a stack, and what goes back. */
export function exchange(present: Pieces, stack: Pieces): { taken: Piece[]; returned: Piece[] } {
  const change = new Map<number, { thicknessMm: number; count: number }>();
  const add = (pieces: Pieces, sign: number) => {
    for (const { thicknessMm, count } of pieces) {
      // As the stacks count them: two sizes of one whole micrometre are one.
      const key = micrometres(thicknessMm);
      const known = change.get(key) ?? { thicknessMm, count: 0 };
      change.set(key, { ...known, count: known.count + sign * count });
    }
  };
  add(stack, 1);
  add(present, -1);
  const all = [...change.values()];
  return {
    taken: all.filter(({ count }) => count > 0),
    returned: all.filter(({ count }) => count < 0).map((piece) => ({ ...piece, count: -piece.count })),
  };
}
