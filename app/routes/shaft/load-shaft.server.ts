import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { machineById, machineNames, twinsOf } from "~/data/queries/machines";
import { machineShafts, revisionsOfShaft, shaftById, shaftsOfMachine } from "~/data/queries/shafts";
import { type Context, mayWork } from "~/operations/context";

/** The shafts of a machine, each with how it was last fitted. */
export async function loadShafts({ pool, person }: Context, machineId: string) {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: "no-such-machine" }, { status: 404 });
  return {
    machine: { id: machine.id, name: machine.name },
    shafts: await machineShafts(pool, machine.id, null),
    mayKeep: mayWork.includes(person.role) && machine.retiredAt === null,
  };
}

/** One shaft with the others of its machine, its revisions, and the machines that it can be copied to, twins first. */
export async function loadShaft({ pool, person }: Context, shaftId: string) {
  const shaft = isId(shaftId) ? await shaftById(pool, person.workshopId, shaftId) : null;
  const machine = shaft && (await machineById(pool, person.workshopId, shaft.machineId));
  if (!shaft || !machine) throw data({ code: "no-shaft-here" }, { status: 404 });
  const [revisions, here, known, twins, machines] = await Promise.all([
    revisionsOfShaft(pool, shaft.shaftId),
    shaftsOfMachine(pool, machine.id),
    machineShafts(pool, machine.id, null),
    twinsOf(pool, machine),
    machineNames(pool, person.workshopId),
  ]);
  const twin = new Set<string>(twins.map(({ id }) => id));
  const elsewhere = machines.filter(({ id }) => id !== machine.id);
  return {
    machine: { id: machine.id, name: machine.name },
    shaft,
    known,
    others: here.filter((other) => other.shaftId !== shaft.shaftId),
    revisions: revisions.map(({ id, revision, madeAt, madeByName, parts }) => ({
      id,
      revision,
      madeAt,
      madeByName,
      parts: parts.length,
    })),
    machines: [...elsewhere.filter(({ id }) => twin.has(id)), ...elsewhere.filter(({ id }) => !twin.has(id))],
    mayKeep: mayWork.includes(person.role) && machine.retiredAt === null,
  };
}
