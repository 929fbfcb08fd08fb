import { type Asymmetry, asymmetries, usualAsymmetryPercent } from "../proving";
import type { EntryOf } from "./entry";
import { ranWell, runsGoneWrong } from "./ran-well";

type Run = EntryOf<"proof">;

/** What runs of a machine say of it: those that went wrong and were not run well since, and directions that draw unlike. */
export type RunsThatDiffer = {
  wrong: Run[];
  unlike: (Asymmetry & { stageId: string | null })[];
};

/** @param runs that count, of one machine, oldest first */
export function runsThatDiffer(runs: readonly Run[]): RunsThatDiffer {
  const stages = [...new Set(runs.map(({ stageId }) => stageId))];
  const ofStage = (stageId: string | null) => runs.filter((run) => run.stageId === stageId);
  return {
    wrong: stages.flatMap((stageId) => runsGoneWrong(ofStage(stageId))).sort((a, b) => b.seq - a.seq),
    unlike: stages.flatMap((stageId) =>
      unlikeDirections(ofStage(stageId), usualAsymmetryPercent).map((one) => ({ ...one, stageId })),
    ),
  };
}

/** Runs of one stage that differ by nothing but their direction and draw unlike by more than so much, the last of each. */
export function unlikeDirections(runs: readonly Run[], percent: number): Asymmetry[] {
  const drawn = runs.filter(ranWell).flatMap((run) => {
    const { way, direction, currentA, speed, gear, move, load } = run.body;
    if (way !== "powered" || direction === null || currentA === null) return [];
    return [{ id: run.id, alike: JSON.stringify([gear, speed, move, load]), direction, currentA }];
  });
  return asymmetries(drawn).filter((one) => one.percent > percent);
}
