import type { Point } from "./shape";

/** The part that is read round, one run of points a place; radii in its own measure. */
export type PartOutline = {
  outline: Point[][];
  /** What is painted at each place, where that is not its run of the outline. */
  marks?: Point[][];
  tipRadius: number;
  rootRadius: number;
};

/** On a circle, clockwise from the top. */
export const polar = (radius: number, angle: number): Point => [radius * Math.sin(angle), -radius * Math.cos(angle)];

/** A smooth wheel with a mark at every place that is read. */
export function markedWheel(places: number): PartOutline {
  const step = (2 * Math.PI) / places;
  const half = Math.min(0.05, step / 4);
  const arc = (from: number, to: number) =>
    Array.from({ length: 25 }, (_, i) => polar(0.93, from + ((to - from) * i) / 24));
  const outline = Array.from({ length: places }, (_, i) => {
    const at = i * step;
    return [
      ...arc(at - step / 2, at - half),
      polar(1, at - half),
      polar(1, at + half),
      ...arc(at + half, at + step / 2),
    ];
  });
  const marks = Array.from({ length: places }, (_, i) => {
    const at = i * step;
    return [polar(0.93, at - half), polar(1, at - half), polar(1, at + half), polar(0.93, at + half)];
  });
  return { outline, marks, tipRadius: 1, rootRadius: 0.93 };
}
