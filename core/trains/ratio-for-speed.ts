import { gcd } from "../numerics";

export type RatioQuestion = {
  /** Input turns per output turn. */
  wantedRatio: number;
  /** Counts to choose from, each as often as wanted. */
  teeth: readonly number[];
  /** z1 + z2 of every stage, where the centre distance is fixed. */
  toothSum?: number | undefined;
  /** At most. */
  stages: 1 | 2;
  results: number;
};

export type RatioChoice = {
  /** Driver and driven of each stage, the lower stage first. */
  teeth: [number, number][];
  ratio: number;
  /** Of the output: positive is faster than wanted. */
  errorPercent: number;
};

/** A ratio as whole numbers with no common part, and the fewest teeth that make it. */
type Exact = { up: number; down: number; ratio: number; teeth: [number, number][] };

const sameError = 1e-10;
const errorOf = (wanted: number, ratio: number): number => 100 * (wanted / ratio - 1);

/**
 * The pairs of gears, or two such stages in a row, that come nearest to a wanted ratio; each overall ratio once, by its fewest stages, then
 * its fewest teeth. Two stages of 300 counts are 8·10⁹ products, so for every first stage only those second ones are looked at that come as
 * near as the best so far: among the single ratios in order they lie next to wanted/first.
 *
 * @returns at most `results` choices, the nearest first; none where no pair has the sum
 */
export function ratioForSpeed({ wantedRatio, teeth, toothSum, stages, results }: RatioQuestion): RatioChoice[] {
  const singles = singleStages(teeth, toothSum);
  const kept = new Map<string, Exact>();
  for (const single of singles) kept.set(key(single), single);
  const chosen = nearest([...kept.values()], wantedRatio, results);
  if (stages === 1) return chosen.map((one) => choiceOf(one, wantedRatio));
  return bestOfTwo(singles, chosen, wantedRatio, results).map((one) => choiceOf(one, wantedRatio));
}

const key = ({ up, down }: Pick<Exact, "up" | "down">): string => `${up}/${down}`;

const choiceOf = ({ teeth, ratio }: Exact, wanted: number): RatioChoice => ({
  teeth,
  ratio,
  errorPercent: errorOf(wanted, ratio),
});

/** Every ratio of one stage once, ascending. */
function singleStages(teeth: readonly number[], toothSum: number | undefined): Exact[] {
  const best = new Map<string, Exact>();
  const counts = [...new Set(teeth)].sort((a, b) => a - b);
  for (const driver of counts) {
    for (const driven of counts) {
      if (toothSum !== undefined && driver + driven !== toothSum) continue;
      const common = gcd(driver, driven);
      const one = { up: driven / common, down: driver / common, ratio: driven / driver };
      // Counts ascend: the first pair of a ratio has the fewest teeth.
      if (!best.has(key(one))) best.set(key(one), { ...one, teeth: [[driver, driven]] });
    }
  }
  return [...best.values()].sort((a, b) => a.ratio - b.ratio);
}

function bestOfTwo(singles: readonly Exact[], first: readonly Exact[], wanted: number, results: number): Exact[] {
  let found = new Map(first.map((one) => [key(one), one]));
  const worst = () => (found.size < results ? Number.POSITIVE_INFINITY : furthest(found, wanted));
  let bound = worst();
  const oneStage = new Set(singles.map(key));
  const take = (a: Exact, b: Exact): boolean => {
    const ratio = a.ratio * b.ratio;
    if (Math.abs(errorOf(wanted, ratio)) > bound + sameError) return false;
    const common = gcd(a.up * b.up, a.down * b.down);
    const product = { up: (a.up * b.up) / common, down: (a.down * b.down) / common };
    if (oneStage.has(key(product))) return true;
    const teeth = [...a.teeth, ...b.teeth].sort(byNumbers);
    const before = found.get(key(product));
    const now = { ...product, ratio: product.up / product.down, teeth };
    if (before && order(before, now) <= 0) return true;
    found.set(key(product), now);
    // Sorted out now and then, so that the bound closes in and little is kept.
    if (found.size > 4 * results + 50) {
      found = new Map(nearest([...found.values()], wanted, results, sameError).map((one) => [key(one), one]));
      bound = Math.min(bound, furthestOf([...found.values()], wanted, results));
    }
    return true;
  };
  for (const a of singles) {
    const from = firstAtLeast(singles, wanted / a.ratio);
    for (let i = from; i < singles.length && take(a, singles[i] as Exact); i++);
    for (let i = from - 1; i >= 0 && take(a, singles[i] as Exact); i--);
  }
  return nearest([...found.values()], wanted, results);
}

const furthest = (found: ReadonlyMap<string, Exact>, wanted: number): number =>
  Math.max(...[...found.values()].map(({ ratio }) => Math.abs(errorOf(wanted, ratio))));

function furthestOf(found: readonly Exact[], wanted: number, results: number): number {
  const errors = found.map(({ ratio }) => Math.abs(errorOf(wanted, ratio))).sort((a, b) => a - b);
  return errors[results - 1] ?? Number.POSITIVE_INFINITY;
}

/** Index of the first ratio that is not below. */
function firstAtLeast(sorted: readonly Exact[], ratio: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sorted[middle] as Exact).ratio < ratio) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The nearest first; those as near as the last one, to `more`, may be kept besides. */
function nearest(found: readonly Exact[], wanted: number, results: number, more?: number): Exact[] {
  const ranked = found
    .map((one) => ({ one, off: Math.abs(errorOf(wanted, one.ratio)) }))
    .sort((a, b) => (Math.abs(a.off - b.off) > sameError ? a.off - b.off : order(a.one, b.one)));
  const last = ranked[results - 1]?.off ?? Number.POSITIVE_INFINITY;
  return ranked.filter(({ off }, i) => i < results || (more !== undefined && off <= last + more)).map(({ one }) => one);
}

const teethIn = ({ teeth }: Exact): number => teeth.flat().reduce((sum, count) => sum + count, 0);

/** Fewest stages, fewest teeth, lowest counts. */
const order = (a: Exact, b: Exact): number =>
  a.teeth.length - b.teeth.length || teethIn(a) - teethIn(b) || byNumbers(a.teeth.flat(), b.teeth.flat());

function byNumbers(a: readonly number[], b: readonly number[]): number {
  const at = a.findIndex((value, i) => value !== b[i]);
  return at < 0 ? 0 : (a[at] as number) - (b[at] as number);
}
