export type DialPoint = readonly [x: number, y: number];
export type AtAngle = { angleDeg: number; value: number };

export type DialScale = {
  /** Value to radius. */
  radius: (value: number) => number;
  /** Angle (clockwise from the top) and value to a point; `mirror` counts counter-clockwise. */
  place: (angleDeg: number, value: number) => DialPoint;
};

/**
 * Polar scale of the dial: the band lies in the middle of the ring between `inner` and `outer`; values far beyond stand at
 * its edge instead of squeezing all the others.
 *
 * @param band limits
 * @param values everything that should be seen
 * @param ring inner and outer radius
 */
export function dialScale(
  band: { lo: number; hi: number },
  values: readonly number[],
  ring: { inner: number; outer: number },
  mirror = false,
): DialScale {
  const width = band.hi - band.lo || Math.abs(band.hi) || 1;
  const from = Math.max(Math.min(band.lo, ...values), band.lo - 1.3 * width) - 0.1 * width;
  const to = Math.min(Math.max(band.hi, ...values), band.hi + 1.3 * width) + 0.1 * width;
  const radius = (value: number) =>
    ring.inner + ((ring.outer - ring.inner) * (Math.min(to, Math.max(from, value)) - from)) / (to - from);
  return {
    radius,
    place: (angleDeg, value) => onCircle(mirror ? -angleDeg : angleDeg, radius(value)),
  };
}

/** A point on a circle, angle clockwise from the top. */
export function onCircle(angleDeg: number, radius: number): DialPoint {
  const angle = (angleDeg * Math.PI) / 180;
  return [radius * Math.sin(angle), -radius * Math.cos(angle)];
}

/** A path through points, as SVG path data. */
const openPath = (points: readonly DialPoint[]): string =>
  points.length === 0 ? "" : `M${points.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join("L")}`;

/** A curve sampled over a turn and closed at the witness mark: what is drawn of a part comes back to itself. */
export function curvePath(scale: DialScale, valueAt: (angleDeg: number) => number, samples = 120): string {
  const points = Array.from({ length: samples }, (_, i) => {
    const angle = (i * 360) / samples;
    return scale.place(angle, valueAt(angle));
  });
  return `${openPath(points)}Z`;
}

/** Outline runs (one a tooth) scaled to the drawing, as one path; and one tooth alone, to be painted. */
export function outlinePath(runs: readonly (readonly DialPoint[])[], scale: number, mirror = false): string {
  const turned = runs.flatMap((run) => run.map(([x, y]): DialPoint => [(mirror ? -x : x) * scale, y * scale]));
  return turned.length === 0 ? "" : `${openPath(turned)}Z`;
}

/**
 * Where a label on the ring hides nothing: in a wide gap between angles, and away from the sides, where it would reach into the words in
 * the middle; 50° where there are none.
 */
export function clearOf(anglesDeg: readonly number[]): number {
  const sorted = [...new Set(anglesDeg.map((angle) => ((angle % 360) + 360) % 360))].sort((a, b) => a - b);
  if (sorted.length < 2) return 50;
  const places = sorted.flatMap((from, i) => {
    const gap = ((sorted[(i + 1) % sorted.length] ?? 0) - from + 360) % 360;
    return [0.5, 0.3, 0.7].map((share) => ({ at: from + share * gap, free: 2 * Math.min(share, 1 - share) * gap }));
  });
  const worth = ({ at, free }: { at: number; free: number }) =>
    Math.min(free, roomEnough) - roomEnough * Math.max(0, Math.abs(Math.sin((at * Math.PI) / 180)) - 0.8);
  return places.reduce((a, b) => (worth(b) > worth(a) + 1e-9 ? b : a)).at % 360;
}

/** A gap of more than that gains a label nothing. */
const roomEnough = 90;
