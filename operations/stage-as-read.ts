import { accept, type Result, refuse } from "../core/quantity";
import type { Stage } from "../core/records";
import { teethOf, withGearIn } from "../core/stages";

/** A stage with the gear in that is read: of a switchable one each ratio is a pair of its own at the same centre distance. */
export function stageAsRead(stage: Stage, gear: string | undefined): Result<Stage> {
  const { element } = stage.geometry;
  if (gear === undefined) return accept(stage);
  const read = withGearIn(element, gear);
  return read
    ? accept({ ...stage, geometry: { ...stage.geometry, element: read } })
    : refuse("no-such-gear", ["method", "gear"], { gear });
}

/** The same for showing what was read: in a gear that has been taken out of the geometry since, the stage as it is. */
export function inGear(stage: Stage, gear: string | undefined): Stage {
  const read = stageAsRead(stage, gear);
  return read.ok ? read.value : stage;
}

/** The tooth counts that mesh with that gear in. */
export const teethInMesh = (stage: Stage, gear: string | undefined) => teethOf(inGear(stage, gear).geometry.element);
