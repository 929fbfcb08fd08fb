import type { Unwise } from "../core/stages";
import type { Database } from "../data/postgres";
import type { ChainHead } from "../data/queries/machines";
import { insertAdjuster, insertGeometry, insertLimits, insertSideLimits, insertStage } from "../data/queries/stages";
import { appendEntry } from "./append-entry";
import { refreshStanding } from "./refresh-standing";
import { adjusterRow, geometryRow, limitsRow, type StageInput } from "./stage-input";

/** A stage with the first revision of everything, and the entry that says so with what is unwise about it. */
export async function insertWholeStage(
  db: Database,
  head: ChainHead,
  stage: StageInput,
  of: { machineId: string; position: number; personId: string; now: Date; warnings: readonly Unwise[] },
): Promise<void> {
  const revision = { stageId: stage.id, madeBy: of.personId, from: of.now };
  const { kind } = stage.geometry.element;
  await insertStage(db, {
    id: stage.id,
    machineId: of.machineId,
    position: of.position,
    name: stage.name,
    kind,
    at: of.now,
  });
  await insertGeometry(db, revision, geometryRow(stage.geometryId, 1, stage.geometry));
  await insertAdjuster(db, revision, adjusterRow(stage.adjusterId, 1, stage.adjuster));
  if (stage.limits) await insertLimits(db, revision, limitsRow(stage.limitsId, 1, stage.limits));
  for (const side of stage.sideLimits) await insertSideLimits(db, revision, side);
  await appendEntry(db, head, {
    id: stage.entryId,
    machineId: of.machineId,
    stageId: stage.id,
    kind: "change",
    body: { what: "stage", text: stage.name, warnings: [...of.warnings] },
    madeBy: of.personId,
    madeAt: of.now.toISOString(),
    recordedAt: of.now,
    geometryId: stage.geometryId,
    adjusterId: stage.adjusterId,
    limitsId: stage.limits && stage.limitsId,
  });
  await refreshStanding(db, stage.id);
}
