import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { asGearPair } from "~/core/stages";
import { machineById } from "~/data/queries/machines";
import { machineOfStage, stageById } from "~/data/queries/stages";
import { itemsOfKinds } from "~/data/queries/store";
import { optionsOfStage } from "~/data/queries/swap-options";
import { type Context, mayWork } from "~/operations/context";

const mostGears = 500;

/** A gear stage with the gears that lie in the stores and what was kept beside it. */
export async function loadSwap({ pool, person }: Context, stageId: string) {
  const machineId = isId(stageId) ? await machineOfStage(pool, person.workshopId, stageId) : null;
  const [stage, machine] = machineId
    ? await Promise.all([stageById(pool, stageId), machineById(pool, person.workshopId, machineId)])
    : [null, null];
  if (!stage || !machine || !asGearPair(stage.geometry.element)) throw data({ code: "no-such-stage" }, { status: 404 });
  const [stock, kept] = await Promise.all([
    itemsOfKinds(pool, person.workshopId, ["gear"], mostGears),
    optionsOfStage(pool, stage.id),
  ]);
  return { stage, machine, stock, kept, mayWork: mayWork.includes(person.role) };
}
