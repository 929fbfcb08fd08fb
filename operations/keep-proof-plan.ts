import * as z from "zod";
import type { Entry } from "../core/logbook";
import type { PlanRun, ProofPlanFields } from "../core/proving";
import { proofPlanFields } from "../core/proving/schema";
import { accept, type Result, refuse } from "../core/quantity";
import type { Stage } from "../core/records";
import { gearNames } from "../core/stages";
import { transaction } from "../data/postgres";
import { lockHead, machineById } from "../data/queries/machines";
import { insertProofPlan, proofPlans } from "../data/queries/proof-plans";
import { stageById } from "../data/queries/stages";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, text } from "./input";

const keepInput = z.object({
  entryId: id,
  revisionId: id,
  machineId: id,
  /** null: of the machine as a whole. */
  stageId: id.nullable().default(null),
  /** 0: the first. */
  seenRevision: z.int().gte(0),
  plan: proofPlanFields,
  /** Why, or from what. */
  text: text(400).trim().default(""),
});

/** What proves a stage or a machine, as a new revision. */
export async function keepProofPlan({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(keepInput, input);
  if (!checked.ok) return checked;
  const { entryId, revisionId, machineId, stageId, seenRevision, plan, text: why } = checked.value;
  const submission = submissionOf(person.id, checked.value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machine = await machineById(db, person.workshopId, machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    const head = await lockHead(db, machine.id);
    const there = await alreadyThere(db, entryId, submission);
    if (there) return there;
    const stage = stageId === null ? null : await stageById(db, stageId);
    if (stageId !== null && stage?.machineId !== machine.id) return refuse("no-such-stage", ["stageId"]);
    const fits = checkPlan(plan, stage);
    if (!fits.ok) return fits;
    const before = (await proofPlans(db, machine.id, stageId))[0]?.revision ?? 0;
    if (before !== seenRevision) return refuse("revised-meanwhile", ["plan", "runs"]);
    const revision = before + 1;
    await insertProofPlan(db, { ...plan, id: revisionId, machineId, stageId, revision, madeBy: person.id, at: now });
    return accept(
      await appendEntry(db, head, {
        id: entryId,
        machineId,
        stageId,
        kind: "change",
        body: {
          what: "proof-plan",
          text: [`${plan.runs.length} ${plan.runs.length === 1 ? "run" : "runs"}, revision ${revision}`, why]
            .filter(Boolean)
            .join(". "),
          warnings: [],
        },
        madeBy: person.id,
        submission,
        madeAt: now.toISOString(),
        recordedAt: now,
      }),
    );
  });
}

/** Whether a plan can be kept: every run once, in a gear that there is, and limits of runs that are in it. */
export function checkPlan({ runs, limits }: ProofPlanFields, stage: Stage | null): Result<null> {
  const gears = stage ? gearNames(stage.geometry.element) : null;
  for (const [i, run] of runs.entries()) {
    if (run.gear !== null && !gears?.includes(run.gear))
      return refuse("no-such-gear", ["plan", "runs", i, "gear"], { gear: run.gear });
    if (runs.slice(0, i).some((other) => other.id === run.id || sameRun(other, run)))
      return refuse("run-twice", ["plan", "runs", i, "name"]);
  }
  const stray = limits.findIndex((limit) => limit.run !== null && !runs.some((run) => run.id === limit.run));
  return stray < 0 ? accept(null) : refuse("no-such-run", ["plan", "limits", stray, "run"]);
}

const sameRun = (a: PlanRun, b: PlanRun): boolean =>
  JSON.stringify({ ...a, id: "", required: true, minutes: null }) ===
  JSON.stringify({ ...b, id: "", required: true, minutes: null });
