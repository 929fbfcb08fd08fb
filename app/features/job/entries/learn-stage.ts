import { type LearntResponse, learnFromMoves, type PastMove } from "~/core/advice";
import type { Stage } from "~/core/records";
import { middleOf, sensitivityOf } from "~/core/stages";

/**
 * What a unit of a stage's adjuster does: by its law before any move has taught, then as learnt. Of sag the change of its square is learnt
 * (`learnFromMoves`). null where nothing can be adjusted.
 *
 * @param entered the stage with its adjuster as it was entered, from which every move is counted
 */
export function learnStage(entered: Stage, moves: readonly PastMove[]): LearntResponse | null {
  const { element } = entered.geometry;
  // The slope of a sag's square is the same everywhere: that of the sag itself at half a millimetre.
  const sensitivity = sensitivityOf(element, 0.5, middleOf(entered.limits) ?? 0);
  const { adjuster } = entered.adjuster;
  if (!adjuster || sensitivity === null) return null;
  return learnFromMoves(element, adjuster, sensitivity, moves);
}
