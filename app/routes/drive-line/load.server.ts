import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { withoutGone } from "~/core/stages";
import { driveLineOf } from "~/data/queries/drive-lines";
import { machineById } from "~/data/queries/machines";
import { stagesOfMachines } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import type { Context } from "~/operations/context";

/** A machine with its stages as they stand, and its drive line as far as it is known. */
export async function loadDriveLine({ pool, person }: Context, machineId: string) {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: "no-such-machine" }, { status: 404 });
  const [stages, line] = await Promise.all([stagesOfMachines(pool, [machine.id]), driveLineOf(pool, machine.id)]);
  const standings = await standingsOfStages(
    pool,
    stages.map(({ id }) => id),
  );
  return {
    machine,
    stages: stages.map((stage) => ({ stage, standing: standings.find(({ stageId }) => stageId === stage.id) ?? null })),
    revision: line?.revision ?? 0,
    graph: line && withoutGone(line.graph, new Set(stages.map(({ id }) => id))),
  };
}
