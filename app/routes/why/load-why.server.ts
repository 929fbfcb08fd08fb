import { data } from "react-router";
import type { LineKnown } from "~/app/features/symptoms/line-known";
import { isId } from "~/app/session/is-id";
import { runsThatDiffer, symptomsOf } from "~/core/logbook";
import { runsOfMachine, symptomWork } from "~/data/queries/entries";
import { jobById } from "~/data/queries/jobs";
import { machineById } from "~/data/queries/machines";
import { ownRules } from "~/data/queries/own-rules";
import { someStagesOfMachine } from "~/data/queries/stages";
import { type Context, mayWork } from "~/operations/context";
import { machineLine } from "~/operations/machine-line";

const mostStages = 120;
const lookedAt = 300;
const runsLookedAt = 120;

/** What a machine did and does that it should not, and what is known of its line. */
export async function loadWhy({ pool, person, now }: Context, machineId: string, search: URLSearchParams) {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: "no-such-machine" }, { status: 404 });
  const asked = search.get("job");
  const [stages, work, rules, runs, job] = await Promise.all([
    someStagesOfMachine(pool, machine.id, 0, mostStages),
    symptomWork(pool, machine.id, lookedAt),
    ownRules(pool, person.workshopId),
    runsOfMachine(pool, machine.id, runsLookedAt),
    asked && isId(asked) ? jobById(pool, person.workshopId, asked) : null,
  ]);
  const kept = (await machineLine(pool, machine.id, stages))?.kept ?? null;
  const line: LineKnown = {
    kept,
    stages: stages.map(({ id, name, geometry }) => ({ id, name, element: geometry.element })),
    rules,
  };
  const symptoms = symptomsOf(work);
  const of = symptoms.find(({ symptom }) => symptom.id === search.get("of")) ?? null;
  return {
    machine: { id: machine.id, name: machine.name },
    line,
    symptoms,
    runs: runsThatDiffer(runs),
    stage: stages.find(({ id }) => id === search.get("stage"))?.id ?? null,
    of,
    jobId: job && job.machineId === machine.id && !job.signedEntry ? job.id : null,
    mayWork: mayWork.includes(person.role) && machine.retiredAt === null,
    now: now.toISOString(),
  };
}
