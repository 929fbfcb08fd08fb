import { data } from "react-router";
import type { JobLoaded } from "~/app/features/job/entries/job-loaded";
import type { Revisions } from "~/app/features/job/entries/use-entries";
import { firstStation, stageIn } from "~/app/features/job/stations/first-station";
import type { StationKey } from "~/app/features/job/stations/stations";
import { stagesBefore } from "~/app/routes/machine/load-kit.server";
import { isId } from "~/app/session/is-id";
import type { Entry } from "~/core/logbook";
import type { Job } from "~/core/records";
import { assignmentsOfJob } from "~/data/queries/assignments";
import { draftsOf } from "~/data/queries/drafts";
import { entriesOfJob, partsLeftOff, photographsNaming } from "~/data/queries/entries";
import { guidesOfMachine } from "~/data/queries/guides";
import { instrumentsOfWorkshop } from "~/data/queries/instruments";
import { jobById } from "~/data/queries/jobs";
import { machineById } from "~/data/queries/machines";
import { machineShafts } from "~/data/queries/shafts";
import { stagesById } from "~/data/queries/stages";
import { itemsOfKinds } from "~/data/queries/store";
import type { Context } from "~/operations/context";

/** A job with everything its screen needs, so that walking between its stations needs the server no more. */
export async function loadJob(asked: Context, jobId: string): Promise<JobLoaded> {
  const { pool, person, now } = asked;
  const job = await findJob(asked, jobId);
  if (!job) throw data({ code: "no-such-job" }, { status: 404 });
  const [found, machine, instruments, entries, drafts, leftOff, guides, shafts] = await Promise.all([
    stagesById(pool, job.stageIds),
    machineById(pool, person.workshopId, job.machineId),
    instrumentsOfWorkshop(pool, person.workshopId),
    entriesOfJob(pool, job.id),
    draftsOf(pool, job.id, person.id),
    partsLeftOff(pool, job.machineId, job.id),
    guidesOfMachine(pool, job.machineId),
    machineShafts(pool, job.machineId, job.id),
  ]);
  const cameOff = [...leftOff, ...entries].filter(({ kind }) => kind === "part-off");
  const stages = job.stageIds.flatMap((id) => found.find((stage) => stage.id === id) ?? []);
  const along = stages.flatMap(({ adjuster }) => adjuster.alsoMoves.map(({ stageId }) => stageId));
  if (stages.length === 0 || !machine) throw data({ code: "no-such-stage" }, { status: 404 });
  return {
    job,
    machine,
    stages,
    movedAlong: along.length > 0 ? await stagesById(pool, along) : [],
    instruments,
    entries,
    leftOff,
    guides,
    shafts,
    photographs: await photographsNaming(
      pool,
      cameOff.map(({ id }) => id),
    ),
    drafts,
    stock: await itemsOfKinds(pool, person.workshopId, ["shim", "spacer"], mostStock),
    // What this job itself teaches is added on the screen, as it comes.
    before: await stagesBefore(pool, stages, job.id),
    given: (await assignmentsOfJob(pool, job.id, job.stageIds))[0] ?? null,
    person: { id: person.id, name: person.name },
    liftLimitKg: person.liftLimitKg,
    readFirst: person.readFirst,
    now: now.toISOString(),
  };
}

/** At which station the work on a stage of a job stands, for who opens it without saying where. */
export async function stationOfJob(asked: Context, jobId: string, search: URLSearchParams): Promise<StationKey> {
  const job = await findJob(asked, jobId);
  if (!job) throw data({ code: "no-such-job" }, { status: 404 });
  const [found, entries] = await Promise.all([stagesById(asked.pool, job.stageIds), entriesOfJob(asked.pool, job.id)]);
  const stages = job.stageIds.flatMap((id) => found.find((stage) => stage.id === id) ?? []);
  if (stages.length === 0) throw data({ code: "no-such-stage" }, { status: 404 });
  return firstStation(entries, stageIn(stages, search));
}

/** Shims, spacers and washers in the drawers: for stages that are set by them, and for bearings too narrow for their seats. */
const mostStock = 400;

/** The job's entries as they are now, and the revisions that its stages have; null where there is no such job. */
export async function loadEntries(
  asked: Context,
  jobId: string,
): Promise<{ entries: Entry[]; revisions: Revisions[] } | null> {
  const job = await findJob(asked, jobId);
  if (!job) return null;
  const [entries, stages] = await Promise.all([entriesOfJob(asked.pool, job.id), stagesById(asked.pool, job.stageIds)]);
  const revisions = stages.map((stage) => ({
    stageId: stage.id,
    geometryId: stage.geometry.id,
    adjusterId: stage.adjuster.id,
    limitsId: stage.limits?.id ?? null,
  }));
  return { entries, revisions };
}

export const findJob = async ({ pool, person }: Context, jobId: string): Promise<Job | null> =>
  isId(jobId) ? jobById(pool, person.workshopId, jobId) : null;
