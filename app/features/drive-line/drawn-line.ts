import { type DriveLineShapes, driveLineShapes } from "~/core/drawing";
import type { KeptDriveLine } from "~/core/stages";
import type { Stage } from "~/data/queries/stages";

const drawn = new Map<string, DriveLineShapes>();
const mostKept = 60;

/** The shapes of a drive line. The same line of the same geometries is drawn once, however often it is looked at. */
export function drawnLine(graph: KeptDriveLine, stages: readonly Stage[]): DriveLineShapes {
  const key = JSON.stringify([graph, stages.map(({ id, geometry }) => [id, geometry.id])]);
  const known = drawn.get(key);
  if (known) return known;
  const made = driveLineShapes(
    graph,
    stages.map(({ id, geometry }) => ({ id, element: geometry.element })),
  );
  if (drawn.size >= mostKept) drawn.clear();
  drawn.set(key, made);
  return made;
}
