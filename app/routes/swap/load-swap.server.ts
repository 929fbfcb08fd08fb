import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import type { Job, StageId } from "~/core/records";
import { asGearPair } from "~/core/stages";
import { jobById } from "~/data/queries/jobs";
import { machineById } from "~/data/queries/machines";
import { machineOfStage, stageById } from "~/data/queries/stages";
import { itemsOfKinds } from "~/data/queries/store";
import { optionsOfStage } from "~/data/queries/swap-options";
import { type Context, mayWork } from "~/operations/context";

const mostGears = 500;

/** A gear stage with the gears that lie in the stores and what was kept beside it. */
export async function loadSwap({ pool, person }: Context, stageId: string, jobId: string | null) {
  const machineId = isId(stageId) ? await machineOfStage(pool, person.workshopId, stageId) : null;
  const [stage, machine] = machineId
    ? await Promise.all([stageById(pool, stageId), machineById(pool, person.workshopId, machineId)])
    : [null, null];
  if (!stage || !machine || !asGearPair(stage.geometry.element)) throw data({ code: "no-such-stage" }, { status: 404 });
  const job = jobId && isId(jobId) ? jobHere(await jobById(pool, person.workshopId, jobId), stage.id) : null;
  const [stock, kept] = await Promise.all([
    itemsOfKinds(pool, person.workshopId, ["gear"], mostGears),
    optionsOfStage(pool, stage.id),
  ]);
  return { stage, machine, stock, kept, job, mayWork: mayWork.includes(person.role) };
}

/** The job within which gears may be exchanged: open, and on this stage; with the way back to it. */
function jobHere(job: Job | null, stageId: StageId): { id: string; back: string } | null {
  const place = job && !job.signedEntry ? job.stageIds.indexOf(stageId) : -1;
  return job && place >= 0
    ? { id: job.id, back: `/jobs/${job.id}/set${place > 0 ? `?stage=${place + 1}` : ""}` }
    : null;
}
