import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { openJobs } from "~/data/queries/jobs";
import { machineById } from "~/data/queries/machines";
import { machineOfStage, stageById, stagesOfMachines } from "~/data/queries/stages";
import type { Context } from "~/operations/context";

/** The stage that is to be revised, its machine, and who has a job open on it. */
export async function loadStageForm({ pool, person }: Context, stageId: string) {
  const machineId = isId(stageId) ? await machineOfStage(pool, person.workshopId, stageId) : null;
  const [stage, machine] = machineId
    ? await Promise.all([stageById(pool, stageId), machineById(pool, person.workshopId, machineId)])
    : [null, null];
  if (!stage || !machine) throw data({ code: "no-such-stage" }, { status: 404 });
  const job = (await openJobs(pool, [machine.id])).find((open) => open.stageIds.includes(stage.id));
  const others = (await stagesOfMachines(pool, [machine.id])).filter((other) => other.id !== stage.id);
  return {
    stage,
    machine,
    openJobBy: job?.openedByName ?? null,
    others: others.map(({ id, name }) => ({ id, name })),
  };
}
