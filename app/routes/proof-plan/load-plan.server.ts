import { data } from "react-router";
import { v7 } from "uuid";
import { isId } from "~/app/session/is-id";
import { proposePlan } from "~/core/proving";
import type { Stage } from "~/core/records";
import { frameOf, gearNames } from "~/core/stages";
import { machineById } from "~/data/queries/machines";
import { proofPlans } from "~/data/queries/proof-plans";
import { stageById } from "~/data/queries/stages";
import { type Context, mayWork } from "~/operations/context";

/** The plan of a stage with its revisions, and what is proposed where there is none. */
export async function loadStagePlan(asked: Context, stageId: string) {
  const stage = isId(stageId) ? await stageById(asked.pool, stageId) : null;
  if (!stage) throw data({ code: "no-such-stage" }, { status: 404 });
  return loadPlan(asked, stage.machineId, stage);
}

export const loadMachinePlan = (asked: Context, machineId: string) => loadPlan(asked, machineId, null);

async function loadPlan({ pool, person }: Context, machineId: string, stage: Stage | null) {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: stage ? "no-such-stage" : "no-such-machine" }, { status: 404 });
  const revisions = await proofPlans(pool, machine.id, stage?.id ?? null);
  const element = stage?.geometry.element;
  const gears = (element && gearNames(element)) ?? [];
  const screw = stage?.adjuster.adjuster;
  const onlyPushes = screw?.type === "screw" && screw.oneWay && !screw.springReturn;
  return {
    machine: { id: machine.id, name: machine.name },
    stage: stage && { id: stage.id, name: stage.name },
    gears,
    mayWork: mayWork.includes(person.role),
    plan: revisions[0] ?? null,
    revisions: revisions.map(({ id, revision, runs, madeByName, madeAt }) => ({
      id,
      revision,
      runs: runs.length,
      madeByName,
      madeAt,
    })),
    proposed: proposePlan({ gears, onlyPushes, hasEnds: element ? frameOf(element).ends === true : false }, v7),
  };
}
