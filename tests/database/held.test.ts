import { v7 } from "uuid";
import { expect, test } from "vitest";
import { mustHold } from "~/core/quantity";
import { isLocked, isUnavailable } from "~/data/postgres";
import { addMachine } from "~/operations/add-machine";
import { recordEntry } from "~/operations/record-entry";
import { freshWorks, machine } from "./fixture";

const works = freshWorks();

test("somebody holds a machine's row: the others save as ever, and who waits for it is told that it is busy, not that the database is away", async () => {
  const other = { machineId: v7(), stageId: v7() };
  const input = { ...machine({ ...works, ...other }), name: "Other", tag: "O-1" };
  mustHold(await addMachine(works.as(), input));
  const held = await works.openJob();
  const free = await works.openJob([other.stageId], other.machineId);
  const holder = await works.pool.connect();
  await holder.query("begin");
  await holder.query("select 1 from machine where id = $1 for update", [works.machineId]);
  const note = (jobId: string, stageId: string) =>
    recordEntry(works.as(), { id: v7(), jobId, stageId, madeAt: new Date().toISOString(), kind: "note", text: "n" });
  // More than the pool has connections.
  const waiting = Array.from({ length: 25 }, () => note(held, works.stageId).catch((error: unknown) => error));
  const others = await Promise.all(Array.from({ length: 30 }, () => note(free, other.stageId)));
  expect(others.every(({ ok }) => ok)).toBe(true);
  // Whichever of them came first into the line.
  const told = await Promise.race(waiting);
  expect(isLocked(told)).toBe(true);
  expect(isUnavailable(told)).toBe(false);
  await holder.query("rollback");
  holder.release();
  const all = await Promise.all(waiting);
  const saved = all.filter((result) => (result as { ok?: boolean }).ok);
  expect(all.every((result) => isLocked(result) || saved.includes(result))).toBe(true);
  expect(saved.length).toBeGreaterThan(all.length / 2);
});
