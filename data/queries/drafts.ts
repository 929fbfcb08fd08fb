import { type Database, many, none, sql } from "../postgres";

export type StoredDraft = { id: string; stageId: string; body: unknown; savedAt: string };

/** What one person is typing on a job, newest first. */
export const draftsOf = (db: Database, jobId: string, personId: string) =>
  many(
    db,
    sql`select id, stage_id, body, saved_at from draft where job_id = ${jobId} and person_id = ${personId}
        order by saved_at desc limit 10`,
    (row): StoredDraft => ({ id: row.id, stageId: row.stage_id, body: row.body, savedAt: row.saved_at.toISOString() }),
  );

/** Keeps a draft; one that belongs to somebody else, or is newer already, stays as it is. */
export const upsertDraft = (
  db: Database,
  d: { id: string; jobId: string; stageId: string; personId: string; body: unknown; at: Date },
) =>
  none(
    db,
    sql`insert into draft (id, job_id, stage_id, person_id, body, saved_at)
        values (${d.id}, ${d.jobId}, ${d.stageId}, ${d.personId}, ${JSON.stringify(d.body)}, ${d.at})
        on conflict (id) do update set body = excluded.body, saved_at = excluded.saved_at
        where draft.person_id = excluded.person_id and draft.job_id = excluded.job_id and draft.saved_at <= excluded.saved_at`,
  );
