import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { machineById } from "~/data/queries/machines";
import { stagesOfMachines } from "~/data/queries/stages";
import type { Context } from "~/operations/context";

/** The machine that is to be changed or copied. */
export async function loadMachineForm({ pool, person }: Context, machineId: string) {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: "no-such-machine" }, { status: 404 });
  const stages = await stagesOfMachines(pool, [machine.id]);
  return { machine, stages: stages.map(({ id, name }) => ({ id, name })) };
}
