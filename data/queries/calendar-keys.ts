import { type Database, maybeOne, none, type Row, sql } from "../postgres";

/** Of the key by which a calendar program fetches somebody's plan: never the key itself. */
export type CalendarKey = { mine: boolean; madeAt: string; usedAt: string | null };

const toKey = (row: Row): CalendarKey => ({
  mine: row.mine,
  madeAt: row.made_at.toISOString(),
  usedAt: row.used_at?.toISOString() ?? null,
});

export const calendarKeyOf = (db: Database, personId: string) =>
  maybeOne(db, sql`select mine, made_at, used_at from calendar_key where person_id = ${personId}`, toKey);

/** The key before it opens nothing any more. */
export const keepCalendarKey = (db: Database, personId: string, hash: Buffer, mine: boolean, at: Date) =>
  none(
    db,
    sql`insert into calendar_key (person_id, key_hash, mine, made_at) values (${personId}, ${hash}, ${mine}, ${at})
        on conflict (person_id) do update set key_hash = excluded.key_hash, mine = excluded.mine, made_at = excluded.made_at, used_at = null`,
  );

export const dropCalendarKey = (db: Database, personId: string) =>
  none(db, sql`delete from calendar_key where person_id = ${personId}`);

/** Whose a key is, as long as they are here. */
export const personByCalendarKey = (db: Database, hash: Buffer) =>
  maybeOne(
    db,
    sql`select k.person_id, k.mine from calendar_key k join person p on p.id = k.person_id
        where k.key_hash = ${hash} and p.left_at is null`,
    (row) => ({ personId: row.person_id as string, mine: row.mine as boolean }),
  );

export const calendarKeyUsed = (db: Database, personId: string, at: Date) =>
  none(db, sql`update calendar_key set used_at = ${at} where person_id = ${personId}`);
