import { closed, type Shape, type StageShapes } from "../../../drawing";
import type { GapElement } from "./schema";

/** Two faces with shims between shoulder and ring, cut along the axis. The faces are to scale; the gap is drawn wide to be seen. */
export function gapShapes({ diameterMm: d }: GapElement): StageShapes {
  const box = (left: number, right: number, half: number) =>
    closed([
      [left, -half],
      [right, -half],
      [right, half],
      [left, half],
    ]);
  const gap = 0.06 * d;
  const shim = 0.03 * d;
  const shapes: Shape[] = [
    { role: "body", d: box(-0.55 * d, -0.05 * d - gap, d / 2) },
    { role: "body", d: box(0, 0.45 * d, d / 2) },
    { role: "body", d: box(-0.05 * d - gap, 0, 0.2 * d) },
    { role: "mark", d: box(0.45 * d, 0.45 * d + shim, 0.3 * d) },
    { role: "mark", d: box(0.45 * d + shim, 0.45 * d + 2 * shim, 0.3 * d) },
    { role: "body", d: box(0.45 * d + 2 * shim, 0.7 * d, 0.3 * d) },
    { role: "axis", d: `M${-0.7 * d} 0H${0.8 * d}` },
  ];
  return {
    shapes,
    box: { left: -0.7 * d, top: -d / 2, right: 0.8 * d, bottom: d / 2 },
    shafts: [
      [0, 0],
      [0, 0],
    ],
  };
}
