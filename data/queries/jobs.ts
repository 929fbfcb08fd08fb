import { type Database, many, maybeOne, none, type Row, sql } from "../postgres";

export type Job = {
  id: string;
  machineId: string;
  stageIds: string[];
  reason: string;
  openedBy: string;
  openedAt: string;
  signedEntry: string | null;
};

const toJob = (row: Row): Job => ({
  id: row.id,
  machineId: row.machine_id,
  stageIds: row.stage_ids,
  reason: row.reason,
  openedBy: row.opened_by,
  openedAt: row.opened_at.toISOString(),
  signedEntry: row.signed_entry,
});

export const jobById = (db: Database, workshopId: string, id: string) =>
  maybeOne(
    db,
    sql`select j.*, array(select stage_id from job_stage where job_id = j.id order by position) as stage_ids
        from job j join machine m on m.id = j.machine_id where j.id = ${id} and m.workshop_id = ${workshopId}`,
    toJob,
  );

export type OpenJob = Job & { openedByName: string; lastKind: string | null };

/** Jobs not yet signed, newest first, with the kind of the last thing done. */
export const openJobs = (db: Database, machineIds: readonly string[]) =>
  many(
    db,
    sql`select j.*, p.name as opened_by_name,
          array(select stage_id from job_stage where job_id = j.id order by position) as stage_ids,
          (select kind from entry where job_id = j.id order by seq desc limit 1) as last_kind
        from job j join person p on p.id = j.opened_by
        where j.machine_id = any(${machineIds}) and j.signed_entry is null order by j.opened_at desc`,
    (row): OpenJob => ({ ...toJob(row), openedByName: row.opened_by_name, lastKind: row.last_kind }),
  );

export async function insertJob(
  db: Database,
  job: Omit<Job, "signedEntry" | "openedAt"> & { openedAt: Date },
): Promise<void> {
  await none(
    db,
    sql`insert into job (id, machine_id, reason, opened_by, opened_at)
        values (${job.id}, ${job.machineId}, ${job.reason}, ${job.openedBy}, ${job.openedAt})`,
  );
  await none(
    db,
    sql`insert into job_stage select ${job.id}, stage_id, position
        from unnest(${job.stageIds}::uuid[]) with ordinality as s(stage_id, position)`,
  );
}

export const markSigned = (db: Database, jobId: string, entryId: string) =>
  none(db, sql`update job set signed_entry = ${entryId} where id = ${jobId}`);
