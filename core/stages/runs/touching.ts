import { accept, type Result, refuse } from "../../quantity";
import type { BeltElement, ChainElement } from "../element";
import { stagePath } from "./path";
import type { Idler } from "./schema";

/** An idler known by the strand that it lies on: pressed in by so much from where it would only touch it. */
export type Touching = Omit<Idler, "y"> & { pressMm: number };

/**
 * Where an idler's middle lies that touches a strand at a place along the line of centres: a radius off the strand on its own side, less what it
 * is pressed in by, square to the strand as it runs without it.
 *
 * @param drive without this idler; others may stand in it
 * @returns its y, mm; `off-the-strand` at x with where the strand is free, or why the drive has no path
 * @source geometry: the distance of a point from a line
 */
export function touchingY(drive: BeltElement | ChainElement, idler: Touching): Result<number> {
  const path = stagePath(drive);
  if (!path.ok) return path;
  const { laid, driven } = path.value;
  const strand = idler.strand === "lower" ? laid.spans.slice(0, driven) : laid.spans.slice(driven);
  const span = strand.find(({ start, end }) => (idler.x - start[0]) * (idler.x - end[0]) <= 0);
  if (!span) {
    const ends = strand.flatMap(({ start, end }) => [start[0], end[0]]);
    return refuse("off-the-strand", ["x"], { fromMm: Math.min(...ends), toMm: Math.max(...ends) });
  }
  const radius = idler.diameterMm / 2;
  // The belt runs counter-clockwise, so what lies inside its loop lies to the left of it.
  const leftOf = idler.side === "inside" ? radius - idler.pressMm : idler.pressMm - radius;
  const [sin, cos] = [Math.sin(span.directionRad), Math.cos(span.directionRad)];
  return accept(span.start[1] + (leftOf + sin * (idler.x - span.start[0])) / cos);
}
