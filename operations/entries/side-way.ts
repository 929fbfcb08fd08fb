import type { Instrument } from "../../core/records";
import type { SideQuantity, StageElement } from "../../core/stages";
import { perFigure, toJudged } from "../../core/stages";
import { differenceUncertainty } from "../../core/statistics";

/** Expanded uncertainty (k = 2) of one reading, in the unit in which the quantity is kept: zero and reading each by a step, and the certificate. */
export const sideUncertainty = (
  element: StageElement,
  quantity: SideQuantity,
  held: number | null,
  { resolution, expandedUncertainty, coverage }: Pick<Instrument, "resolution" | "expandedUncertainty" | "coverage">,
): number => sideWay(element, quantity, held).factor * differenceUncertainty(resolution, expandedUncertainty, coverage);

/** Elongation is typed as the length of the counted pitches; everything else as itself. `factor`: of the instrument's own figures. */
export function sideWay(element: StageElement, quantity: SideQuantity, held: number | null) {
  // Which way a wheel stands off says where to move it, not whether it may stay.
  if (quantity === "angle" || quantity === "offset") return { convert: Math.abs, factor: perFigure(quantity) };
  const way = toJudged(element, { quantity, held, indicatorRadiusMm: null, indicatorAngleDeg: 0 });
  return quantity === "elongation" && way.ok
    ? { convert: way.value.convert, factor: way.value.factor(0) }
    : { convert: (value: number) => value, factor: 1 };
}
