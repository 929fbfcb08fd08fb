import { data } from "react-router";
import { stageState } from "~/app/features/stage/stage-state";
import { isId } from "~/app/session/is-id";
import { logbookPage } from "~/data/queries/entries";
import { openJobs } from "~/data/queries/jobs";
import { machineById, standings } from "~/data/queries/machines";
import { stagesOfMachines } from "~/data/queries/stages";
import { type Context, mayWork } from "~/operations/context";

const pageSize = 40;

/** A machine with its stages as they stand, its open jobs, and one page of its logbook before a number. */
export async function loadMachine({ pool, person, now }: Context, machineId: string, before: number) {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: "no-such-machine" }, { status: 404 });
  const from = Number.isSafeInteger(before) && before > 0 ? before : Number.MAX_SAFE_INTEGER;
  const [stages, jobs, page] = await Promise.all([
    stagesOfMachines(pool, [machine.id]),
    openJobs(pool, [machine.id]),
    logbookPage(pool, machine.id, from, pageSize + 1),
  ]);
  const standing = await standings(
    pool,
    stages.map((stage) => stage.id),
  );
  return {
    machine,
    stages: stages.map((stage) => {
      const known = standing.find((item) => item.stageId === stage.id) ?? null;
      return { stage, standing: known, state: stageState(known) };
    }),
    jobs,
    entries: page.slice(0, pageSize),
    older: page.length > pageSize ? (page[pageSize - 1]?.seq ?? null) : null,
    paged: from !== Number.MAX_SAFE_INTEGER,
    timeZone: person.timeZone,
    mayWork: mayWork.includes(person.role),
    now: now.toISOString(),
  };
}
