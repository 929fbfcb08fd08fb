export type Point = readonly [x: number, y: number];

/** What a line means: a body with its fill, the inside of a ring, a pitch circle, an axis, a belt or chain, a mark on a body, a point painted on it. */
export type ShapeRole = "body" | "hollow" | "pitch" | "axis" | "belt" | "chain" | "mark" | "point" | "hidden";
export type Shape = { role: ShapeRole; d: string };

/** A drawing with its corners, and where its two shafts stand. */
export type StageShapes = {
  shapes: Shape[];
  box: { left: number; top: number; right: number; bottom: number };
  shafts: readonly [Point, Point];
  /** Numbers that stand on parts, as high as they say. */
  labels?: readonly { at: Point; text: string; heightMm: number }[];
};

export const closed = (points: readonly Point[]): string => `M${points.map(pair).join("L")}Z`;
export const open = (points: readonly Point[]): string => `M${points.map(pair).join("L")}`;
const pair = ([x, y]: Point): string => `${short(x)} ${short(y)}`;
export const short = (value: number): string => String(Math.round(value * 1000) / 1000);

export const circle = ([x, y]: Point, radius: number): string =>
  `M${short(x - radius)} ${short(y)}a${short(radius)} ${short(radius)} 0 1 0 ${short(2 * radius)} 0a${short(radius)} ${short(radius)} 0 1 0 ${short(-2 * radius)} 0Z`;

export const cross = ([x, y]: Point, arm: number): Shape => ({
  role: "axis",
  d: `M${short(x - arm)} ${short(y)}H${short(x + arm)}M${short(x)} ${short(y - arm)}V${short(y + arm)}`,
});

/** Outline runs turned about the middle and set down somewhere, as one closed path. */
export function placed(runs: readonly (readonly Point[])[], at: Point, turnDeg = 0): string {
  const turn = (turnDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return closed(
    runs.flatMap((run) => run.map(([x, y]): Point => [at[0] + x * cos - y * sin, at[1] + x * sin + y * cos])),
  );
}

/** The box round circles. */
export function boxRound(circles: readonly { at: Point; radius: number }[]): StageShapes["box"] {
  return {
    left: Math.min(...circles.map(({ at, radius }) => at[0] - radius)),
    top: Math.min(...circles.map(({ at, radius }) => at[1] - radius)),
    right: Math.max(...circles.map(({ at, radius }) => at[0] + radius)),
    bottom: Math.max(...circles.map(({ at, radius }) => at[1] + radius)),
  };
}
