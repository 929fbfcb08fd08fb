import type { ProofPlan } from "../../core/proving";
import { proofPlanRevision } from "../../core/proving/schema";
import { type Database, many, none, type Row, sql, storedOnce } from "../postgres";

export type KeptPlan = ProofPlan & { madeByName: string; madeAt: string };

const readPlan = storedOnce(proofPlanRevision, "proof plan");

/** A plan as it lies in its row; also as a row of its own inside of another one. */
export const toPlan = (row: Row): ProofPlan =>
  readPlan(row.id, {
    ...row.plan,
    id: row.id,
    machineId: row.machine_id,
    stageId: row.stage_id,
    revision: row.revision,
  });

/** Revisions of the plan of a stage, or of the machine itself where there is none, newest first. */
export const proofPlans = (db: Database, machineId: string, stageId: string | null) =>
  many(
    db,
    sql`select r.*, p.name as made_by_name from proof_plan_revision r join person p on p.id = r.made_by
        where r.machine_id = ${machineId} and r.stage_id is not distinct from ${stageId}
        order by r.revision desc limit 40`,
    (row): KeptPlan => ({ ...toPlan(row), madeByName: row.made_by_name, madeAt: row.made_at.toISOString() }),
  );

export const insertProofPlan = (
  db: Database,
  { id, machineId, stageId, revision, madeBy, at, ...plan }: ProofPlan & { madeBy: string; at: Date },
) =>
  none(
    db,
    sql`insert into proof_plan_revision (id, machine_id, stage_id, revision, plan, made_by, made_at)
        values (${id}, ${machineId}, ${stageId}, ${revision}, ${JSON.stringify(plan)}, ${madeBy}, ${at})`,
  );
