import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { optionsOf } from "~/core/logbook";
import { optionsOfStage } from "~/data/queries/entries";
import { machineWithStage } from "~/data/queries/machines";
import { stageById } from "~/data/queries/stages";
import { type Context, mayWork } from "~/operations/context";

/** Revisions of options that are looked back on. */
const mostOptions = 120;

/** A stage with the ways to drive it that were put down. */
export async function loadOptions({ pool, person }: Context, stageId: string) {
  const noSuchStage = () => data({ code: "no-such-stage" }, { status: 404 });
  if (!isId(stageId)) throw noSuchStage();
  const [machine, stage, entries] = await Promise.all([
    machineWithStage(pool, person.workshopId, stageId),
    stageById(pool, stageId),
    optionsOfStage(pool, stageId, mostOptions),
  ]);
  if (!machine || !stage) throw noSuchStage();
  return {
    machine: { id: machine.id, name: machine.name },
    stage: { id: stage.id, name: stage.name },
    options: optionsOf(entries),
    mayKeep: mayWork.includes(person.role) && stage.retiredAt === null,
  };
}
