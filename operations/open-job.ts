import { z } from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { insertJob, jobById } from "../data/queries/jobs";
import { lockHead, machineById } from "../data/queries/machines";
import { stagesOfMachines } from "../data/queries/stages";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, words } from "./input";

const openJobInput = z.object({
  id,
  entryId: id,
  machineId: id,
  stageIds: z.array(id).min(1).max(50),
  reason: words(400),
  madeAt: z.iso.datetime(),
});

/** Opens a job on stages of one machine; its first entry says why. */
export async function openJob({ pool, person, now }: Context, input: unknown): Promise<Result<{ jobId: string }>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(openJobInput, input);
  if (!checked.ok) return checked;
  const { id: jobId, machineId, stageIds, reason } = checked.value;
  return transaction(pool, async (db): Promise<Result<{ jobId: string }>> => {
    const machine = await machineById(db, person.workshopId, machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    const head = await lockHead(db, machineId);
    if (await jobById(db, person.workshopId, jobId)) return accept({ jobId });
    const stages = await stagesOfMachines(db, [machineId]);
    if (!stageIds.every((wanted) => stages.some((stage) => stage.id === wanted)))
      return refuse("no-such-stage", ["stageIds"]);
    await insertJob(db, { id: jobId, machineId, stageIds, reason, openedBy: person.id, openedAt: now });
    await appendEntry(db, head, {
      id: checked.value.entryId,
      machineId,
      jobId,
      stageId: stageIds.length === 1 ? (stageIds[0] ?? null) : null,
      kind: "job-opened",
      body: { reason },
      namesEntry: null,
      madeBy: person.id,
      madeAt: new Date(checked.value.madeAt).toISOString(),
      recordedAt: now.toISOString(),
      usage: null,
      geometryId: null,
      adjusterId: null,
      limitsId: null,
      readings: [],
    });
    return accept({ jobId });
  });
}
