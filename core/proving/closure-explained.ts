import { judge } from "../limits";
import type { Closure } from "./closure";

/**
 * Whether a forward miss can come from the errors that are known of the drive (`index-error`: runout, whole steps, lost motion, all of them at
 * their worst): `explained`, `not-explained` where it is surely more, so that something slips or steps are lost, or `undecided`.
 *
 * @param worstArcmin ± of a position by `index-error`
 */
export function closureExplained(
  { forward }: Pick<Closure, "forward">,
  worstArcmin: number,
): "explained" | "not-explained" | "undecided" {
  const { verdict } = judge(
    forward.meanArcmin,
    { lo: -worstArcmin, hi: worstArcmin },
    forward.expandedUncertaintyArcmin,
  );
  return ({ conforms: "explained", undecided: "undecided", "does-not-conform": "not-explained" } as const)[verdict];
}
