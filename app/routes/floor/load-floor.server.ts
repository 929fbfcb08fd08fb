import { glanceOf } from "~/app/features/stage/stage-glance";
import { type FloorPlace, floorGroups, floorPage, retiredMachines } from "~/data/queries/floor";
import { openJobs } from "~/data/queries/jobs";
import { openPointsOf } from "~/data/queries/open-points";
import { stagesOfMachines } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { type Context, mayWork } from "~/operations/context";

const pageSize = 30;
const retiredShown = 60;
/** What leaves its limits within so many days is told now. */
const soonDays = 60;

export type FloorAsked = { words: string; site: string | null; hall: string | null; after: FloorPlace | null };

/** A page of machines with their stages as they stand, worst first, and how the whole workshop stands by site and hall. */
export async function loadFloor({ pool, person, now }: Context, asked: FloorAsked) {
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
    rows: machines.map((machine) => ({
      machine,
      stages: stages
        .filter((stage) => stage.machineId === machine.id)
        .map((stage) => ({
          stage: glanceOf(stage),
          standing: standings.find((item) => item.stageId === stage.id) ?? null,
        })),
      jobs: jobs.filter((job) => job.machineId === machine.id),
      points: points.filter((point) => point.machineId === machine.id),
    })),
    next: page.length > pageSize && last ? { rank: last.rank, name: last.name, id: last.id } : null,
    groups,
    retired: retired.map(({ id, name, tag, retiredAt }) => ({ id, name, tag, retiredAt })),
    mayAdd: person.role === "lead",
    mayWork: mayWork.includes(person.role),
    timeZone: person.timeZone,
    now: now.toISOString(),
  };
}
