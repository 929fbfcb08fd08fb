import * as z from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import { machineFields } from "../core/records/machine";
import { type Database, transaction } from "../data/postgres";
import { insertMachine, lockHead, machineById, machineNamed } from "../data/queries/machines";
import { appendEntry } from "./append-entry";
import { type Context, checkRole } from "./context";
import { firstHash } from "./entry-hash";
import { checkInput, id } from "./input";
import { insertWholeStage } from "./insert-stage";
import { checkStage, stageInput } from "./stage-input";

const machineInput = machineFields.extend({ id, entryId: id, stages: z.array(stageInput).max(60).default([]) });

/** A machine, with its gear stages where they are known already. Only leads may. */
export async function addMachine(
  { pool, person, now }: Context,
  input: unknown,
): Promise<Result<{ machineId: string }>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(machineInput, input);
  if (!checked.ok) return checked;
  const machine = checked.value;
  const warnings: Extract<ReturnType<typeof checkStage>, { ok: true }>["value"][] = [];
  for (const [i, stage] of machine.stages.entries()) {
    const geometry = checkStage(stage, ["stages", String(i)]);
    if (!geometry.ok) return geometry;
    warnings.push(geometry.value);
  }
  return transaction(pool, async (db): Promise<Result<{ machineId: string }>> => {
    if (await machineById(db, person.workshopId, machine.id)) return accept({ machineId: machine.id });
    const free = await nameIsFree(db, person.workshopId, machine.id, machine);
    if (!free.ok) return free;
    await insertMachine(db, {
      ...machine,
      workshopId: person.workshopId,
      twinOf: null,
      headHash: firstHash(machine.id),
      at: now,
    });
    const head = await lockHead(db, machine.id);
    await appendEntry(db, head, {
      id: machine.entryId,
      machineId: machine.id,
      kind: "change",
      body: { what: "machine", text: `Entered as ${machine.name}, ${machine.tag}`, warnings: [] },
      madeBy: person.id,
      madeAt: now.toISOString(),
      recordedAt: now,
    });
    for (const [position, stage] of machine.stages.entries()) {
      await insertWholeStage(db, head, stage, {
        machineId: machine.id,
        position,
        personId: person.id,
        now,
        warnings: warnings[position] ?? [],
      });
    }
    return accept({ machineId: machine.id });
  });
}

/** A name belongs to one machine in service, a tag to one machine for ever. */
export async function nameIsFree(
  db: Database,
  workshopId: string,
  own: string,
  { name, tag }: { name: string; tag: string },
): Promise<Result<true>> {
  const others = await machineNamed(db, workshopId, own, name, tag);
  const tagged = others.find((other) => other.tag === tag);
  if (tagged) return refuse("tag-taken", ["tag"], { name: tagged.name });
  if (others.length > 0) return refuse("name-taken", ["name"], { tag: others[0]?.tag ?? "" });
  return accept(true);
}
