import { type Database, many, maybeOne, sql } from "../postgres";

/** What is kept of one person beside what they did: their account, sessions and drafts. Never a hash of a secret. */
export const accountData = (db: Database, workshopId: string, id: string) =>
  maybeOne(
    db,
    sql`select id, name, signed_as, sign_in, role, created_at, left_at, struck_at, preferences, pin_hash is not null as has_pin,
          (select coalesce(jsonb_agg(jsonb_build_object('beganAt', began_at, 'lastUsedAt', seen_at, 'browser', device)), '[]')
           from session where person_id = person.id) as sessions,
          (select coalesce(jsonb_agg(jsonb_build_object('jobId', job_id, 'savedAt', saved_at, 'body', body)), '[]')
           from draft where person_id = person.id) as drafts,
          (select coalesce(jsonb_agg(jsonb_build_object('what', what, 'at', at)), '[]')
           from account_event where person_id = person.id) as events,
          (select coalesce(jsonb_agg(jsonb_build_object('lesson', l.lesson, 'began', l.began_at, 'ended', l.ended_at, 'outcome', l.outcome)), '[]')
           from practice_lesson l join person self on self.id = l.person_id where self.practises_for = person.id) as practice,
          (select jsonb_build_object('mine', mine, 'madeAt', made_at, 'lastFetchedAt', used_at) from calendar_key where person_id = person.id) as calendar
        from person where id = ${id} and workshop_id = ${workshopId}`,
    (row) => ({
      id: row.id as string,
      name: row.name as string,
      signedAs: row.signed_as as string | null,
      signIn: row.sign_in as string,
      role: row.role as string,
      createdAt: row.created_at.toISOString() as string,
      leftAt: (row.left_at?.toISOString() ?? null) as string | null,
      struckAt: (row.struck_at?.toISOString() ?? null) as string | null,
      hasPin: row.has_pin as boolean,
      preferences: row.preferences as object,
      sessions: row.sessions as object[],
      drafts: row.drafts as object[],
      events: row.events as object[],
      practice: row.practice as object[],
      calendar: row.calendar as object | null,
    }),
  );

export type PersonEntry = { id: string; machineId: string; seq: number; kind: string; madeAt: string; body: unknown };

/** What one person entered, by machine and number, after the one given. */
export const entriesOfPerson = (
  db: Database,
  personId: string,
  after: { machineId: string; seq: number } | null,
  size: number,
) =>
  many(
    db,
    sql`select id, machine_id, seq, kind, made_at, body from entry where made_by = ${personId}
          and (${after?.machineId ?? null}::uuid is null or (machine_id, seq) > (${after?.machineId ?? null}::uuid, ${after?.seq ?? null}::bigint))
        order by machine_id, seq limit ${size}`,
    (row): PersonEntry => ({
      id: row.id,
      machineId: row.machine_id,
      seq: row.seq,
      kind: row.kind,
      madeAt: row.made_at.toISOString(),
      body: row.body,
    }),
  );
