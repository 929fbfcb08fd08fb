import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { guideById, guidesOfMachine, revisionsOfGuide } from "~/data/queries/guides";
import { machineById, machineNames, twinsOf } from "~/data/queries/machines";
import { someStagesOfMachine } from "~/data/queries/stages";
import { type Context, mayWork } from "~/operations/context";

const mostStages = 120;

/** The guides of a machine, with the stages that one can be of. */
export async function loadGuides({ pool, person }: Context, machineId: string) {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: "no-such-machine" }, { status: 404 });
  const [guides, stages] = await Promise.all([
    guidesOfMachine(pool, machine.id),
    someStagesOfMachine(pool, machine.id, 0, mostStages),
  ]);
  return {
    machine: { id: machine.id, name: machine.name },
    stages: stages.map(({ id, name }) => ({ id, name })),
    guides: guides.map(({ guideId, name, revision, stageId, parts, madeAt, madeByName }) => ({
      guideId,
      name,
      revision,
      stageName: stages.find(({ id }) => id === stageId)?.name ?? null,
      parts: parts.length,
      madeAt,
      madeByName,
    })),
    mayKeep: mayWork.includes(person.role) && machine.retiredAt === null,
  };
}

/** One guide with its revisions, and the machines that it can be copied to, twins first. */
export async function loadGuide({ pool, person }: Context, guideId: string) {
  const guide = isId(guideId) ? await guideById(pool, person.workshopId, guideId) : null;
  const machine = guide && (await machineById(pool, person.workshopId, guide.machineId));
  if (!guide || !machine) throw data({ code: "no-such-guide" }, { status: 404 });
  const [revisions, twins, machines, stages] = await Promise.all([
    revisionsOfGuide(pool, guide.guideId),
    twinsOf(pool, machine),
    machineNames(pool, person.workshopId),
    someStagesOfMachine(pool, machine.id, 0, mostStages),
  ]);
  const twin = new Set<string>(twins.map(({ id }) => id));
  const others = machines.filter(({ id }) => id !== machine.id);
  return {
    machine: { id: machine.id, name: machine.name },
    guide,
    stages: stages.map(({ id, name }) => ({ id, name })),
    revisions,
    machines: [...others.filter(({ id }) => twin.has(id)), ...others.filter(({ id }) => !twin.has(id))],
    mayKeep: mayWork.includes(person.role) && machine.retiredAt === null,
  };
}
