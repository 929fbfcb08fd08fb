import { bisect } from "../numerics";
import { accept, type Result, refuse } from "../quantity";
import { firstOverlap, layPath, type PathPulley, runningSense } from "./belt-path";

export type GridRoller = {
  /** Of the roller in the path. */
  index: number;
  holes: readonly { x: number; y: number }[];
  /** Barrels. */
  diametersMm: readonly number[];
  /** From the barrel to the pitch line: the belt's back where it runs on it. */
  addRadiusMm: number;
};

export type GridState = "slack" | "below" | "inside" | "above";
export type GridRow = {
  hole: number;
  diameterMm: number;
  fits: boolean;
  lengthMm: number | null;
  tensionN: number | null;
  state: GridState | null;
};

export type RollerGrid = {
  feasible: boolean;
  rows: GridRow[];
  best: { hole: number; diameterMm: number; tensionN: number } | null;
  /** The barrel that would give the aim, one a hole; null where none does. */
  aimDiameterMm: (number | null)[];
  slackWithoutMm?: number;
  goesOn?: boolean;
};

/**
 * Which barrel in which hole of a row gives a belt its tension: T = EA·(L − L₀)/L₀, the same all round once it has been turned. A thicker
 * barrel lengthens the path by its wrap, a much finer step than the next hole, so holes and barrels are one adjuster.
 *
 * @param pulleys in running order; the roller's own place and diameter are not looked at
 * @param lengthMm of the slack belt
 * @param stiffnessN EA, force per unit of strain
 * @returns every hole with every barrel, or `no-such-pulley` at roller.index; `pulleys-overlap` at a pulley that overlaps another without the roller
 * @example barrels 15 and 22 in holes (70, 60) and (70, 84) over 40 at (0, 0) and 60 at (150, 0), L₀ 482, EA 9000 // 23.424 N with 22
 */
export function rollerGrid(
  pulleys: readonly PathPulley[],
  roller: GridRoller,
  {
    lengthMm,
    stiffnessN,
    limitsN,
  }: { lengthMm: number; stiffnessN: number; limitsN: { lo: number; aim?: number | undefined; hi: number } },
): Result<RollerGrid> {
  const { index, holes, diametersMm, addRadiusMm } = roller;
  if (!pulleys[index]) return refuse("no-such-pulley", ["roller", "index"], { pulleys: pulleys.length });
  const others = pulleys.filter((_, i) => i !== index);
  const standing = firstOverlap(others);
  if (standing !== null) return refuse("pulleys-overlap", ["pulleys", standing >= index ? standing + 1 : standing]);
  const withRoller = (hole: { x: number; y: number }, diameterMm: number) =>
    pulleys.map((p, i) => (i === index ? { ...p, ...hole, pitchDiameterMm: diameterMm + 2 * addRadiusMm } : p));
  const first = holes[0];
  const sense = first ? runningSense(withRoller(first, diametersMm[0] ?? 1)) : 1;
  const lengthOf = (hole: { x: number; y: number }, diameterMm: number): number | null => {
    const path = withRoller(hole, diameterMm);
    return firstOverlap(path) === null ? (layPath(path, sense)?.lengthMm ?? null) : null;
  };
  const aim = limitsN.aim ?? (limitsN.lo + limitsN.hi) / 2;
  const rows = holes.flatMap((at, hole) =>
    diametersMm.map((diameterMm): GridRow => {
      const length = lengthOf(at, diameterMm);
      if (length === null) return { hole, diameterMm, fits: false, lengthMm: null, tensionN: null, state: null };
      const tensionN = Math.max(0, (stiffnessN * (length - lengthMm)) / lengthMm);
      const state = length <= lengthMm ? "slack" : stateOf(tensionN, limitsN);
      return { hole, diameterMm, fits: true, lengthMm: length, tensionN, state };
    }),
  );
  const inside = rows.filter(({ state }) => state === "inside");
  const off = (row: GridRow) => {
    const tension = row.tensionN ?? 0;
    return inside.length > 0 ? Math.abs(tension - aim) : Math.max(limitsN.lo - tension, tension - limitsN.hi);
  };
  const candidates = inside.length > 0 ? inside : rows.filter(({ fits }) => fits);
  const best = candidates.reduce<GridRow | null>((a, b) => (a && off(a) <= off(b) + 1e-6 ? a : b), null);
  const aimLength = lengthMm * (1 + aim / stiffnessN);
  const range = [Math.min(...diametersMm) / 4, Math.max(...diametersMm) * 4] as const;
  const without = others.length < 2 ? null : layPath(others, sense);
  return accept({
    feasible: inside.length > 0,
    rows,
    best: best && { hole: best.hole, diameterMm: best.diameterMm, tensionN: best.tensionN ?? 0 },
    aimDiameterMm: holes.map((at) => diameterFor((d) => lengthOf(at, d), aimLength, range)),
    ...(without ? { slackWithoutMm: lengthMm - without.lengthMm, goesOn: lengthMm >= without.lengthMm } : {}),
  });
}

const stateOf = (tensionN: number, { lo, hi }: { lo: number; hi: number }): GridState =>
  tensionN < lo ? "below" : tensionN > hi ? "above" : "inside";

/** Fine enough that no part of the range in which a path exists lies between two looks. */
const looks = 600;

/**
 * The barrel at which the path has a length. A thicker barrel never shortens it, but may not fit, or be too thin to touch the belt: so the
 * range is walked, and the edge of what fits found where it begins or ends between two looks.
 */
function diameterFor(
  lengthOf: (diameterMm: number) => number | null,
  target: number,
  [least, most]: readonly [number, number],
): number | null {
  const edge = (fits: number, not: number) => {
    let [a, b] = [fits, not];
    for (let i = 0; i < 80; i++) {
      const middle = (a + b) / 2;
      if (lengthOf(middle) === null) b = middle;
      else a = middle;
    }
    return a;
  };
  let last: number | null = null;
  let before = least;
  for (let i = 0; i <= looks; i++) {
    const here = least * (most / least) ** (i / looks);
    const fits = lengthOf(here) !== null;
    if (fits && last === null) last = i === 0 ? here : edge(here, before);
    const end = fits ? here : last === null ? null : edge(last, here);
    if (last !== null && end !== null) {
      const over = (d: number) => (lengthOf(d) ?? target) - target;
      const [a, b] = [over(last), over(end)];
      if (Math.abs(a) <= 1e-9) return last;
      if (a < 0 && b >= 0) return b <= 1e-9 ? end : bisect(over, last, end);
    }
    last = fits ? here : null;
    before = here;
  }
  return null;
}
