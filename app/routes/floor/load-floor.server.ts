import { glanceOf } from "~/app/features/stage/stage-glance";
import { inUnitsOf, readerOf } from "~/app/features/words/reader";
import { type FloorPlace, floorGroups, floorPage, retiredMachines } from "~/data/queries/floor";
import { type OpenJob, openJobs } from "~/data/queries/jobs";
import { openPointsOf } from "~/data/queries/open-points";
import { stagesOfMachines } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { type Context, mayWork } from "~/operations/context";
import { dueWords, machineReasons } from "./news";

const pageSize = 30;
const retiredShown = 60;
/** What leaves its limits within so many days is told now. */
const soonDays = 60;

export type FloorAsked = { words: string; site: string | null; hall: string | null; after: FloorPlace | null };

/** A page of machines with their stages as they stand, worst first, and how the whole workshop stands by site and hall: in words, for whoever reads. */
export async function loadFloor({ pool, person, now }: Context, asked: FloorAsked) {
  const pageReader = readerOf(person);
  const soon = new Date(now.getTime() + soonDays * 86_400_000);
  const [page, groups, retired] = await Promise.all([
    floorPage(pool, person.workshopId, soon, asked, asked.after, pageSize + 1),
    floorGroups(pool, person.workshopId, soon),
    retiredMachines(pool, person.workshopId, retiredShown),
  ]);
  const machines = page.slice(0, pageSize);
  const ids = machines.map((machine) => machine.id);
  const [stages, jobs, points] = await Promise.all([
    stagesOfMachines(pool, ids),
    openJobs(pool, ids),
    openPointsOf(pool, ids),
  ]);
  const standings = await standingsOfStages(
    pool,
    stages.map((stage) => stage.id),
  );
  const last = machines[machines.length - 1];
  return {
    rows: machines.map((machine) => {
      const own = stages
        .filter((stage) => stage.machineId === machine.id)
        .map((stage) => ({ stage, standing: standings.find((item) => item.stageId === stage.id) ?? null }));
      const open = points.filter((point) => point.machineId === machine.id);
      const { id, name, tag, site, hall, place } = machine;
      const reader = inUnitsOf(pageReader, machine);
      return {
        machine: { id, name, tag, where: [site, hall, place].filter(Boolean).join(", ") },
        stages: own.map(({ stage, standing }) => glanceOf(reader, stage, standing)),
        reasons: machineReasons(reader, own, open.length, now.toISOString()),
        due: dueWords(reader, own, now.toISOString()),
        jobs: jobs.filter((job) => job.machineId === machine.id).map(jobGlance),
        points: open,
      };
    }),
    next: page.length > pageSize && last ? { rank: last.rank, name: last.name, id: last.id } : null,
    groups,
    retired: retired.map(({ id, name, tag, retiredAt }) => ({ id, name, tag, retiredAt })),
    mayAdd: person.role === "lead",
    mayWork: mayWork.includes(person.role),
    now: now.toISOString(),
  };
}

export type FloorRow = Awaited<ReturnType<typeof loadFloor>>["rows"][number];

const jobGlance = ({ id, stageIds, reason, openedAt, openedByName }: OpenJob) => ({
  id,
  stageIds,
  reason,
  openedAt,
  openedByName,
});
