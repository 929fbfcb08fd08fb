import { workersOf } from "~/app/routes/plan/load-plan.server";
import { assignmentsOfJobs } from "~/data/queries/assignments";
import { dueStages, openJobsOfWorkshop, signedJobs } from "~/data/queries/jobs";
import { openPointsOfWorkshop } from "~/data/queries/open-points";
import { type Context, mayWork } from "~/operations/context";

const openShown = 100;
const dueShown = 60;
const pageSize = 30;

export type JobsAsked = {
  words: string;
  before: { at: string; id: string } | null;
  points: { at: string; id: string } | null;
};

/** Jobs open, planned and done, and every open point of the workshop. */
export async function loadJobs(context: Context, { words, before, points }: JobsAsked) {
  const { pool, person, now } = context;
  const [open, due, done, pointsPage] = await Promise.all([
    openJobsOfWorkshop(pool, person.workshopId, openShown),
    dueStages(pool, person.workshopId, dueShown),
    signedJobs(pool, person.workshopId, before, words, pageSize + 1),
    openPointsOfWorkshop(pool, person.workshopId, points, pageSize + 1),
  ]);
  const lastDone = done[pageSize - 1];
  const lastPoint = pointsPage[pageSize - 1];
  const [given, people] = await Promise.all([
    assignmentsOfJobs(
      pool,
      open.map(({ id }) => id),
    ),
    workersOf(context),
  ]);
  return {
    open: open.map((job) => ({ ...job, given: given.find(({ jobId }) => jobId === job.id) ?? null })),
    people,
    due,
    done: done.slice(0, pageSize),
    older: done.length > pageSize && lastDone ? { at: lastDone.openedAt, id: lastDone.id } : null,
    points: pointsPage.slice(0, pageSize),
    laterPoints: pointsPage.length > pageSize && lastPoint ? { at: lastPoint.openedAt, id: lastPoint.id } : null,
    mayWork: mayWork.includes(person.role),
    now: now.toISOString(),
  };
}
