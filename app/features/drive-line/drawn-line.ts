import type { Stage } from "~/core/records";
import type { KeptDriveLine } from "~/core/stages";
import { driveLineShapes } from "~/core/stages";
import { drawnOnce } from "../drawing/drawn-once";
import { traitsOf } from "../kinds/traits";
import type { PicturedStage } from "./drive-picture";

/** The shapes of a drive line; a stage's geometry is told by its revision. */
export const drawnLine = drawnOnce(
  (graph: KeptDriveLine, stages: readonly Stage[]) => [graph, stages.map(({ id, geometry }) => [id, geometry.id])],
  (graph, stages) =>
    driveLineShapes(
      graph,
      stages.map(({ id, geometry }) => ({ id, element: geometry.element })),
    ),
);

/** A stage as the picture of its line shows it. */
export const pictured = ({ id, name, geometry: { element } }: Stage): PicturedStage => ({
  id,
  name,
  onTop: traitsOf(element).onTop,
});
