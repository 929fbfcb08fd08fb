import type { Result } from "~/core/quantity";
import type { DriveLineShapes, KeptDriveLine, StageElement } from "~/core/stages";
import type { DriveLine } from "~/core/trains";
import { drawnLine } from "./drawn-line";
import { type StageStands, solveDriveLine } from "./solve";

/** A stage of a line as its figures name it. */
export type LineStage = { id: string; name: string; element: StageElement };

/** What is shown of a line that was worked through. */
export type SolvedLine = { line: DriveLine; graph: KeptDriveLine; stages: readonly LineStage[] };

/** A drive line drawn and worked through, so that a page that only shows it needs neither geometry nor arithmetic. */
export type ShownLine = {
  graph: KeptDriveLine;
  drawn: DriveLineShapes;
  solved: Result<DriveLine>;
  stages: LineStage[];
};

/** null: no stage of it is driven by anything yet. */
export function shownLine(graph: KeptDriveLine | null, stages: readonly StageStands[]): ShownLine | null {
  if (!graph || graph.links.length === 0) return null;
  const inLine = stages.filter(({ stage }) => graph.links.some(({ stageId }) => stageId === stage.id));
  return {
    graph,
    drawn: drawnLine(
      graph,
      stages.map(({ stage }) => stage),
    ),
    solved: solveDriveLine(graph, stages),
    stages: inLine.map(({ stage: { id, name, geometry } }) => ({ id, name, element: geometry.element })),
  };
}
