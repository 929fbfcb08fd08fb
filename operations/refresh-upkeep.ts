import { firstDue, meterOf, upkeepDue } from "../core/logbook";
import type { Database } from "../data/postgres";
import { upkeepWork, usageReadings } from "../data/queries/entries";
import { keepUpkeepDue, upkeepOf } from "../data/queries/upkeep";

/** Readings of the meter that a rate is taken from, and entries of upkeep that are looked back on. */
const meterBack = 60;
const workBack = 400;

/** What a machine's list stands at. */
export async function upkeepNow(db: Database, machineId: string, now: Date) {
  const kept = await upkeepOf(db, machineId);
  if (!kept) return { kept: null, due: [], work: [] };
  const [work, readings] = [await upkeepWork(db, machineId, workBack), await usageReadings(db, machineId, meterBack)];
  return { kept, work, due: upkeepDue(kept.list, work, meterOf(readings), now.toISOString()) };
}

/** Works out anew what of a machine's list is due first; part of the transaction that changed it. */
export async function refreshUpkeep(db: Database, machineId: string, now: Date): Promise<void> {
  const { kept, due } = await upkeepNow(db, machineId, now);
  if (!kept) return;
  const first = firstDue(due);
  const on = first && new Date(now.getTime() + Math.floor(first.dueInDays) * 86_400_000).toISOString().slice(0, 10);
  await keepUpkeepDue(db, machineId, first && { on, what: first.name, kind: first.what });
}
