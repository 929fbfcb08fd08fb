import { type Database, many, maybeOne, none, one, sql } from "../postgres";

export type KeptSession = { id: string; beganAt: string; seenAt: string; device: string };

export const insertSession = (
  db: Database,
  s: { id: string; data: object; personId: string | null; expires: Date; now: Date; device: string },
) =>
  none(
    db,
    sql`insert into session (id, person_id, data, expires_at, began_at, seen_at, device)
        values (${s.id}, ${s.personId}, ${JSON.stringify(s.data)}, ${s.expires}, ${s.now}, ${s.now}, ${s.device})`,
  );

export const sessionData = (db: Database, id: string, now: Date) =>
  maybeOne(db, sql`select data, seen_at from session where id = ${id} and expires_at > ${now}`, (row) => ({
    data: row.data as Record<string, unknown>,
    seenAt: row.seen_at as Date,
  }));

export const updateSession = (db: Database, id: string, data: object, personId: string | null, expires: Date) =>
  none(
    db,
    sql`update session set data = ${JSON.stringify(data)}, person_id = ${personId}, expires_at = ${expires} where id = ${id}`,
  );

export const sessionSeen = (db: Database, id: string, now: Date) =>
  none(db, sql`update session set seen_at = ${now} where id = ${id}`);

export const deleteSession = (db: Database, id: string) => none(db, sql`delete from session where id = ${id}`);

export const sessionsOf = (db: Database, personId: string, now: Date) =>
  many(
    db,
    sql`select id, began_at, seen_at, device from session where person_id = ${personId} and expires_at > ${now}
        order by seen_at desc limit 100`,
    (row): KeptSession => ({
      id: row.id,
      beganAt: row.began_at.toISOString(),
      seenAt: row.seen_at.toISOString(),
      device: row.device,
    }),
  );

/** All of a person's sessions but one; how many there were. */
export const deleteSessionsOf = (db: Database, personId: string, except: string | null) =>
  one(
    db,
    sql`with gone as (delete from session where person_id = ${personId} and id is distinct from ${except} returning 1)
        select count(*) as n from gone`,
    (row) => row.n as number,
  );

export const deleteExpiredSessions = (db: Database, now: Date) =>
  none(db, sql`delete from session where expires_at <= ${now}`);
