import { type Database, maybeOne, none, sql } from "../postgres";

export const insertSession = (db: Database, id: string, data: object, personId: string | null, expires: Date) =>
  none(
    db,
    sql`insert into session (id, person_id, data, expires_at) values (${id}, ${personId}, ${JSON.stringify(data)}, ${expires})`,
  );

export const sessionData = (db: Database, id: string, now: Date) =>
  maybeOne(
    db,
    sql`select data from session where id = ${id} and expires_at > ${now}`,
    (row) => row.data as Record<string, unknown>,
  );

export const updateSession = (db: Database, id: string, data: object, personId: string | null, expires: Date) =>
  none(
    db,
    sql`update session set data = ${JSON.stringify(data)}, person_id = ${personId}, expires_at = ${expires} where id = ${id}`,
  );

export const deleteSession = (db: Database, id: string) => none(db, sql`delete from session where id = ${id}`);

export const deleteExpiredSessions = (db: Database, now: Date) =>
  none(db, sql`delete from session where expires_at <= ${now}`);
