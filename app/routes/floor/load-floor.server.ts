import { type StageState, stageState } from "~/app/features/stage/stage-state";
import { openJobs } from "~/data/queries/jobs";
import { machinesOfWorkshop, standings } from "~/data/queries/machines";
import { stagesOfMachines } from "~/data/queries/stages";
import type { Context } from "~/operations/context";

/** Every machine with its stages as they stand and its open jobs, worst first. */
export async function loadFloor({ pool, person, now }: Context) {
  const machines = await machinesOfWorkshop(pool, person.workshopId);
  const ids = machines.map((machine) => machine.id);
  const [stages, jobs] = await Promise.all([stagesOfMachines(pool, ids), openJobs(pool, ids)]);
  const standing = await standings(
    pool,
    stages.map((stage) => stage.id),
  );
  const rows = machines.map((machine) => ({
    machine,
    stages: stages
      .filter((stage) => stage.machineId === machine.id)
      .map((stage) => {
        const known = standing.find((item) => item.stageId === stage.id) ?? null;
        return { stage, standing: known, state: stageState(known) };
      }),
    jobs: jobs.filter((job) => job.machineId === machine.id),
  }));
  const worst = (row: (typeof rows)[number]) =>
    Math.min(...row.stages.map((stage) => order.indexOf(stage.state)), order.length);
  return { rows: rows.sort((a, b) => worst(a) - worst(b)), timeZone: person.timeZone, now: now.toISOString() };
}

const order: readonly StageState[] = ["outside", "near", "unknown", "inside"];
