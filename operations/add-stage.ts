import * as z from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { lockHead, machineById } from "../data/queries/machines";
import { nextPosition, stageById, stagesOfMachines } from "../data/queries/stages";
import { type Context, checkRole } from "./context";
import { checkInput, id, words } from "./input";
import { insertWholeStage } from "./insert-stage";
import { leaveOpen } from "./leave-open";
import { checkStage, stageInput } from "./stage-input";

/** `points`: what is left to be found out, said in words. */
const addStageInput = stageInput.extend({ machineId: id, points: z.array(words(400)).max(6).default([]) });
export type AddStageInput = z.input<typeof addStageInput>;

/** A further stage at the end of a machine's drive line. Only leads may. */
export async function addStage({ pool, person, now }: Context, input: unknown): Promise<Result<{ stageId: string }>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(addStageInput, input);
  if (!checked.ok) return checked;
  const { machineId, points, ...stage } = checked.value;
  const warnings = checkStage(stage);
  if (!warnings.ok) return warnings;
  return transaction(pool, async (db): Promise<Result<{ stageId: string }>> => {
    const machine = await machineById(db, person.workshopId, machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    const head = await lockHead(db, machineId);
    const known = await stageById(db, stage.id);
    if (known) return known.machineId === machineId ? accept({ stageId: stage.id }) : refuse("id-taken", ["id"]);
    if (machine.retiredAt) return refuse("machine-retired", ["machineId"]);
    const others = await stagesOfMachines(db, [machineId]);
    if (others.some((other) => other.name.toLowerCase() === stage.name.toLowerCase()))
      return refuse("stage-name-taken", ["name"]);
    await insertWholeStage(db, head, stage, {
      machineId,
      position: await nextPosition(db, machineId),
      personId: person.id,
      now,
      warnings: warnings.value,
    });
    for (const text of points) await leaveOpen(db, head, { machineId, stageId: stage.id, text }, person, now);
    return accept({ stageId: stage.id });
  });
}
