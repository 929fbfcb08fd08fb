import type { EntryKind } from "../../core/logbook";
import type { Job } from "../../core/records";
import { containing, type Database, many, maybeOne, none, type Row, sql } from "../postgres";

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

/** Where an open job stands: the last thing that belongs to a station and whose it was, and whether the power is off. */
export type JobNow = {
  last: { kind: EntryKind; phase: string | null; state: string | null; by: string } | null;
  power: { kind: "isolated" | "live"; lock: string | null } | null;
};
export type OpenJob = Job & { openedByName: string; now: JobNow };

/** What no correction voids. */
const counts = sql`not exists (
    select 1 from entry k where k.names_entry = e.id and k.kind = 'correction' and (k.body->>'voids')::boolean)`;

const jobNow = sql`
  (select json_build_object('kind', e.kind, 'phase', e.body->>'phase', 'state', e.body->>'state', 'by', coalesce(e.made_by_name, q.name))
   from entry e join person q on q.id = e.made_by
   where e.job_id = j.id and e.kind in ('job-opened', 'isolated', 'live', 'round', 'feel', 'move', 'clamp', 'proof', 'part-off', 'part-on', 'part-screws', 'turned') and ${counts}
   order by e.seq desc limit 1) as last,
  (select json_build_object('kind', e.kind, 'lock', e.body->>'lock') from entry e
   where e.job_id = j.id and e.kind in ('isolated', 'live') order by e.seq desc limit 1) as power`;

const toNow = (row: Row): JobNow => ({ last: row.last ?? null, power: row.power ?? null });

/** Jobs not yet signed, newest first. */
export const openJobs = (db: Database, machineIds: readonly string[]) =>
  many(
    db,
    sql`select j.*, p.name as opened_by_name,
          array(select stage_id from job_stage where job_id = j.id order by position) as stage_ids,
          ${jobNow}
        from job j join person p on p.id = j.opened_by
        where j.machine_id = any(${machineIds}) and j.signed_entry is null order by j.opened_at desc`,
    (row): OpenJob => ({ ...toJob(row), openedByName: row.opened_by_name, now: toNow(row) }),
  );

export type ListedJob = OpenJob & {
  machineName: string;
  stageNames: string[];
  signedAt: string | null;
  signedByName: string | null;
};

const toListed = (row: Row): ListedJob => ({
  ...toJob(row),
  openedByName: row.opened_by_name,
  now: toNow(row),
  machineName: row.machine_name,
  stageNames: row.stage_names,
  signedAt: row.signed_at?.toISOString() ?? null,
  signedByName: row.signed_by_name ?? null,
});

/** Jobs of the workshop not yet signed, newest first. */
export const openJobsOfWorkshop = (db: Database, workshopId: string, size: number) =>
  many(
    db,
    sql`select j.*, p.name as opened_by_name, m.name as machine_name,
          array(select stage_id from job_stage where job_id = j.id order by position) as stage_ids,
          array(select s.name from job_stage js join stage s on s.id = js.stage_id where js.job_id = j.id order by js.position) as stage_names,
          ${jobNow}
        from job j join machine m on m.id = j.machine_id join person p on p.id = j.opened_by
        where m.workshop_id = ${workshopId} and j.signed_entry is null order by j.opened_at desc limit ${size}`,
    toListed,
  );

/** A page of signed jobs of the workshop, newest first, before the one given. */
export const signedJobs = (
  db: Database,
  workshopId: string,
  before: { at: string; id: string } | null,
  words: string,
  size: number,
) => {
  const like = containing(words);
  return many(
    db,
    sql`select j.*, p.name as opened_by_name, m.name as machine_name, e.made_at as signed_at, coalesce(e.made_by_name, q.signed_as, q.name) as signed_by_name,
          array(select stage_id from job_stage where job_id = j.id order by position) as stage_ids,
          array(select s.name from job_stage js join stage s on s.id = js.stage_id where js.job_id = j.id order by js.position) as stage_names
        from job j join machine m on m.id = j.machine_id join person p on p.id = j.opened_by
        join entry e on e.id = j.signed_entry join person q on q.id = e.made_by
        where m.workshop_id = ${workshopId} and j.signed_entry is not null
          and (${before?.at ?? null}::timestamptz is null
            or (j.opened_at, j.id) < (${before?.at ?? null}::timestamptz, ${before?.id ?? null}::uuid))
          and (${words} = '' or m.name ilike ${like} or m.tag ilike ${like} or j.reason ilike ${like})
        order by j.opened_at desc, j.id desc limit ${size}`,
    toListed,
  );
};

export type DueStage = {
  stageId: string;
  stageName: string;
  machineId: string;
  machineName: string;
  date: string;
  plan: string;
};

/** Stages that are to be looked at, the earliest date first. */
export const dueStages = (db: Database, workshopId: string, size: number) =>
  many(
    db,
    sql`select t.stage_id, s.name as stage_name, m.id as machine_id, m.name as machine_name, t.next_date::text as date, t.plan
        from stage_standing t join stage s on s.id = t.stage_id join machine m on m.id = t.machine_id
        where m.workshop_id = ${workshopId} and m.retired_at is null and t.next_date is not null
        order by t.next_date, m.name, s.position limit ${size}`,
    (row): DueStage => ({
      stageId: row.stage_id,
      stageName: row.stage_name,
      machineId: row.machine_id,
      machineName: row.machine_name,
      date: row.date,
      plan: row.plan,
    }),
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
    sql`insert into job_stage (job_id, stage_id, position) select ${job.id}, stage_id, position
        from unnest(${job.stageIds}::uuid[]) with ordinality as s(stage_id, position)`,
  );
}

export const markSigned = (db: Database, jobId: string, entryId: string) =>
  none(db, sql`update job set signed_entry = ${entryId} where id = ${jobId}`);

/** Jobs of some machines that one may be held against, newest first. */
export const jobsBeside = (db: Database, machineIds: readonly string[], exceptJob: string, size: number) =>
  many(
    db,
    sql`select j.id, j.reason, j.opened_at, m.name as machine_name,
          array(select s.name from job_stage js join stage s on s.id = js.stage_id where js.job_id = j.id order by js.position) as stage_names
        from job j join machine m on m.id = j.machine_id
        where j.machine_id = any(${machineIds}) and j.id <> ${exceptJob} order by j.opened_at desc limit ${size}`,
    (row) => ({
      id: row.id as string,
      reason: row.reason as string,
      openedAt: row.opened_at.toISOString() as string,
      machineName: row.machine_name as string,
      stageNames: row.stage_names as string[],
    }),
  );
