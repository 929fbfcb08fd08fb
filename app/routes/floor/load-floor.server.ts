import { dueWords, machineReasons } from "~/app/features/machine/machine-news";
import { glanceOf } from "~/app/features/stage/stage-glance";
import { inUnitsOf, readerOf } from "~/app/features/words/reader";
import {
  type FloorPlace,
  floorGroups,
  floorPage,
  kindsOnFloor,
  retiredMachines,
  wholeFloor,
} from "~/data/queries/floor";
import { type OpenJob, openJobs } from "~/data/queries/jobs";
import { openPointsOf } from "~/data/queries/open-points";
import { stagesOfMachines } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { upkeepDueOf } from "~/data/queries/upkeep";
import { type Context, mayWork } from "~/operations/context";
import { dayIn } from "~/operations/day-in";
import { type FloorAsked, isNothing } from "./asked";

const pageSize = 60;
const retiredShown = 60;
/** What leaves its limits within so many days is told now. */
const soonDays = 60;
/** A date counts as due so many days before it comes. */
const dueDays = 7;
const dayMs = 86_400_000;

/** A page of machines as they stand, worst first, and how the whole workshop stands by site and hall: in words, for whoever reads. */
export async function loadFloor({ pool, person, now }: Context, asked: FloorAsked, after: FloorPlace | null) {
  const pageReader = readerOf(person);
  const days = {
    today: dayIn(now, pageReader.zone),
    dueUntil: dayIn(new Date(now.getTime() + dueDays * dayMs), pageReader.zone),
    soon: new Date(now.getTime() + soonDays * dayMs),
    now,
  };
  const { words, site, hall, kind } = asked;
  const filter = { words, site, hall, kind, mine: asked.mine ? person.id : null };
  const [page, groups, fitting, kinds, retired] = await Promise.all([
    floorPage(pool, person.workshopId, days, filter, asked.state, after, pageSize + 1),
    floorGroups(pool, person.workshopId, days, wholeFloor),
    isNothing({ ...asked, state: null }) ? null : floorGroups(pool, person.workshopId, days, filter),
    kindsOnFloor(pool, person.workshopId),
    retiredMachines(pool, person.workshopId, retiredShown),
  ]);
  const machines = page.slice(0, pageSize);
  const ids = machines.map((machine) => machine.id);
  const [stages, jobs, points] = await Promise.all([
    stagesOfMachines(pool, ids),
    openJobs(pool, ids),
    openPointsOf(pool, ids),
  ]);
  const [standings, upkeep] = await Promise.all([
    standingsOfStages(
      pool,
      stages.map((stage) => stage.id),
    ),
    upkeepDueOf(pool, ids),
  ]);
  const last = machines[machines.length - 1];
  return {
    rows: machines.map((machine) => {
      const own = stages
        .filter((stage) => stage.machineId === machine.id)
        .map((stage) => ({ stage, standing: standings.find((item) => item.stageId === stage.id) ?? null }));
      const open = points.filter((point) => point.machineId === machine.id);
      const { id, name, tag, site, hall, place, states } = machine;
      const care = upkeep.find(({ machineId }) => machineId === id) ?? null;
      const reader = inUnitsOf(pageReader, machine);
      // A quiet machine takes a line; a stage is shown where it is what makes it otherwise.
      const quiet = !states.some((state) => state === "outside" || state === "due" || state === "open");
      const glances = own.map(({ stage, standing }) => glanceOf(reader, stage, standing));
      const shown = quiet ? [] : glances.filter(({ state }) => state !== "inside");
      return {
        machine: { id, name, tag, where: [site, hall, place].filter(Boolean).join(", ") },
        quiet,
        stages: shown,
        states: glances.map((glance) => glance.state),
        reasons: machineReasons(reader, own, open.length, now.toISOString(), care),
        due: dueWords(reader, own, now.toISOString(), care),
        jobs: jobs
          .filter((job) => job.machineId === machine.id)
          .map((job) => jobGlance(job, glances.length > 1 ? glances : [])),
        points: quiet ? [] : open.map((point) => ({ ...point, where: nameOf(glances, point.stageId) })),
      };
    }),
    next: page.length > pageSize && last ? { rank: last.rank, name: last.name, id: last.id } : null,
    groups,
    fitting: fitting ?? groups,
    kinds,
    retired: retired.map(({ id, name, tag, retiredAt }) => ({ id, name, tag, retiredAt })),
    mayAdd: person.role === "lead",
    mayWork: mayWork.includes(person.role),
    now: now.toISOString(),
  };
}

export type FloorRow = Awaited<ReturnType<typeof loadFloor>>["rows"][number];

type Named = readonly { id: string; name: string }[];
const nameOf = (stages: Named, id: string | null): string => stages.find((stage) => stage.id === id)?.name ?? "";

/** An open job in a line; `of`: the machine's stages, where there are several to tell apart. */
const jobGlance = ({ id, stageIds, reason, openedAt, openedByName, now }: OpenJob, of: Named) => ({
  id,
  stages: stageIds.map((stageId) => nameOf(of, stageId)).filter(Boolean),
  reason,
  openedAt,
  openedByName,
  now,
});
