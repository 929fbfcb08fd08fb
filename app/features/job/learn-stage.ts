import { type LearntResponse, learnFromMoves, type PastMove } from "~/core/advice";
import { gearPair } from "~/core/gears";
import { mustHold } from "~/core/quantity";
import { differenceUncertainty } from "~/core/statistics";
import type { Instrument } from "~/data/queries/instruments";
import type { Stage } from "~/data/queries/stages";

/** The response of a stage's adjuster from its moves so far; readings taken as good as the coarsest instrument here. */
export function learnStage(
  stage: Stage,
  moves: readonly PastMove[],
  instruments: readonly Instrument[],
): LearntResponse {
  const sensitivity = mustHold(gearPair(stage.geometry.pair)).backlashPerCentreMm;
  const readingSds = instruments.map(
    (i) => differenceUncertainty(i.resolutionMm, i.expandedUncertaintyMm, i.coverage) / 2,
  );
  return learnFromMoves(stage.adjuster.adjuster, sensitivity, moves, Math.max(1e-6, ...readingSds));
}
