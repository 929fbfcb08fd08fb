import { z } from "zod";
import { type Entry, type KnownRound, knownRound } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { type Database, transaction } from "../data/postgres";
import { entriesOfJob, recentStageWork } from "../data/queries/entries";
import { instrumentsOfWorkshop } from "../data/queries/instruments";
import { jobById } from "../data/queries/jobs";
import { lockHead } from "../data/queries/machines";
import { type Stage, stagesById } from "../data/queries/stages";
import { alreadyThere } from "./already-there";
import { appendEntry } from "./append-entry";
import { buildEntry, workInput } from "./build-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant } from "./input";
import { refreshAfterClamp, refreshStanding } from "./refresh-standing";
import { trueTime } from "./true-time";

const envelope = z.object({ id, jobId: id, stageId: id, madeAt: instant, sentAt: instant.optional() });

/**
 * An entry on an open job: a round, a round by feel, a move, a touched clamp, something put in or taken out, isolated, live, a
 * proof run or a note. Sent twice it stays one. Two people on one job both keep their entries, in the order in which the
 * server took them.
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
    const known = await alreadyThere(db, head.value.id, (entry) => entry.jobId === job.id);
    if (known) return known;
    if ((await jobById(db, person.workshopId, job.id))?.signedEntry) return refuse("job-signed", ["jobId"]);
    const stages = await stagesById(db, job.stageIds);
    const stage = stages.find((s) => s.id === head.value.stageId);
    if (!stage) return refuse("no-such-stage", ["stageId"]);
    const instruments = await instrumentsOfWorkshop(db, person.workshopId);
    const carries = work.value.kind === "round" && work.value.carries;
    const before = carries ? await roundBefore(db, stage, job.id) : null;
    const built = buildEntry(work.value, stage, instruments, await entriesOfJob(db, job.id), stages, before);
    if (!built.ok) return built;
    const { kind } = work.value;
    const entry = await appendEntry(db, chain, {
      ...built.value,
      id: head.value.id,
      machineId: job.machineId,
      jobId: job.id,
      stageId: stage.id,
      kind,
      madeBy: person.id,
      madeAt: trueTime(head.value.madeAt, head.value.sentAt, now).madeAt,
      recordedAt: now,
      geometryId: stage.geometry.id,
      adjusterId: stage.adjuster.id,
      limitsId: stage.limits.id,
    });
    if (kind === "clamp") await refreshAfterClamp(db, stage.id);
    else if (kind === "round" || kind === "feel" || kind === "move") await refreshStanding(db, stage.id);
    return accept(entry);
  });
}

/** Rounds and moves that the last whole round may lie behind. */
const lookBack = 12;

/** The stage's round as it was known before a job, carried over the moves since it was whole. */
export async function roundBefore(db: Database, stage: Stage, jobId: string | null): Promise<KnownRound | null> {
  const work = await recentStageWork(db, stage.id, lookBack);
  const earlier = work.filter((entry) => jobId === null || entry.jobId !== jobId);
  return knownRound(earlier, stage.id, stage.geometry.pair.teeth[1]);
}
