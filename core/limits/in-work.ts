import { type MeasuredQuantity, type StageElement, toJudged } from "../stages";

type Given = { quantity: MeasuredQuantity; held: number | null; lo: number; aim: number | null; hi: number };

/**
 * Limits as they were given (a span frequency, an angle, a deflection by a force) in the unit of the quantity that the stage is judged
 * by. A deflection grows as the tension falls, so its limits change ends. Of a geometry that is none the limits stay as they
 * were given.
 */
export function limitsInWork(element: StageElement, given: Given): { lo: number; aim: number | null; hi: number } {
  const { quantity, held, lo, aim, hi } = given;
  // Elongation is given in per cent, and measured as a length.
  if (quantity === "elongation") return { lo, aim, hi };
  const way = toJudged(element, { quantity, held, indicatorRadiusMm: null, indicatorAngleDeg: 0 });
  // A circumferential backlash is meant at the pitch circle itself, whatever an indicator may stand on.
  if (!way.ok) return { lo, aim, hi };
  const ends = [way.value.convert(lo), way.value.convert(hi)];
  const finite = ends.map((end) => (Number.isFinite(end) ? end : 0));
  return {
    lo: Math.min(...finite),
    aim: aim === null ? null : way.value.convert(aim),
    hi: Math.max(...finite),
  };
}
