import { accept, type Result, refuse } from "../quantity";
import { micrometres, millimetres } from "./micrometres";

export type ShaftItem = {
  id: string;
  widthMm: number;
  /** Where its working plane must stand, from the left face; not said: anywhere. */
  planeAtMm?: number | undefined;
  /** Where the plane lies from the item's own left side. */
  planeMm: number;
  toleranceMm: number;
};

export type ShaftQuestion = {
  /** Between the faces. */
  lengthMm: number;
  /** In order from the left face, everything pushed to it. */
  items: readonly ShaftItem[];
  spacers: readonly { widthMm: number; count: number }[];
  endFloat: { loMm: number; hiMm: number };
};

export type ShaftAnswer = {
  feasible: boolean;
  /** All n + 1 of them; what stands in the last one lies before the right face. */
  gaps: { after: string; spacers: { widthMm: number; count: number }[]; totalMm: number }[];
  /** Of the items whose plane must stand somewhere. */
  planes: { id: string; atMm: number; errorMm: number }[];
  /** What is left at the right. */
  endFloatMm: number;
};

/** Which of the ways that go together is best: that with the planes nearest to their places, or that with fewest spacers. */
export type ShaftOrder = "nearest" | "fewest";

/** Ways to take spacers that are looked through; beyond it the question is refused. */
const mostWays = 400_000;

/**
 * Which spacers go where on a shaft between two faces.
 *
 * Trying every spacer in every gap grows out of hand with three sizes already. But where a plane stands depends only on *how many of each
 * size* stand before it, not on the gap; so the spacers before each plane form a chain of counts that only grow, and the best chain is
 * found plane by plane over the table of all counts (a running minimum along each size). Exact.
 *
 * Lengths count in whole micrometres, halves up. Best: least Σ error², then the end float nearest to the middle of its window, then
 * fewest spacers; of those every plane within its tolerance and the float in its window. Where there are none: the first in the same
 * order with an end float not below 0, not feasible. By `fewest`, spacers count before errors: of those that go together the one with least
 * of them. Spacers before a plane stand directly before its item; those behind the last plane
 * directly behind its item.
 *
 * @returns refused with `too-many-spacers` where there are more ways than can be looked through
 */
export function shaftStack(question: ShaftQuestion, order: ShaftOrder = "nearest"): Result<ShaftAnswer> {
  const length = micrometres(question.lengthMm);
  const widths = question.items.map(({ widthMm }) => micrometres(widthMm));
  const free = length - widths.reduce((sum, width) => sum + width, 0);
  const ways = waysToTake(question.spacers, free);
  if (!ways) return refuse("too-many-spacers", ["spacers"], { most: mostWays });

  const lo = micrometres(question.endFloat.loMm);
  const hi = micrometres(question.endFloat.hiMm);
  const planes = question.items.flatMap((item, index) => {
    if (item.planeAtMm === undefined) return [];
    const before = widths.slice(0, index).reduce((sum, width) => sum + width, 0);
    const wanted = micrometres(item.planeAtMm) - before - micrometres(item.planeMm);
    return [{ index, wanted, tolerance: micrometres(item.toleranceMm) }];
  });
  const off = (total: number) => Math.abs(2 * (free - total) - lo - hi);
  const inWindow = (total: number) => free - total >= lo && free - total <= hi;
  const held = bestChain(ways, planes, off, inWindow, true, order);
  const chain = held ?? bestChain(ways, planes, off, (total) => total <= free, false) ?? planes.map(() => 0).concat(0);
  return accept(laidOut(question, planes, ways, chain, held !== null, free));
}

type Ways = {
  /** Sizes, widest first, and how many of each there are. */
  sizes: { um: number; widthMm: number; count: number }[];
  /** How far apart two ways lie in the table that differ by one of a size. */
  strides: number[];
  /** Of each way: its total, and how many pieces it takes. */
  totals: Float64Array;
  pieces: Uint16Array;
  size: number;
};

function waysToTake(spacers: ShaftQuestion["spacers"], free: number): Ways | null {
  const bySize = new Map<number, Ways["sizes"][number]>();
  for (const { widthMm, count } of spacers) {
    const um = micrometres(widthMm);
    if (um <= 0 || um > free || count <= 0) continue;
    const size = bySize.get(um) ?? { um, widthMm, count: 0 };
    // No more of a size than fit at all.
    size.count = Math.min(size.count + count, Math.floor(free / um));
    bySize.set(um, size);
  }
  const sizes = [...bySize.values()].sort((a, b) => b.um - a.um);
  const strides: number[] = [];
  let size = 1;
  for (const { count } of sizes) {
    strides.push(size);
    size *= count + 1;
    if (size > mostWays) return null;
  }
  const totals = new Float64Array(size);
  const pieces = new Uint16Array(size);
  for (let way = 1; way < size; way++) {
    // One piece fewer of the last size that the way takes any of.
    const dimension = strides.findLastIndex((stride) => stride <= way);
    const without = way - (strides[dimension] as number);
    totals[way] = (totals[without] as number) + (sizes[dimension]?.um ?? 0);
    pieces[way] = (pieces[without] as number) + 1;
  }
  return { sizes, strides, totals, pieces, size };
}

type Plane = { index: number; wanted: number; tolerance: number };

/** The ways taken before each plane and in all, each holding the one before it; null where none is allowed. */
function bestChain(
  { sizes, strides, totals, pieces, size }: Ways,
  planes: readonly Plane[],
  off: (total: number) => number,
  allowed: (total: number) => boolean,
  within: boolean,
  by: ShaftOrder = "nearest",
): number[] | null {
  let cost = new Float64Array(size);
  const from: Int32Array[] = [];
  for (const { wanted, tolerance } of planes) {
    const { least, at } = leastUpTo(cost, sizes, strides);
    from.push(at);
    cost = least.map((before, way) => {
      const error = Math.abs((totals[way] as number) - wanted);
      return within && error > tolerance ? Number.POSITIVE_INFINITY : before + error * error;
    });
  }
  const { least, at } = leastUpTo(cost, sizes, strides);
  const order = (a: number, b: number) =>
    (by === "fewest" ? (pieces[a] as number) - (pieces[b] as number) : 0) ||
    (least[a] as number) - (least[b] as number) ||
    off(totals[a] as number) - off(totals[b] as number) ||
    (pieces[a] as number) - (pieces[b] as number);
  let best = -1;
  for (let way = 0; way < size; way++) {
    if (least[way] === Number.POSITIVE_INFINITY || !allowed(totals[way] as number)) continue;
    if (best < 0 || order(way, best) < 0) best = way;
  }
  if (best < 0) return null;
  const chain = [best];
  let way = at[best] as number;
  for (let i = planes.length - 1; i >= 0; i--) {
    chain.unshift(way);
    way = from[i]?.[way] as number;
  }
  return chain;
}

/** For every way the least cost among those that take no more of any size, and which that is: a running minimum along each size. */
function leastUpTo(cost: Float64Array, sizes: Ways["sizes"], strides: readonly number[]) {
  const least = cost.slice();
  const at = Int32Array.from(cost, (_, way) => way);
  sizes.forEach(({ count }, dimension) => {
    const stride = strides[dimension] as number;
    for (let way = stride; way < least.length; way++) {
      if (Math.floor(way / stride) % (count + 1) === 0) continue;
      if ((least[way - stride] as number) >= (least[way] as number)) continue;
      least[way] = least[way - stride] as number;
      at[way] = at[way - stride] as number;
    }
  });
  return { least, at };
}

function laidOut(
  { items }: ShaftQuestion,
  planes: readonly Plane[],
  { sizes, strides, totals }: Ways,
  chain: readonly number[],
  feasible: boolean,
  free: number,
): ShaftAnswer {
  const taken = (way: number, dimension: number) =>
    Math.floor(way / (strides[dimension] as number)) % ((sizes[dimension]?.count ?? 0) + 1);
  const gaps: ShaftAnswer["gaps"] = ["left-face", ...items.map(({ id }) => id)].map((after) => ({
    after,
    spacers: [],
    totalMm: 0,
  }));
  chain.forEach((way, i) => {
    const before = i === 0 ? 0 : (chain[i - 1] as number);
    // Gap k lies before item k: directly before a plane's item, behind the last plane's directly after it.
    const gap = gaps[planes[i]?.index ?? (planes.at(-1)?.index ?? -1) + 1];
    if (!gap || way === before) return;
    gap.totalMm = millimetres((totals[way] as number) - (totals[before] as number));
    gap.spacers = sizes.flatMap(({ widthMm }, dimension) => {
      const count = taken(way, dimension) - taken(before, dimension);
      return count > 0 ? [{ widthMm, count }] : [];
    });
  });
  const shown = planes.map(({ index, wanted }, i) => {
    const error = (totals[chain[i] as number] as number) - wanted;
    const item = items[index] as ShaftItem;
    return {
      id: item.id,
      atMm: millimetres(micrometres(item.planeAtMm as number) + error),
      errorMm: millimetres(error),
    };
  });
  return {
    feasible,
    gaps,
    planes: shown,
    endFloatMm: millimetres(free - (totals[chain.at(-1) as number] as number)),
  };
}
