import * as z from "zod";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { giveTo, takeBack } from "../data/queries/assignments";
import { jobById } from "../data/queries/jobs";
import { lockHead } from "../data/queries/machines";
import { accountsOfWorkshop } from "../data/queries/people";
import { machineOfStage, stageById } from "../data/queries/stages";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, text } from "./input";

const assignInput = z.object({
  id,
  /** One of the two: an open job, or the next visit to a stage. */
  jobId: id.nullable().default(null),
  stageId: id.nullable().default(null),
  /** null: nobody's any more. */
  personId: id.nullable(),
  note: text(2000).trim(),
});

/**
 * Gives an open job, or the next visit to a stage, to somebody who does jobs, with what the next one has to know. It stands in the logbook;
 * a signature ends it.
 */
export async function assign({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(assignInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  if ((value.jobId === null) === (value.stageId === null)) return refuse("missing", ["stageId"]);
  const submission = submissionOf(person.id, value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const job = value.jobId === null ? null : await jobById(db, person.workshopId, value.jobId);
    if (value.jobId !== null && !job) return refuse("no-such-job", ["jobId"]);
    const stage = value.stageId === null ? null : await stageById(db, value.stageId);
    const machineId = job?.machineId ?? (stage && (await machineOfStage(db, person.workshopId, stage.id)));
    if (!machineId || stage?.retiredAt) return refuse("no-such-stage", ["stageId"]);
    const chain = await lockHead(db, machineId);
    const there = await alreadyThere(db, value.id, submission);
    if (there) return there;
    if (job && (await jobById(db, person.workshopId, job.id))?.signedEntry) return refuse("job-signed", ["jobId"]);
    const who =
      value.personId === null
        ? null
        : (await accountsOfWorkshop(db, person.workshopId)).find(({ id: whom }) => whom === value.personId);
    if (who === undefined || who?.leftAt) return refuse("no-such-person", ["personId"]);
    if (who && !mayWork.includes(who.role)) return refuse("does-no-jobs", ["personId"], { name: who.name });
    const entry = await appendEntry(db, chain, {
      id: value.id,
      machineId,
      jobId: job?.id ?? null,
      stageId: stage?.id ?? null,
      kind: "assigned",
      body: { to: who && { id: who.id, name: who.name }, note: value.note },
      madeBy: person.id,
      submission,
      madeAt: now.toISOString(),
      recordedAt: now,
    });
    const of = { jobId: job?.id ?? null, stageId: stage?.id ?? null };
    if (who)
      await giveTo(db, {
        ...{ ...of, entryId: entry.id, machineId, personId: who.id, note: value.note },
        ...{ givenByName: person.name, at: now },
      });
    else await takeBack(db, { jobId: of.jobId, stageIds: of.stageId ? [of.stageId] : [] });
    return accept(entry);
  });
}
