import { gcd } from "../numerics";
import { accept, type Result, refuse } from "../quantity";
import { micrometres, millimetres } from "./micrometres";

export type StockShim = {
  thicknessMm: number;
  count: number;
  /** How many of them were in before: between stacks of the same total and as many pieces they go back in first. */
  wereIn?: number;
};

export type StackQuestion = {
  gapMm: number;
  /** The clearance to be left; negative where the parts are to be squeezed. */
  target: { loMm: number; aimMm?: number | undefined; hiMm: number };
  stock: readonly StockShim[];
  maxPieces: number;
  /** At most so many other totals. */
  alternatives: number;
};

export type Stack = {
  /** Thickest first. */
  shims: { thicknessMm: number; count: number }[];
  totalMm: number;
  clearanceMm: number;
  pieces: number;
};

export type StackAnswer = {
  feasible: boolean;
  best: Stack | null;
  /** Other totals that leave a clearance inside the window, in order. */
  alternatives: Stack[];
  /** Where none fits: the nearest clearances below the window and above it. */
  nearestBelow?: Stack;
  nearestAbove?: Stack;
};

/** Steps of the table of totals that are worked through; beyond it the question is refused. */
const mostTotals = 2_000_000;

/**
 * The shims to take from a drawer so that a gap is left with the clearance wanted.
 *
 * Taking the thickest that still fits, over and over, misses stacks that fit better; trying every subset never ends. So a table
 * holds for every total the fewest pieces that make it, filled size by size (a bounded subset sum), in steps of what all sizes
 * share. Only totals that matter are held: one that is too thick by more than its thinnest piece is never the nearest. Exact.
 *
 * Lengths count in whole micrometres, halves up. Order: clearance nearest to the aim (by default the middle of the window), then
 * fewest pieces, then the larger clearance. The empty stack counts.
 *
 * @param done is told the share of the sizes that are worked in, 0 to 1
 * @returns refused with `stack-too-long` where the table would be larger than a computer should hold
 * @source bounded knapsack by dynamic programming, any textbook on algorithms; order: the calc contract
 */
export function shimStack(question: StackQuestion, done: (share: number) => void = () => {}): Result<StackAnswer> {
  const gap = micrometres(question.gapMm);
  const lo = micrometres(question.target.loMm);
  const hi = micrometres(question.target.hiMm);
  const { aimMm } = question.target;
  const aim = aimMm === undefined ? (question.target.loMm + question.target.hiMm) * 500 : micrometres(aimMm);
  // Totals above `thickest` leave less than lo.
  const thickest = gap - lo;
  const sizes = sizesOf(question.stock);
  const table = tableOfTotals(sizes, thickest, question.maxPieces, done);
  if (!table) return refuse("stack-too-long", ["gapMm"], { gapMm: question.gapMm });

  const inside = table.totals(Math.max(0, gap - hi), thickest);
  const off = (total: number) => Math.abs(gap - total - aim);
  inside.sort((a, b) => off(a) - off(b) || table.pieces(a) - table.pieces(b) || a - b);
  const stackOf = (total: number): Stack => {
    const shims = table.shims(total);
    const pieces = shims.reduce((sum, { count }) => sum + count, 0);
    return { shims, totalMm: millimetres(total), clearanceMm: millimetres(gap - total), pieces };
  };
  const [best, ...others] = inside;
  if (best !== undefined) {
    const alternatives = others.slice(0, question.alternatives).map(stackOf);
    return accept({ feasible: true, best: stackOf(best), alternatives });
  }
  const below = table.nextAbove(Math.max(thickest, -1));
  const above = table.nextBelow(gap - hi);
  return accept({
    feasible: false,
    best: null,
    alternatives: [],
    ...(below === null ? {} : { nearestBelow: stackOf(below) }),
    ...(above === null ? {} : { nearestAbove: stackOf(above) }),
  });
}

type Size = { um: number; thicknessMm: number; count: number; wereIn: number };

/** One line for each size in whole micrometres, thickest first; what rounds to nothing fills nothing. */
function sizesOf(stock: readonly StockShim[]): Size[] {
  const bySize = new Map<number, Size>();
  for (const { thicknessMm, count, wereIn = 0 } of stock) {
    const um = micrometres(thicknessMm);
    if (um <= 0 || count <= 0) continue;
    const size = bySize.get(um) ?? { um, thicknessMm, count: 0, wereIn: 0 };
    size.count += count;
    size.wereIn += wereIn;
    bySize.set(um, size);
  }
  return [...bySize.values()].sort((a, b) => b.um - a.um);
}

type Table = {
  /** Totals that can be had, from one to another, both counted. */
  totals: (from: number, to: number) => number[];
  pieces: (total: number) => number;
  shims: (total: number) => Stack["shims"];
  /** The least total over a limit, the greatest under one. */
  nextAbove: (limit: number) => number | null;
  nextBelow: (limit: number) => number | null;
};

const unreachable = 65_535;
/** A piece costs this, one that was in before a little less: pieces decide, what was in breaks the tie. */
const perPiece = 512;

function tableOfTotals(
  sizes: readonly Size[],
  thickest: number,
  maxPieces: number,
  done: (share: number) => void,
): Table | null {
  // Of the sizes that are too thick alone only the thinnest can be the nearest, alone.
  const tooThick = sizes.findLast(({ um }) => um > thickest);
  const fitting = sizes.filter(({ um }) => um <= thickest);
  const step = fitting.reduce((common, { um }) => gcd(common, um), 0) || 1;
  // The least total over the limit is over it by less than any of its pieces: it would still be over it without.
  const length = Math.floor((Math.max(0, thickest) + (fitting[0]?.um ?? 0)) / step) + 1;
  if (length > mostTotals) return null;
  const cost = new Uint16Array(length).fill(unreachable);
  cost[0] = 0;
  const taken = fitting.map((size, index) => {
    const counts = takeIn(cost, size, size.um / step, maxPieces);
    done((index + 1) / fitting.length);
    return counts;
  });
  const reachable = (at: number) => (cost[at] ?? unreachable) < unreachable;
  const alone = (total: number) => tooThick?.um === total && !(total % step === 0 && reachable(total / step));
  return {
    totals(from, to) {
      const found: number[] = [];
      for (let at = Math.ceil(from / step); at <= Math.floor(to / step); at++) if (reachable(at)) found.push(at * step);
      return found;
    },
    pieces: (total) => Math.ceil((cost[total / step] ?? 0) / perPiece),
    shims(total) {
      if (tooThick && alone(total)) return [{ thicknessMm: tooThick.thicknessMm, count: 1 }];
      let at = total / step;
      const shims: Stack["shims"] = [];
      for (let i = fitting.length - 1; i >= 0; i--) {
        const size = fitting[i] as Size;
        const count = taken[i]?.[at] ?? 0;
        if (count > 0) shims.unshift({ thicknessMm: size.thicknessMm, count });
        at -= (count * size.um) / step;
      }
      return shims;
    },
    nextAbove(limit) {
      for (let at = Math.max(0, Math.floor(limit / step) + 1); at < length; at++)
        if (reachable(at)) return tooThick ? Math.min(tooThick.um, at * step) : at * step;
      return tooThick?.um ?? null;
    },
    nextBelow(limit) {
      for (let at = Math.min(length, Math.ceil(limit / step)) - 1; at >= 0; at--) if (reachable(at)) return at * step;
      return null;
    },
  };
}

/** Works one size into the table; gives how many of it the cheapest stack of each total takes. */
function takeIn(cost: Uint16Array, { count, wereIn }: Size, width: number, maxPieces: number): Uint8Array {
  const counts = new Uint8Array(cost.length);
  const most = Math.min(count, maxPieces, 255);
  const dearest = maxPieces * perPiece;
  // Downwards, so that a total still holds what it cost without this size when it is looked up.
  for (let total = cost.length - 1; total >= width; total--) {
    let least = cost[total] as number;
    for (let k = 1; k <= most && k * width <= total; k++) {
      const costHere = (cost[total - k * width] as number) + k * perPiece - Math.min(k, wereIn);
      if (costHere >= least || costHere > dearest) continue;
      least = costHere;
      counts[total] = k;
    }
    cost[total] = least;
  }
  return counts;
}
