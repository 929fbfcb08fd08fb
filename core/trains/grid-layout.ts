import type { GridPair, HoleGrid } from "./hole-grid";

/** A gear on its hole: along and across from the first one. */
export type OnHole = { teeth: number; holes: [number, number] };

const pairOf = (grid: HoleGrid, a: number, b: number): GridPair[] =>
  grid.pairs.filter(({ teeth }) => teeth[0] === Math.min(a, b) && teeth[1] === Math.max(a, b));

/** The eight ways in which an offset lies on a square grid, the plain one first. */
function turned([a, b]: readonly [number, number]): [number, number][] {
  const all: [number, number][] = [
    [a, b],
    [b, a],
    [a, -b],
    [b, -a],
    [-a, b],
    [-b, a],
    [-a, -b],
    [-b, -a],
  ];
  return all.filter(([x, y], i) => all.findIndex(([p, q]) => p === x && q === y) === i);
}

/**
 * Where two gears and the idler between them stand on their holes, so that the outer ones clear each other by their tips: of all offsets of both
 * pairs the layout with the least distance between the outer two, the first of equals.
 *
 * @returns driver at 0, 0, then idler and driven; null where every layout has the outer two run into each other
 */
export function idlerLayout(
  grid: HoleGrid,
  teeth: readonly [number, number],
  idler: number,
  { pitchMm, moduleMm }: { pitchMm: number; moduleMm: number },
): OnHole[] | null {
  const tips = (moduleMm * (teeth[0] + teeth[1] + 4)) / 2;
  let best: { gears: OnHole[]; apartMm: number } | null = null;
  for (const first of pairOf(grid, teeth[0], idler)) {
    for (const second of pairOf(grid, idler, teeth[1])) {
      for (const [x, y] of turned(second.holes)) {
        const at: [number, number] = [first.holes[0] + x, first.holes[1] + y];
        const apartMm = pitchMm * Math.hypot(...at);
        if (apartMm <= tips || (best && apartMm >= best.apartMm - 1e-9)) continue;
        const gears = [
          { teeth: teeth[0], holes: [0, 0] as [number, number] },
          { teeth: idler, holes: first.holes },
          { teeth: teeth[1], holes: at },
        ];
        best = { gears, apartMm };
      }
    }
  }
  return best?.gears ?? null;
}
