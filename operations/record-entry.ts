import { z } from "zod";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { entriesOfJob, entryById } from "../data/queries/entries";
import { instrumentsOfWorkshop } from "../data/queries/instruments";
import { jobById } from "../data/queries/jobs";
import { lockHead } from "../data/queries/machines";
import { stagesOfMachines } from "../data/queries/stages";
import { appendEntry, type NewEntry } from "./append-entry";
import { buildEntry, workInput } from "./build-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant } from "./input";

const envelope = z.object({ id, jobId: id, stageId: id, madeAt: instant });

/**
 * An entry on an open job: a round, a move, a touched clamp, isolated, live, a proof run or a note. Sent twice it stays one.
 * Two people on one job both keep their entries, in the order in which the server took them.
 */
export async function recordEntry({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const head = checkInput(envelope, input);
  if (!head.ok) return head;
  const work = checkInput(workInput, input);
  if (!work.ok) return work;
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const job = await jobById(db, person.workshopId, head.value.jobId);
    if (!job) return refuse("no-such-job", ["jobId"]);
    const chain = await lockHead(db, job.machineId);
    const known = await entryById(db, head.value.id);
    if (known) return known.entry.jobId === job.id ? accept(known.entry) : refuse("id-taken", ["id"]);
    if ((await jobById(db, person.workshopId, job.id))?.signedEntry) return refuse("job-signed", ["jobId"]);
    const stages = await stagesOfMachines(db, [job.machineId]);
    const stage = stages.find((s) => s.id === head.value.stageId && job.stageIds.includes(s.id));
    if (!stage) return refuse("no-such-stage", ["stageId"]);
    const instruments = await instrumentsOfWorkshop(db, person.workshopId);
    const built = buildEntry(work.value, stage, instruments, await entriesOfJob(db, job.id));
    if (!built.ok) return built;
    const entry = {
      id: head.value.id,
      machineId: job.machineId,
      jobId: job.id,
      stageId: stage.id,
      kind: work.value.kind,
      body: built.value.body,
      namesEntry: null,
      madeBy: person.id,
      madeAt: new Date(head.value.madeAt).toISOString(),
      recordedAt: now.toISOString(),
      usage: null,
      geometryId: stage.geometry.id,
      adjusterId: stage.adjuster.id,
      limitsId: stage.limits.id,
      readings: built.value.readings,
    } as NewEntry;
    return accept(await appendEntry(db, chain, entry));
  });
}
