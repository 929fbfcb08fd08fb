import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { pastMoves } from "~/core/logbook";
import { draftsOf } from "~/data/queries/drafts";
import { earlierProofs, entriesOfJob, type NamedEntry, recentStageWork } from "~/data/queries/entries";
import { instrumentsOfWorkshop } from "~/data/queries/instruments";
import { type Job, jobById } from "~/data/queries/jobs";
import { machineById } from "~/data/queries/machines";
import { stagesOfMachines } from "~/data/queries/stages";
import type { Context } from "~/operations/context";

const learntFrom = 40;
const mostMoves = 20;

/** A job with everything its screen needs, so that walking between its stations needs the server no more. */
export async function loadJob(asked: Context, jobId: string) {
  const { pool, person, now } = asked;
  const job = await findJob(asked, jobId);
  if (!job) throw data({ code: "no-such-job" }, { status: 404 });
  const [stages, machine, instruments, entries, drafts] = await Promise.all([
    stagesOfMachines(pool, [job.machineId]),
    machineById(pool, person.workshopId, job.machineId),
    instrumentsOfWorkshop(pool, person.workshopId),
    entriesOfJob(pool, job.id),
    draftsOf(pool, job.id, person.id),
  ]);
  const stage = stages.find((candidate) => candidate.id === job.stageIds[0]);
  if (!stage || !machine) throw data({ code: "no-such-stage" }, { status: 404 });
  const [work, proofs] = await Promise.all([
    recentStageWork(pool, stage.id, learntFrom),
    earlierProofs(pool, stage.id, job.id, 6),
  ]);
  return {
    job,
    machine,
    stage,
    instruments,
    entries,
    drafts,
    earlierProofs: proofs,
    // Those of this job are added on the screen, as they come.
    earlierMoves: pastMoves(
      work.filter((entry) => entry.jobId !== job.id),
      stage.adjuster.id,
    ).slice(-mostMoves),
    person: { id: person.id, name: person.name },
    timeZone: person.timeZone,
    now: now.toISOString(),
  };
}

/** The job's entries as they are now; null where there is no such job. */
export async function loadEntries(asked: Context, jobId: string): Promise<NamedEntry[] | null> {
  const job = await findJob(asked, jobId);
  return job ? entriesOfJob(asked.pool, job.id) : null;
}

const findJob = async ({ pool, person }: Context, jobId: string): Promise<Job | null> =>
  isId(jobId) ? jobById(pool, person.workshopId, jobId) : null;
