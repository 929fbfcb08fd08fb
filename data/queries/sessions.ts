import type { Person } from "../../core/records";
import { type Database, many, maybeOne, none, one, sql } from "../postgres";
import { toPerson } from "./people";

/** How somebody signed in: a PIN opens less. */
export type How = "password" | "pin";
export type KeptSession = { id: string; beganAt: string; seenAt: string; device: string };

/** A session with whose it is, as a request finds it. */
export type OpenSession = {
  id: string;
  person: Person;
  how: How;
  hasPin: boolean;
  seenAt: Date;
  expires: Date;
  /** Several people use the browser. */
  shared: boolean;
};

export const insertSession = (
  db: Database,
  s: { id: string; personId: string; how: How; expires: Date; now: Date; device: string; deviceId: Buffer | null },
) =>
  none(
    db,
    sql`insert into session (id, person_id, data, expires_at, began_at, seen_at, device, how, device_id)
        values (${s.id}, ${s.personId}, '{}', ${s.expires}, ${s.now}, ${s.now}, ${s.device}, ${s.how}, ${s.deviceId})`,
  );

/** Who has left has no session any more. */
export const openSession = (db: Database, id: string, now: Date) =>
  maybeOne(
    db,
    sql`select s.id as session_id, s.how, s.seen_at, s.expires_at, coalesce(d.shared, false) as shared, p.*, w.time_zone, w.sign_asks, w.lift_limit_kg, w.read_first,
          case when own.id is null then p.pin_hash else own.pin_hash end as pin_hash
        from session s join person p on p.id = s.person_id join workshop w on w.id = p.workshop_id
          left join device d on d.id = s.device_id left join person own on own.id = p.practises_for
        where s.id = ${id} and s.expires_at > ${now} and p.left_at is null and own.left_at is null`,
    (row): OpenSession => ({
      id: row.session_id,
      person: toPerson(row),
      how: row.how,
      hasPin: row.pin_hash !== null,
      seenAt: row.seen_at,
      expires: row.expires_at,
      shared: row.shared,
    }),
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
    sql`with gone as (delete from session where person_id in (select id from person where id = ${personId} or practises_for = ${personId})
            and id is distinct from ${except} returning 1)
        select count(*) as n from gone`,
    (row) => row.n as number,
  );

/** The session goes on as somebody else's: their own other self. */
export const setSessionPerson = (db: Database, id: string, personId: string) =>
  none(db, sql`update session set person_id = ${personId} where id = ${id}`);

export const deleteExpiredSessions = (db: Database, now: Date) =>
  none(db, sql`delete from session where expires_at <= ${now}`);
