import { accept, type Result } from "../quantity";
import type { StageElement } from "./element";
import { fromJudged } from "./from-judged";
import type { MeasuringWay } from "./measured";
import { toJudged } from "./of-kind";

/**
 * What an instrument shows where a stage stands at its limits: the limits turned back through the way it is read. A way that falls as the
 * judged quantity grows, as a deflection by a force does, shows the upper limit first.
 *
 * @param limits in the judged unit
 * @returns lo and hi in the unit of `measuredUnit`; or the refusal of the geometry
 */
export function meterShows(
  element: StageElement,
  way: MeasuringWay,
  limits: { lo: number; hi: number },
): Result<{ lo: number; hi: number }> {
  const found = toJudged(element, way);
  if (!found.ok) return found;
  const { convert } = found.value;
  const falls = convert(1) > convert(2);
  // No deflection is great enough for no tension at all.
  const [a, b] = [limits.lo, limits.hi].map((limit) => (falls && limit <= 0 ? 0 : fromJudged(convert, limit))) as [
    number,
    number,
  ];
  return accept({ lo: Math.min(a, b), hi: Math.max(a, b) });
}
