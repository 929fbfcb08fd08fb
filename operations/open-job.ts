import * as z from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import * as ids from "../core/records/ids";
import { insertJob, jobById } from "../data/queries/jobs";
import { lockHead, machineById } from "../data/queries/machines";
import { stagesById } from "../data/queries/stages";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant, words } from "./input";
import { transactionOn } from "./on-machine";
import { trueTime } from "./true-time";

export const openJobInput = z.object({
  id: ids.jobId,
  entryId: id,
  machineId: ids.machineId,
  stageIds: z.array(ids.stageId).min(1).max(50),
  reason: words(400),
  /** A new assembly: there is nothing as found. */
  firstBuild: z.boolean().default(false),
  madeAt: instant,
  sentAt: instant.optional(),
});

/** Opens a job on stages of one machine; its first entry says why. */
export async function openJob({ pool, person, now }: Context, input: unknown): Promise<Result<{ jobId: string }>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(openJobInput, input);
  if (!checked.ok) return checked;
  const { id: jobId, machineId, stageIds, reason, firstBuild } = checked.value;
  const { madeAt } = trueTime(checked.value.madeAt, checked.value.sentAt, now);
  const submission = submissionOf(person.id, checked.value);
  return transactionOn(pool, machineId, async (db): Promise<Result<{ jobId: string }>> => {
    const machine = await machineById(db, person.workshopId, machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    const head = await lockHead(db, machineId);
    const known = await alreadyThere(db, checked.value.entryId, submission);
    if (known) return known.ok ? accept({ jobId }) : known;
    if (await jobById(db, person.workshopId, jobId)) return refuse("id-taken", ["id"]);
    if (machine.retiredAt) return refuse("machine-retired", ["machineId"]);
    const stages = await stagesById(db, stageIds);
    const here = (id: string) =>
      stages.some((stage) => stage.id === id && stage.machineId === machineId && !stage.retiredAt);
    if (!stageIds.every(here)) return refuse("no-such-stage", ["stageIds"]);
    await insertJob(db, { id: jobId, machineId, stageIds, reason, openedBy: person.id, openedAt: new Date(madeAt) });
    await appendEntry(db, head, {
      id: checked.value.entryId,
      machineId,
      jobId,
      stageId: stageIds.length === 1 ? (stageIds[0] ?? null) : null,
      kind: "job-opened",
      body: firstBuild ? { reason, firstBuild } : { reason },
      madeBy: person.id,
      submission,
      madeAt,
      recordedAt: now,
    });
    return accept({ jobId });
  });
}
