import { accept, type Result, refuse } from "../quantity";

export type OrderedPart = {
  id: string;
  /** What must be on before this part. */
  after?: readonly string[] | undefined;
  /** What this part hides, so that it must be done before. */
  hides?: readonly string[] | undefined;
  screws?: number | undefined;
};

export type ToReach = {
  /** All that must be on before it, in order of assembly. */
  before: string[];
  /** All that must come off before it, in order of stripping, and their screws. */
  toReach: string[];
  screwsToReach: number;
};

export type StripOrder = {
  feasible: boolean;
  assembly: string[];
  strip: string[];
  /** Rings of parts of which each waits for the next, and the last for the first. */
  conflicts: string[][];
  screws: number;
  reach?: ToReach;
};

/**
 * In which order parts go together, always the first of the list that is ready, and in which they come off. Parts that wait for one another in
 * a ring cannot be built: the order goes as far as it does, and each group of them is told by one ring.
 *
 * @param part the one that is to be reached
 * @returns the order, or at the place: `id-twice`, `not-listed` (named by none, or by the part itself)
 * @source common practice: a part comes after those it sits on and after everything that it hides
 */
export function stripOrder(parts: readonly OrderedPart[], part?: string): Result<StripOrder> {
  const at = new Map<string, number>();
  for (const [i, { id }] of parts.entries()) {
    if (at.has(id)) return refuse("id-twice", ["parts", i, "id"]);
    at.set(id, i);
  }
  const waitsFor = parts.map(() => new Set<number>());
  for (const [i, { after = [], hides = [] }] of parts.entries()) {
    for (const [key, ids] of [
      ["after", after],
      ["hides", hides],
    ] as const)
      for (const [k, id] of ids.entries()) {
        const other = at.get(id);
        if (other === undefined || other === i) return refuse("not-listed", ["parts", i, key, k]);
        waitsFor[i]?.add(other);
      }
  }
  if (part !== undefined && !at.has(part)) return refuse("not-listed", ["part"]);
  const waitedBy = parts.map(() => new Set<number>());
  for (const [i, waits] of waitsFor.entries()) for (const other of waits) waitedBy[other]?.add(i);
  const built = buildable(waitsFor, waitedBy);
  const name = (i: number) => parts[i]?.id as string;
  const named = (among: ReadonlySet<number>, order: readonly number[]) => order.filter((i) => among.has(i));
  const assembly = built.map(name);
  const feasible = built.length === parts.length;
  const screwsOf = (places: readonly number[]) => places.reduce((sum, i) => sum + (parts[i]?.screws ?? 0), 0);
  const aim = part === undefined ? undefined : at.get(part);
  const off = aim === undefined ? [] : named(closure(aim, waitedBy), [...built].reverse());
  return accept({
    feasible,
    assembly,
    strip: [...assembly].reverse(),
    conflicts: feasible ? [] : rings(waitsFor, waitedBy, new Set(built)).map((ring) => ring.map(name)),
    screws: screwsOf([...parts.keys()]),
    ...(feasible &&
      aim !== undefined && {
        reach: {
          before: named(closure(aim, waitsFor), built).map(name),
          toReach: off.map(name),
          screwsToReach: screwsOf(off),
        },
      }),
  });
}

/** By part its others: what it waits for, or what waits for it. */
type Ties = readonly ReadonlySet<number>[];

/** Always the first that waits for nothing that is not on yet. */
function buildable(waitsFor: Ties, waitedBy: Ties): number[] {
  const missing = waitsFor.map((waits) => waits.size);
  const on: number[] = [];
  let next = missing.indexOf(0);
  while (next >= 0) {
    on.push(next);
    missing[next] = -1;
    let from = next + 1;
    for (const other of waitedBy[next] ?? []) {
      missing[other] = (missing[other] ?? 0) - 1;
      if (missing[other] === 0) from = Math.min(from, other);
    }
    next = missing.indexOf(0, from);
  }
  return on;
}

/** All that one is tied to, over others too. */
function closure(start: number, ties: Ties): Set<number> {
  const seen = new Set<number>();
  const open = [start];
  for (let i = open.pop(); i !== undefined; i = open.pop())
    for (const next of ties[i] ?? [])
      if (!seen.has(next)) {
        seen.add(next);
        open.push(next);
      }
  return seen;
}

/** A ring for every group of parts that wait for one another, groups by their first in the list. */
function rings(waitsFor: Ties, waitedBy: Ties, built: ReadonlySet<number>): number[][] {
  const told = new Set<number>();
  return [...waitsFor.keys()].flatMap((start) => {
    if (built.has(start) || told.has(start)) return [];
    const [below, above] = [closure(start, waitsFor), closure(start, waitedBy)];
    const group = [...below].filter((i) => above.has(i)).sort((a, b) => a - b);
    if (group.length === 0) return [];
    for (const i of group) told.add(i);
    return [ringFrom(start, (i) => group.find((other) => waitsFor[i]?.has(other)) as number)];
  });
}

/** On from part to part until one comes again: the ring from there, begun at its first in the list. */
function ringFrom(start: number, next: (i: number) => number): number[] {
  const way = [start];
  for (;;) {
    const i = next(way[way.length - 1] as number);
    const again = way.indexOf(i);
    if (again >= 0) {
      const ring = way.slice(again);
      const first = ring.indexOf(Math.min(...ring));
      return [...ring.slice(first), ...ring.slice(0, first)];
    }
    way.push(i);
  }
}
