import type { BeltElement, ChainElement } from "../element";
import { readSpan, stagePath } from "./path";

/** The free span that is read, mm; null where there is no path. */
export function spanMm(element: BeltElement | ChainElement): number | null {
  const path = stagePath(element);
  return path.ok ? readSpan(path.value) : null;
}

/** Wrap on the smaller wheel, degrees; a half turn where it cannot be told. */
export function smallWrapDeg(
  wraps: readonly { deg: number }[],
  [first, second]: readonly [number, number],
  driven: number,
): number {
  return wraps[first <= second ? 0 : driven]?.deg ?? 180;
}

/** Belts and chains want so much wrap to pull (common practice). */
export const leastWrapDeg = 120;
