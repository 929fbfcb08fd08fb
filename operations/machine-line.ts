import type { Stage } from "../core/records";
import { type KeptDriveLine, type StageElement, withoutGone } from "../core/stages";
import type { Database } from "../data/postgres";
import { driveLineOf } from "../data/queries/drive-lines";
import { stagesById } from "../data/queries/stages";

/** A machine's drive line with the stages in it that are in service. */
export type MachineLine = { kept: KeptDriveLine; stages: { id: string; name: string; element: StageElement }[] };

/**
 * @param known stages that were read already; only the others of the line are looked for
 * @returns null where nobody has said what drives what
 */
export async function machineLine(
  db: Database,
  machineId: string,
  known: readonly Stage[] = [],
): Promise<MachineLine | null> {
  const line = await driveLineOf(db, machineId);
  if (!line || line.graph.links.length === 0) return null;
  const missing = line.graph.links
    .map(({ stageId }) => stageId)
    .filter((id) => !known.some((stage) => stage.id === id));
  const all = [...known, ...(missing.length > 0 ? await stagesById(db, missing) : [])];
  const there = all.filter(({ retiredAt }) => retiredAt === null);
  const kept = withoutGone(line.graph, new Set(there.map(({ id }) => id)));
  const inLine = new Set(kept.links.map(({ stageId }) => stageId));
  return {
    kept,
    stages: there
      .filter(({ id }) => inLine.has(id))
      .map(({ id, name, geometry }) => ({ id, name, element: geometry.element })),
  };
}
