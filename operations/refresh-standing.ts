import { type Entry, standingOf, voidedBy, type WornOut, wearLeft, wearLimitNow, wornOut } from "../core/logbook";
import type { Stage } from "../core/records";
import { judgedBy } from "../core/stages";
import type { Pool } from "../data/postgres";
import { type Database, transaction } from "../data/postgres";
import { stageHistory } from "../data/queries/entries";
import { stageById } from "../data/queries/stages";
import { keepStanding, stagesWithoutStanding, standingsOfStages } from "../data/queries/standings";

/** Rounds and moves that a standing and its trend look back on. */
const lookBack = 120;

/** Works out anew how a stage stands, from its logbook and its present limits; part of the transaction that changed it. */
export async function refreshStanding(db: Database, stageId: string): Promise<void> {
  const stage = await stageById(db, stageId);
  if (!stage || stage.retiredAt) return;
  const { element, arcDeg } = stage.geometry;
  const history = await stageHistory(db, stageId, lookBack);
  const standing = standingOf(history, { limits: stage.limits, element, arcDeg });
  await keepStanding(db, stageId, stage.machineId, standing, wearAhead(stage, history));
}

/** Of a chain that hangs, whose wear is read beside its sag; what is judged by its wear has that for its trend. */
function wearAhead(stage: Stage, history: readonly Entry[]): WornOut | null {
  const { element } = stage.geometry;
  const limit = judgedBy(element) === "elongation" ? null : wearLimitNow(element, stage);
  if (limit === null) return null;
  const voided = voidedBy(history);
  const left = wearLeft(
    history.filter(({ id }) => !voided.has(id)),
    limit,
  );
  return left && wornOut(left);
}

/** After a touched clamp: nothing to work out where the stage is known to have changed already, or was never read. */
export async function refreshAfterClamp(db: Database, stageId: string): Promise<void> {
  const [known] = await standingsOfStages(db, [stageId]);
  if (known && (known.changedSince || known.readAt === null)) return;
  await refreshStanding(db, stageId);
}

/** For a database of an earlier release, which kept no standings. */
export async function fillStandings(pool: Pool): Promise<number> {
  const missing = await stagesWithoutStanding(pool);
  for (const stageId of missing) await transaction(pool, (db) => refreshStanding(db, stageId));
  return missing.length;
}
