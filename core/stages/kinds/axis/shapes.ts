import { closed, type StageShapes } from "../../../drawing";
import type { AxisElement } from "./schema";

/** An axis along its travel, laid out straight where it swings: its way with both buffers, and the carriage in the middle of the work. Its height stands for nothing. */
export function axisShapes({ work, buffers }: AxisElement): StageShapes {
  const [left, right] = [Math.min(work.lo, buffers.lo), Math.max(work.hi, buffers.hi)];
  const span = right - left;
  const thick = 0.05 * span;
  const box = (from: number, to: number, top: number, bottom: number) =>
    closed([
      [from, top],
      [to, top],
      [to, bottom],
      [from, bottom],
    ]);
  const middle = (work.lo + work.hi) / 2;
  const edge = 1.2 * thick;
  return {
    shapes: [
      { role: "axis", d: `M${left - edge} 0H${right + edge}` },
      { role: "body", d: box(work.lo, work.hi, 0.8 * thick, thick) },
      { role: "body", d: box(middle - 2 * thick, middle + 2 * thick, -thick, 0.8 * thick) },
      { role: "mark", d: box(buffers.lo - thick, buffers.lo, -thick, thick) },
      { role: "mark", d: box(buffers.hi, buffers.hi + thick, -thick, thick) },
    ],
    box: { left: left - edge, top: -2 * thick, right: right + edge, bottom: 2 * thick },
    shafts: [
      [left, 0],
      [right, 0],
    ],
  };
}
