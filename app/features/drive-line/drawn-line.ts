import type { Stage } from "~/core/records";
import type { KeptDriveLine } from "~/core/stages";
import { driveLineShapes } from "~/core/stages";
import { drawnOnce } from "../drawing/drawn-once";

/** The shapes of a drive line; a stage's geometry is told by its revision. */
export const drawnLine = drawnOnce(
  (graph: KeptDriveLine, stages: readonly Stage[]) => [graph, stages.map(({ id, geometry }) => [id, geometry.id])],
  (graph, stages) =>
    driveLineShapes(
      graph,
      stages.map(({ id, geometry }) => ({ id, element: geometry.element })),
    ),
);
