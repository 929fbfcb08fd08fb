import { z } from "zod";
import { type Entry, jobRecord, type Provisional, signedRecord } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { entriesOfJob, entryById } from "../data/queries/entries";
import { jobById, markSigned } from "../data/queries/jobs";
import { lockHead } from "../data/queries/machines";
import { stagesOfMachines } from "../data/queries/stages";
import { appendEntry, type NewEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant, text } from "./input";

const signInput = z.object({
  kind: z.literal("signature"),
  id,
  jobId: id,
  stageId: id,
  madeAt: instant,
  /** The last entry of the job that the signer saw. */
  seenEntry: id,
  /** What is left provisional, as the signer acknowledged it. */
  provisional: z.array(z.string()).max(20),
  comment: text(4000).trim(),
  nextDate: z.iso.date().nullable(),
});

/**
 * Signs a job and closes it for good. Refused when something came in that the signer has not seen (facts: count), when what is
 * left provisional was not acknowledged, or when nothing was done.
 */
export async function signJob({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(signInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const found = await jobById(db, person.workshopId, value.jobId);
    if (!found) return refuse("no-such-job", ["jobId"]);
    const chain = await lockHead(db, found.machineId);
    const known = await entryById(db, value.id);
    if (known) return known.entry.jobId === found.id ? accept(known.entry) : refuse("id-taken", ["id"]);
    const job = await jobById(db, person.workshopId, value.jobId);
    if (!job || job.signedEntry) return refuse("job-signed", ["jobId"]);
    const stage = (await stagesOfMachines(db, [job.machineId])).find(
      (s) => s.id === value.stageId && job.stageIds.includes(s.id),
    );
    if (!stage) return refuse("no-such-stage", ["stageId"]);

    const entries = await entriesOfJob(db, job.id);
    const seen = entries.findIndex((entry) => entry.id === value.seenEntry);
    const unseen = entries.length - 1 - seen;
    if (unseen > 0) return refuse("job-changed", ["seenEntry"], { count: unseen });
    const record = jobRecord(entries, stage.geometry.clamps);
    if (!record.lastRound) return refuse("nothing-read", ["seenEntry"]);
    const missing = record.provisional.find((item) => !value.provisional.includes(item));
    if (missing) return refuse("not-acknowledged", ["provisional", missing]);

    const entry = await appendEntry(db, chain, {
      id: value.id,
      machineId: job.machineId,
      jobId: job.id,
      stageId: stage.id,
      kind: "signature",
      body: {
        record: signedRecord(record),
        comment: value.comment,
        nextDate: value.nextDate,
        provisional: record.provisional as Provisional[],
      },
      namesEntry: null,
      madeBy: person.id,
      madeAt: new Date(value.madeAt).toISOString(),
      recordedAt: now.toISOString(),
      usage: null,
      geometryId: stage.geometry.id,
      adjusterId: stage.adjuster.id,
      limitsId: stage.limits.id,
      readings: [],
    } as NewEntry);
    await markSigned(db, job.id, entry.id);
    return accept(entry);
  });
}
