import { dayOfUsage, daysToIso, firstDue, meterOf, upkeepDue } from "../core/logbook";
import type { Database } from "../data/postgres";
import { upkeepWork, usageReadings } from "../data/queries/entries";
import { keepUsageDay, plannedByUsage } from "../data/queries/standings";
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

/** On what day a machine's meter is expected to get to a total; null where its rate is not known. */
export async function usageDay(db: Database, machineId: string, total: number): Promise<string | null> {
  const day = dayOfUsage(meterOf(await usageReadings(db, machineId, meterBack)), total);
  return day === null ? null : daysToIso(Math.floor(day)).slice(0, 10);
}

/** What hangs on a machine's meter, worked out anew after it was read or a reading was taken back. */
export async function refreshByMeter(db: Database, machineId: string, now: Date): Promise<void> {
  await refreshUpkeep(db, machineId, now);
  for (const { stageId, usage } of await plannedByUsage(db, machineId))
    await keepUsageDay(db, stageId, await usageDay(db, machineId, usage));
}
