import { data } from "react-router";
import { shownLine } from "~/app/features/drive-line/shown-line";
import { logbookLine } from "~/app/features/logbook/logbook-line";
import { machineReasons } from "~/app/features/machine/machine-news";
import { shownStage } from "~/app/features/machine/shown-stage";
import { readerOf } from "~/app/features/words/reader";
import { isId } from "~/app/session/is-id";
import { withoutGone } from "~/core/stages";
import { assignmentsOfJobs } from "~/data/queries/assignments";
import { driveLineOf } from "~/data/queries/drive-lines";
import { attachmentsOf, correctionsOf, logbookPage, usageReadings } from "~/data/queries/entries";
import { openJobs } from "~/data/queries/jobs";
import { machineById, twinsOf } from "~/data/queries/machines";
import { openPointsOf } from "~/data/queries/open-points";
import { planPage } from "~/data/queries/plan";
import { countStages, someStagesOfMachine, stagesById, stagesOfMachines } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { upkeepDueOf } from "~/data/queries/upkeep";
import { type Context, mayWork } from "~/operations/context";
import { dayIn } from "~/operations/day-in";
import { workersOf } from "../plan/load-plan.server";

const pageSize = 24;
const usagesShown = 6;
const filesShown = 8;
const dueShown = 4;
/** Of a machine with very many, one page of its drive line. */
const stagesShown = 48;

/** A machine with its stages as they stand, its open jobs and points, and one page of its logbook before a number. */
export async function loadMachine(
  { pool, person, now }: Context,
  machineId: string,
  { before, words, stagesFrom }: { before: number; words: string; stagesFrom: number },
) {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: "no-such-machine" }, { status: 404 });
  const from = Number.isSafeInteger(before) && before > 0 ? before : Number.MAX_SAFE_INTEGER;
  const skip = Number.isSafeInteger(stagesFrom) && stagesFrom > 0 ? stagesFrom : 0;
  const [stages, stagesInAll, jobs, page, twins, points, usage, files, driveLine] = await Promise.all([
    someStagesOfMachine(pool, machine.id, skip, stagesShown),
    countStages(pool, machine.id),
    openJobs(pool, [machine.id]),
    logbookPage(pool, machine.id, from, words, pageSize + 1),
    twinsOf(pool, machine),
    openPointsOf(pool, [machine.id]),
    usageReadings(pool, machine.id, usagesShown),
    attachmentsOf(pool, machine.id, filesShown),
    driveLineOf(pool, machine.id),
  ]);
  const entries = page.slice(0, pageSize);
  const missing = entries.flatMap(({ stageId }) =>
    stageId && !stages.some(({ id }) => id === stageId) ? [stageId] : [],
  );
  const [standings, twinStages, corrections, elsewhere] = await Promise.all([
    standingsOfStages(
      pool,
      stages.map((stage) => stage.id),
    ),
    stagesOfMachines(
      pool,
      twins.map((twin) => twin.id),
    ),
    correctionsOf(
      pool,
      entries.map((entry) => entry.id),
    ),
    // Stages out of service, or on another page of the drive line.
    missing.length > 0 ? stagesById(pool, [...new Set(missing)]) : [],
  ]);
  const reader = readerOf(person, machine);
  const here = { site: null, hall: null, personId: null, until: null, machineId: machine.id };
  const [due, people] = await Promise.all([
    planPage(pool, person.workshopId, here, null, dueShown),
    mayWork.includes(person.role) ? workersOf({ pool, person }) : [],
  ]);
  const jobsGiven = await assignmentsOfJobs(
    pool,
    jobs.map(({ id }) => id),
  );
  const care = (await upkeepDueOf(pool, [machine.id]))[0] ?? null;
  const stageOf = (id: string | null) => [...stages, ...elsewhere].find((stage) => stage.id === id);
  const twinStandings = await standingsOfStages(
    pool,
    twinStages.map((stage) => stage.id),
  );
  const stand = stages.map((stage) => ({
    stage,
    standing: standings.find((item) => item.stageId === stage.id) ?? null,
  }));
  const graph = driveLine && withoutGone(driveLine.graph, new Set(stages.map(({ id }) => id)));
  return {
    machine,
    news: machineReasons(reader, stand, points.length, now.toISOString(), care)[0] ?? null,
    upkeep: care,
    stagesInAll,
    stagesFrom: skip,
    line: shownLine(graph, stand),
    stages: stand.map((one) => shownStage(reader, one, graph)),
    twins: twins.map((twin) => ({
      ...twin,
      stages: twinStages
        .filter((stage) => stage.machineId === twin.id)
        .map((stage) => ({
          name: stage.name,
          state: twinStandings.find((item) => item.stageId === stage.id)?.state ?? ("unknown" as const),
        })),
    })),
    jobs,
    jobsGiven: jobsGiven.map(({ jobId, to, note }) => ({ jobId, to, note })),
    due,
    people,
    today: dayIn(now, person.timeZone),
    points,
    usage,
    files,
    lines: entries.map((entry) => logbookLine(reader, entry, stageOf(entry.stageId), corrections)),
    words,
    older: page.length > pageSize ? (entries[entries.length - 1]?.seq ?? null) : null,
    paged: from !== Number.MAX_SAFE_INTEGER,
    mayWork: mayWork.includes(person.role) && machine.retiredAt === null,
    mayEdit: person.role === "lead",
    now: now.toISOString(),
  };
}
