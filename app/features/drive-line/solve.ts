import type { Result } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { driveGraph, type KeptDriveLine } from "~/core/stages";
import { type DriveLine, driveLine } from "~/core/trains";
import type { StageStanding } from "~/data/queries/standings";

export type StageStands = { stage: Stage; standing: StageStanding | null };

/** The drive line worked through with what was last read on each stage. */
export const solveDriveLine = (graph: KeptDriveLine, stages: readonly StageStands[]): Result<DriveLine> =>
  driveLine(
    driveGraph(
      graph,
      stages.map(({ stage, standing }) => ({
        id: stage.id,
        element: stage.geometry.element,
        loosest: (gear) => standing?.loosest.find((read) => read.gear === (gear ?? null))?.value ?? null,
        endFloatMm: standing?.endFloatMm ?? 0,
      })),
    ),
  );

/** "First reduction's output", "Motor": what a shaft is called. */
export function shaftName(id: string, graph: KeptDriveLine, stages: readonly { id: string; name: string }[]): string {
  const source = graph.sources.find((item) => item.id === id);
  if (source) return source.name;
  const on = graph.links.filter(({ stageId, onto }) => stageId === id || onto === id).map(({ stageId }) => stageId);
  const names = stages.filter((stage) => on.includes(stage.id)).map(({ name }) => name);
  return `Output of ${names.join(" and ") || "a stage"}`;
}
