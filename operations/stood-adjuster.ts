import { adjusterNow } from "../core/advice";
import type { Stage, StageAdjuster } from "../core/records";

/** A stage's adjuster as it stands after its moves, for whatever is worked out from where it is now. */
export function stoodAdjuster({ adjuster }: Stage, moved: number): StageAdjuster {
  return { ...adjuster, adjuster: adjuster.adjuster && adjusterNow(adjuster.adjuster, moved) };
}
