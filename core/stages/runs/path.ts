import { beltPath, type LaidPath, layPath, type PathPulley, pullOf, runningSense } from "../../belts";
import { accept, type Result, refuse } from "../../quantity";
import type { BeltElement, ChainElement, Moved } from "../element";

/** Pulleys in running order: driver, lower idlers, driven, upper idlers; and where each element's part stands in that order. */
export type StagePath = {
  pulleys: PathPulley[];
  laid: LaidPath;
  /** Index of the driven pulley in running order. */
  driven: number;
  /** Of the idler with a number from 0. */
  idlers: number[];
};

/** Pitch diameters of driver and driven: where belt or chain runs as a line. */
export function runDiameters(element: BeltElement | ChainElement): [number, number] {
  switch (element.kind) {
    case "v-belt":
      return [element.pitchDiameterMm[0], element.pitchDiameterMm[1]];
    case "toothed-belt":
    case "chain":
      return [(element.pitchMm * element.teeth[0]) / Math.PI, (element.pitchMm * element.teeth[1]) / Math.PI];
  }
}

/**
 * The true path of a belt or chain round its pulleys and idlers.
 *
 * @returns the path, or `pulleys-overlap` at the idler or at centreDistanceMm, `no-path` at idlers: the belt does not touch one of
 *   them, or runs through another
 */
export function stagePath(element: BeltElement | ChainElement): Result<StagePath> {
  const [d1, d2] = runDiameters(element);
  const numbered = element.idlers.map((idler, number) => ({ idler, number }));
  const along = (strand: "lower" | "upper", way: 1 | -1) =>
    numbered.filter(({ idler }) => idler.strand === strand).sort((a, b) => way * (a.idler.x - b.idler.x));
  const lower = along("lower", 1);
  const upper = along("upper", -1);
  const main = (x: number, pitchDiameterMm: number): PathPulley => ({ x, y: 0, pitchDiameterMm, side: "inside" });
  const onIdlers = (list: typeof numbered) =>
    list.map(({ idler: { x, y, diameterMm, side } }): PathPulley => ({ x, y, pitchDiameterMm: diameterMm, side }));
  const pulleys = [main(0, d1), ...onIdlers(lower), main(element.centreDistanceMm, d2), ...onIdlers(upper)];
  const driven = lower.length + 1;
  const order = [null, ...lower, null, ...upper];
  const judged = beltPath(pulleys);
  if (!judged.ok) {
    const at = order[judged.refusal.path[1] as number];
    return at
      ? refuse("pulleys-overlap", ["idlers", at.number])
      : refuse("circles-overlap", ["centreDistanceMm"], { leastMm: (d1 + d2) / 2 });
  }
  // The element's own running order is counter-clockwise; were the polygon clockwise, no belt would touch the pulleys this way.
  const laid = runningSense(pulleys) === 1 ? layPath(pulleys, 1) : null;
  if (!laid)
    return refuse("no-path", ["idlers"], {
      kind: element.kind === "chain" ? "chain" : "belt",
      idler: untouched(
        pulleys,
        order.map((item) => item?.number ?? -1),
      ),
    });
  return accept({
    pulleys,
    laid,
    driven,
    idlers: element.idlers.map((_, n) => order.findIndex((item) => item?.number === n)),
  });
}

/** The idler, counted from 1, without which the path would be there; 0 where none alone is to blame. */
function untouched(pulleys: readonly PathPulley[], numbers: readonly number[]): number {
  const blame = numbers.find((number, i) => {
    if (number < 0) return false;
    const rest = pulleys.filter((_, k) => k !== i);
    return runningSense(rest) === 1 && layPath(rest, 1) !== null;
  });
  return blame === undefined ? 0 : blame + 1;
}

/** How much longer the path gets a mm of what the adjuster moves, in the direction that lengthens it most. */
export function pathPull(path: StagePath, moved: Moved): number {
  const at = moved === "centres" ? path.driven : (path.idlers[moved] ?? path.driven);
  const [x, y] = pullOf(path.laid, at);
  return moved === "centres" ? Math.abs(x) : Math.hypot(x, y);
}

/** The longest free span of the path, mm: the one that is plucked or pressed, or that hangs. */
export const readSpan = (path: StagePath): number => Math.max(...path.laid.spans.map((span) => span.lengthMm));
