import { type LearntResponse, learnFromMoves } from "~/core/advice";
import { gearPair } from "~/core/gears";
import { type Entry, pastMoves } from "~/core/logbook";
import { mustHold } from "~/core/quantity";
import { differenceUncertainty } from "~/core/statistics";
import type { Instrument } from "~/data/queries/instruments";
import type { Stage } from "~/data/queries/stages";

/** The response of a stage's adjuster from its recent rounds and moves; readings as good as the coarsest instrument here. */
export function learnStage(stage: Stage, work: readonly Entry[], instruments: readonly Instrument[]): LearntResponse {
  const sensitivity = mustHold(gearPair(stage.geometry.pair)).backlashPerCentreMm;
  const readingSds = instruments.map(
    (i) => differenceUncertainty(i.resolutionMm, i.expandedUncertaintyMm, i.coverage) / 2,
  );
  return learnFromMoves(
    stage.adjuster.adjuster,
    sensitivity,
    pastMoves(work, stage.adjuster.id),
    Math.max(1e-6, ...readingSds),
  );
}
