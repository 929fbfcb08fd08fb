import { degrees } from "../numerics";
import { accept, type Result, refuse } from "../quantity";

export type PathPulley = { x: number; y: number; pitchDiameterMm: number; side: "inside" | "outside" };
export type PathSpan = { lengthMm: number; from: number; to: number };
export type BeltPath = {
  lengthMm: number | null;
  feasible: boolean;
  spans: PathSpan[];
  wraps: { deg: number }[];
};

type Point = readonly [number, number];
/** A span with where it leaves one pulley and meets the next, and its direction. */
export type SpanLine = PathSpan & { start: Point; end: Point; directionRad: number };

/** A feasible path in full, for drawing and for what a moved pulley does to its length. */
export type LaidPath = { lengthMm: number; spans: SpanLine[]; wraps: { deg: number }[] };

/**
 * A belt round pulleys in running order (README for the signs). Each span is the common tangent of two circles with signed
 * radii. Not feasible where the belt does not close on itself as one loop: Σ sign·wrap not a whole turn, spans that cross, or a
 * span through another pulley.
 *
 * @param pulleys two or more; `inside`: the pulley lies inside the loop
 * @returns the path, or `pulleys-overlap` at the later of two pulleys
 * @example beltPath([(0,0) 40, (150,0) 60, (70,90) 30 all inside]) // lengthMm 525.6806276
 */
export function beltPath(pulleys: readonly PathPulley[]): Result<BeltPath> {
  const overlap = firstOverlap(pulleys);
  if (overlap !== null) return refuse("pulleys-overlap", ["pulleys", overlap]);
  const laid = layPath(pulleys, runningSense(pulleys));
  if (!laid) return accept({ lengthMm: null, feasible: false, spans: [], wraps: [] });
  return accept({
    lengthMm: laid.lengthMm,
    feasible: true,
    spans: laid.spans.map(({ lengthMm, from, to }) => ({ lengthMm, from, to })),
    wraps: laid.wraps,
  });
}

/** +1 counter-clockwise (the polygon of the centres has an area not below 0), else −1. */
export function runningSense(pulleys: readonly PathPulley[]): 1 | -1 {
  const twiceArea = pulleys.reduce((sum, a, i) => {
    const b = pulleys[(i + 1) % pulleys.length] as PathPulley;
    return sum + a.x * b.y - b.x * a.y;
  }, 0);
  return twiceArea >= 0 ? 1 : -1;
}

/** Index of the first pulley that overlaps an earlier one. */
export function firstOverlap(pulleys: readonly PathPulley[]): number | null {
  for (let j = 1; j < pulleys.length; j++) {
    for (let i = 0; i < j; i++) {
      const a = pulleys[i] as PathPulley;
      const b = pulleys[j] as PathPulley;
      const room = Math.hypot(a.x - b.x, a.y - b.y) - (a.pitchDiameterMm + b.pitchDiameterMm) / 2;
      if (room < -1e-9) return j;
    }
  }
  return null;
}

/** The path with its tangent points, or null where it is not feasible. The pulleys do not overlap. */
export function layPath(pulleys: readonly PathPulley[], sense: 1 | -1): LaidPath | null {
  const n = pulleys.length;
  const signed = pulleys.map((p) => ((p.side === "inside" ? sense : -sense) * p.pitchDiameterMm) / 2);
  const spans = pulleys.map((from, i) => spanBetween(from, pulleys[(i + 1) % n] as PathPulley, i, (i + 1) % n, signed));
  const wraps = pulleys.map((_, j) => {
    const turned = (spans[j] as SpanLine).directionRad - (spans[(j + n - 1) % n] as SpanLine).directionRad;
    return { deg: wrapDegrees(degrees(turned) * Math.sign(signed[j] ?? 0)) };
  });
  const turns = wraps.reduce((sum, { deg }, j) => sum + deg * Math.sign(signed[j] ?? 0), 0);
  if (Math.abs(turns - sense * 360) > 1e-6) return null;
  if (spansCross(spans) || spanThroughPulley(spans, pulleys)) return null;
  const onPulleys = wraps.reduce((sum, { deg }, j) => sum + (Math.abs(signed[j] ?? 0) * deg * Math.PI) / 180, 0);
  return { lengthMm: spans.reduce((sum, span) => sum + span.lengthMm, 0) + onPulleys, spans, wraps };
}

/** How the length changes when a pulley moves by (x, y): v·(u_in − u_out), u the running directions of its two spans. */
export function lengthChange(laid: LaidPath, pulley: number, [x, y]: Point): number {
  const [ux, uy] = pullOf(laid, pulley);
  return x * ux + y * uy;
}

/** u_in − u_out of a pulley: the direction in which moving it lengthens the belt most, and by how much a mm. */
export function pullOf({ spans }: LaidPath, pulley: number): Point {
  const into = (spans[(pulley + spans.length - 1) % spans.length] as SpanLine).directionRad;
  const out = (spans[pulley] as SpanLine).directionRad;
  return [Math.cos(into) - Math.cos(out), Math.sin(into) - Math.sin(out)];
}

function spanBetween(a: PathPulley, b: PathPulley, from: number, to: number, signed: readonly number[]): SpanLine {
  const [ra, rb] = [signed[from] ?? 0, signed[to] ?? 0];
  const d = Math.hypot(b.x - a.x, b.y - a.y);
  const directionRad = Math.atan2(b.y - a.y, b.x - a.x) + Math.asin(Math.max(-1, Math.min(1, (ra - rb) / d)));
  const normal: Point = [Math.sin(directionRad), -Math.cos(directionRad)];
  return {
    from,
    to,
    lengthMm: Math.sqrt(Math.max(0, d * d - (ra - rb) ** 2)),
    directionRad,
    start: [a.x + ra * normal[0], a.y + ra * normal[1]],
    end: [b.x + rb * normal[0], b.y + rb * normal[1]],
  };
}

/** In [0, 360); what is a whole turn but for rounding is a pulley that is only touched. */
function wrapDegrees(turned: number): number {
  const rest = ((turned % 360) + 360) % 360;
  return rest > 360 - 1e-9 ? 0 : rest;
}

function spansCross(spans: readonly SpanLine[]): boolean {
  return spans.some((a, i) => spans.some((b, j) => j > i && segmentsCross(a.start, a.end, b.start, b.end)));
}

function segmentsCross(a: Point, b: Point, c: Point, d: Point): boolean {
  const side = (p: Point, q: Point, r: Point) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  const apart = (x: number, y: number) => (x > 1e-9 && y < -1e-9) || (x < -1e-9 && y > 1e-9);
  return apart(side(a, b, c), side(a, b, d)) && apart(side(c, d, a), side(c, d, b));
}

function spanThroughPulley(spans: readonly SpanLine[], pulleys: readonly PathPulley[]): boolean {
  return spans.some(({ start, end, from, to }) =>
    pulleys.some(
      (p, k) => k !== from && k !== to && distanceToSegment([p.x, p.y], start, end) < p.pitchDiameterMm / 2 - 1e-9,
    ),
  );
}

function distanceToSegment(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const squared = dx * dx + dy * dy;
  const along = squared === 0 ? 0 : Math.max(0, Math.min(1, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / squared));
  return Math.hypot(p[0] - a[0] - along * dx, p[1] - a[1] - along * dy);
}
