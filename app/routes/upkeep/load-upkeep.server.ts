import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { photographsNaming } from "~/data/queries/entries";
import { machineById } from "~/data/queries/machines";
import { someStagesOfMachine } from "~/data/queries/stages";
import { type Context, mayWork } from "~/operations/context";
import { upkeepNow } from "~/operations/refresh-upkeep";

const shownWork = 12;

/** What of a machine is greased and looked at, when each is due, and what was done last. */
export async function loadUpkeep({ pool, person, now }: Context, machineId: string) {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: "no-such-machine" }, { status: 404 });
  const [{ kept, due, work }, stages] = await Promise.all([
    upkeepNow(pool, machine.id, now),
    someStagesOfMachine(pool, machine.id, 0, 1),
  ]);
  const shown = work.slice(0, shownWork);
  return {
    machine: { id: machine.id, name: machine.name, usageUnit: machine.usageUnit },
    list: kept?.list ?? { grease: [], looks: [] },
    revision: kept?.revision ?? 0,
    due,
    work: shown,
    photographs: await photographsNaming(
      pool,
      shown.map(({ id }) => id),
    ),
    hasStage: stages.length > 0,
    mayKeep: mayWork.includes(person.role) && machine.retiredAt === null,
  };
}
