import { judge, type Verdict, worstVerdict } from "../limits";
import { same, straightLine } from "../numerics";
import { accept, type Result, refuse } from "../quantity";

/** A height read at a point of a frame. */
export type Height = { xMm: number; yMm: number; zMm: number };
/** Two rails by the indices of their points, along one of the coordinates. */
export type Rails = { along: "x" | "y"; a: readonly number[]; b: readonly number[] };

export type FlatnessQuestion = {
  points: readonly Height[];
  /** Of a height. */
  expandedUncertaintyMm: number;
  limitMm?: number | undefined;
  rails?: Rails | undefined;
  railLimitMmPerM?: number | undefined;
};

export type Flatness = {
  plane: { atOriginMm: number; slopeXMmPerM: number; slopeYMmPerM: number };
  /** Square to the plane. */
  deviationsMm: number[];
  flatnessMm: number;
  /** Shim under each point that lifts all into one plane. */
  raiseMm: number[];
  /** Of four points: the greatest height of one above the plane of the other three, as a size. */
  twistMm?: number;
  /** Of four points: the low one that needs least to make them flat; null where none is low. */
  shim?: { point: number; mm: number } | null;
  /** Slope of the second rail against the first, in height (it twists a carriage) and in plan (it binds one). */
  rails?: { heightMmPerM: number; planMmPerM: number };
  verdict?: Verdict;
};

/**
 * How flat and how parallel a frame is, and what to shim.
 *
 * @returns the answer, or a refusal: `positions-undetermined` at points (they lie on a line, or three of four do) or at a rail without length,
 *   `not-listed` at a rail's index, `missing` at rails
 * @example corners 0, 0.3, 0.1, 0.2 on 600 × 400: flatness 0.2, twist 0.4, the first corner is shimmed by 0.4
 * @source ISO 12781 (least squares plane); ISO 14253-1 (verdict)
 */
export function flatness(question: FlatnessQuestion): Result<Flatness> {
  const { points, expandedUncertaintyMm: u, limitMm, rails, railLimitMmPerM } = question;
  const plane = planeThrough(points);
  if (!plane || (points.length === 4 && triples(points).some((three) => !planeThrough(three))))
    return refuse("positions-undetermined", ["points"]);
  if (railLimitMmPerM !== undefined && !rails) return refuse("missing", ["rails"]);
  const across = Math.sqrt(1 + plane.slopeX ** 2 + plane.slopeY ** 2);
  const deviationsMm = points.map((point) => (point.zMm - plane.at(point)) / across);
  const greatest = Math.max(...deviationsMm);
  const flatnessMm = greatest - Math.min(...deviationsMm);
  const parallel = rails ? parallelRails(points, rails) : null;
  if (parallel && !parallel.ok) return parallel;
  const verdicts: Verdict[] = [];
  if (limitMm !== undefined) verdicts.push(judge(flatnessMm, { hi: limitMm }, Math.SQRT2 * u).verdict);
  if (parallel && railLimitMmPerM !== undefined) {
    const { heightMmPerM, planMmPerM, shorterMm } = parallel.value;
    for (const slope of [heightMmPerM, planMmPerM])
      verdicts.push(judge(Math.abs(slope), { hi: railLimitMmPerM }, (2000 * u) / shorterMm).verdict);
  }
  return accept({
    plane: { atOriginMm: plane.atOrigin, slopeXMmPerM: 1000 * plane.slopeX, slopeYMmPerM: 1000 * plane.slopeY },
    deviationsMm,
    flatnessMm,
    raiseMm: deviationsMm.map((deviation) => greatest - deviation),
    ...(points.length === 4 && fourCorners(points)),
    ...(parallel && {
      rails: { heightMmPerM: parallel.value.heightMmPerM, planMmPerM: parallel.value.planMmPerM },
    }),
    ...(verdicts.length > 0 && { verdict: worstVerdict(verdicts) }),
  });
}

/** Least squares of z on x and y; null where the points lie on a line. */
function planeThrough(points: readonly Height[]) {
  const n = points.length;
  const mean = (what: (point: Height) => number) => points.reduce((sum, point) => sum + what(point), 0) / n;
  const [x, y, z] = [mean((p) => p.xMm), mean((p) => p.yMm), mean((p) => p.zMm)];
  const sum = (what: (dx: number, dy: number, dz: number) => number) =>
    points.reduce((all, { xMm, yMm, zMm }) => all + what(xMm - x, yMm - y, zMm - z), 0);
  const [sxx, syy, sxy] = [sum((dx) => dx * dx), sum((_, dy) => dy * dy), sum((dx, dy) => dx * dy)];
  const [sxz, syz] = [sum((dx, _, dz) => dx * dz), sum((_, dy, dz) => dy * dz)];
  const determinant = sxx * syy - sxy * sxy;
  if (determinant <= 1e-9 * Math.max(sxx, syy) ** 2) return null;
  const slopeX = (sxz * syy - syz * sxy) / determinant;
  const slopeY = (syz * sxx - sxz * sxy) / determinant;
  return {
    slopeX,
    slopeY,
    atOrigin: z - slopeX * x - slopeY * y,
    at: ({ xMm, yMm }: Height) => z + slopeX * (xMm - x) + slopeY * (yMm - y),
  };
}

const triples = (points: readonly Height[]): Height[][] => points.map((_, left) => points.filter((_, i) => i !== left));

/** Each of four above the plane of the other three: what rocks, and where one shim makes it stand. */
function fourCorners(points: readonly Height[]): Pick<Flatness, "twistMm" | "shim"> {
  const above = triples(points).map((three, i) => {
    const point = points[i] as Height;
    return point.zMm - (planeThrough(three)?.at(point) ?? Number.NaN);
  });
  const low = above.flatMap((height, point) => (height < -same ? [{ point, mm: -height }] : []));
  return {
    twistMm: Math.max(...above.map(Math.abs)),
    shim: low.reduce<{ point: number; mm: number } | null>(
      (least, one) => (least === null || one.mm < least.mm - same ? one : least),
      null,
    ),
  };
}

function parallelRails(points: readonly Height[], rails: Rails) {
  const slopes: { height: number; plan: number; lengthMm: number }[] = [];
  for (const name of ["a", "b"] as const) {
    const wrong = rails[name].findIndex((index) => !points[index]);
    if (wrong >= 0) return refuse("not-listed", ["rails", name, wrong]);
    const on = rails[name].map((index) => points[index] as Height);
    const along = on.map(({ xMm, yMm }) => (rails.along === "x" ? xMm : yMm));
    const beside = on.map(({ xMm, yMm }) => (rails.along === "x" ? yMm : xMm));
    const lengthMm = Math.max(...along) - Math.min(...along);
    if (!(lengthMm > 0)) return refuse("positions-undetermined", ["rails", name]);
    const height = straightLine(
      along,
      on.map(({ zMm }) => zMm),
    ).slope;
    slopes.push({ height, plan: straightLine(along, beside).slope, lengthMm });
  }
  const [a, b] = slopes as [(typeof slopes)[number], (typeof slopes)[number]];
  return accept({
    heightMmPerM: 1000 * (b.height - a.height),
    planMmPerM: 1000 * (b.plan - a.plan),
    shorterMm: Math.min(a.lengthMm, b.lengthMm),
  });
}
