import { bisect, radians } from "../numerics";
import { accept, type Result, refuse } from "../quantity";
import { firstOverlap, layPath, lengthChange, type PathPulley, runningSense } from "./belt-path";

export type EccentricIdler = { index: number; pivotX: number; pivotY: number; throwMm: number };

export type IdlerSetting = {
  /** The setting nearest to where it stands; where the length cannot be had, that with the nearest length; null where the belt lies nowhere. */
  angleDeg: number | null;
  lengthPerDegMm: number | null;
  range: { minLengthMm: number; maxLengthMm: number } | null;
  feasible: boolean;
};

/** Fine enough that no two settings of one length lie between two looks, except at the dead points, which are looked at by themselves. */
const lookDeg = 0.5;

/**
 * The turn of an eccentric idler at which the belt's path has a length. The length over a turn is smooth but has two or more
 * branches, and parts of the turn may have no path at all: so every part is walked, its ends and its turning points found, and
 * every crossing of the wanted length between them halved down.
 *
 * @param fromDeg where it stands: the nearest setting within ±180° of it is taken, of two equally near the positive turn
 * @returns the setting, or `no-such-pulley` at eccentric.index; `pulleys-overlap` at a pulley that overlaps another whatever the idler does
 * @example idlerSet([two of 40 at (0,0) and (100,0)], { index: 1, pivotX: 100, pivotY: 0, throwMm: 2 }, 326.5, 0)
 *   // angleDeg 78.491659, lengthPerDegMm −0.0681248
 */
export function idlerSet(
  pulleys: readonly PathPulley[],
  eccentric: EccentricIdler,
  targetLengthMm: number,
  fromDeg: number,
): Result<IdlerSetting> {
  const { index, pivotX, pivotY, throwMm } = eccentric;
  const idler = pulleys[index];
  if (!idler) return refuse("no-such-pulley", ["eccentric", "index"], { pulleys: pulleys.length });
  const standing = firstOverlap(pulleys.filter((_, i) => i !== index));
  if (standing !== null) return refuse("pulleys-overlap", ["pulleys", standing >= index ? standing + 1 : standing]);
  const withIdlerAt = (x: number, y: number) => pulleys.map((p, i) => (i === index ? { ...p, x, y } : p));
  const sense = runningSense(withIdlerAt(pivotX, pivotY));
  const laidAt = (deg: number) => {
    const at = withIdlerAt(pivotX + throwMm * Math.cos(radians(deg)), pivotY + throwMm * Math.sin(radians(deg)));
    return firstOverlap(at) === null ? layPath(at, sense) : null;
  };
  const lengthAt = (deg: number) => laidAt(deg)?.lengthMm ?? null;
  const slopeAt = (deg: number) => {
    const laid = laidAt(deg);
    const step = radians(1) * throwMm;
    return laid ? lengthChange(laid, index, [-step * Math.sin(radians(deg)), step * Math.cos(radians(deg))]) : 0;
  };

  const runs = feasibleRuns(lengthAt, slopeAt, fromDeg);
  const knots = runs.flat();
  if (knots.length === 0) return accept({ angleDeg: null, lengthPerDegMm: null, range: null, feasible: false });
  const lengths = knots.map((knot) => knot.length);
  const range = { minLengthMm: Math.min(...lengths), maxLengthMm: Math.max(...lengths) };
  const found = runs.flatMap((run) => crossings(run, lengthAt, targetLengthMm));
  const nearer = (a: number, b: number) => Math.abs(a - fromDeg) - Math.abs(b - fromDeg);
  const best = found.sort((a, b) => (Math.abs(nearer(a, b)) > 1e-9 ? nearer(a, b) : b - a))[0];
  const nearest = () =>
    knots.reduce((a, b) => (Math.abs(b.length - targetLengthMm) < Math.abs(a.length - targetLengthMm) - 1e-12 ? b : a))
      .deg;
  const angleDeg = best ?? nearest();
  return accept({ angleDeg, lengthPerDegMm: slopeAt(angleDeg), range, feasible: best !== undefined });
}

type Knot = { deg: number; length: number };

/** The parts of the turn in which a path exists, each as looks in order with its ends and dead points among them. */
function feasibleRuns(
  lengthAt: (deg: number) => number | null,
  slopeAt: (deg: number) => number,
  fromDeg: number,
): Knot[][] {
  const runs: Knot[][] = [];
  let run: Knot[] = [];
  const knot = (deg: number): Knot => ({ deg, length: lengthAt(deg) ?? Number.NaN });
  const steps = Math.round(360 / lookDeg);
  let before: number | null = null;
  for (let i = 0; i <= steps; i++) {
    const deg = fromDeg - 180 + i * lookDeg;
    const goes = lengthAt(deg) !== null;
    if (before !== null && goes !== run.length > 0) {
      const edge = feasibleEdge(lengthAt, goes ? deg : before, goes ? before : deg);
      run.push(knot(edge));
    }
    const last = run[run.length - 1];
    if (goes && last && slopeAt(last.deg) * slopeAt(deg) < 0) run.push(knot(bisect(slopeAt, last.deg, deg)));
    if (goes) run.push(knot(deg));
    else if (run.length > 0) {
      runs.push(run);
      run = [];
    }
    before = deg;
  }
  return run.length > 0 ? [...runs, run] : runs;
}

/** The last angle with a path on the way from one that has a path to one that has none. */
function feasibleEdge(lengthAt: (deg: number) => number | null, goes: number, not: number): number {
  let [a, b] = [goes, not];
  for (let i = 0; i < 60; i++) {
    const middle = (a + b) / 2;
    if (lengthAt(middle) === null) b = middle;
    else a = middle;
  }
  return a;
}

function crossings(run: readonly Knot[], lengthAt: (deg: number) => number | null, target: number): number[] {
  const found: number[] = [];
  for (let i = 0; i < run.length; i++) {
    const here = run[i] as Knot;
    const next = run[i + 1];
    if (Math.abs(here.length - target) <= 1e-9) found.push(here.deg);
    else if (next && Math.abs(next.length - target) > 1e-9 && here.length < target !== next.length < target)
      found.push(bisect((deg) => (lengthAt(deg) ?? target) - target, here.deg, next.deg));
  }
  return found;
}
