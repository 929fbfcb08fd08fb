import { jobsBeside } from "~/data/queries/jobs";
import { twinsOf } from "~/data/queries/machines";
import type { Context } from "~/operations/context";
import { loadJobRecord } from "./load-record.server";

/** Jobs of the machine and its twins that are offered. */
const offered = 60;

/** A job with another one beside it, and the others that could stand there. */
export async function loadBeside(asked: Context, jobId: string, otherId: string | null) {
  const own = await loadJobRecord(asked, jobId);
  const twins = await twinsOf(asked.pool, own.machine);
  const machineIds = [own.machine.id, ...twins.map(({ id }) => id)];
  const choices = await jobsBeside(asked.pool, machineIds, own.job.id, offered);
  // Of the same stages first: what was done to them before.
  const same = choices.find(
    ({ stageNames, openedAt }) =>
      openedAt < own.job.openedAt && stageNames.some((name) => own.stages.some((stage) => stage.name === name)),
  );
  const id = otherId ?? same?.id ?? choices[0]?.id ?? null;
  const other = id === null ? null : await loadJobRecord(asked, id);
  return { own, other, choices, now: asked.now.toISOString() };
}
