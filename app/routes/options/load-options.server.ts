import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { optionsOf } from "~/core/logbook";
import { optionsOfMachine, optionsOfStage } from "~/data/queries/entries";
import { guidesOfMachine } from "~/data/queries/guides";
import { machineById, machineWithStage } from "~/data/queries/machines";
import { shaftsOfMachine } from "~/data/queries/shafts";
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

/** The ways to build assemblies of a machine that were put down, and the assemblies that are known by name: its guides and shafts. */
export async function loadMachineOptions({ pool, person }: Context, machineId: string) {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: "no-such-machine" }, { status: 404 });
  const [entries, guides, shafts] = await Promise.all([
    optionsOfMachine(pool, machine.id, mostOptions),
    guidesOfMachine(pool, machine.id),
    shaftsOfMachine(pool, machine.id),
  ]);
  return {
    machine: { id: machine.id, name: machine.name },
    options: optionsOf(entries),
    assemblies: [...guides, ...shafts].map(({ name }) => name),
    mayKeep: mayWork.includes(person.role) && machine.retiredAt === null,
  };
}
