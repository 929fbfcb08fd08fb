import { type Database, none, one, sql } from "../postgres";

/** Until the transaction ends nobody else counts or notes under this key. */
export const lockAttempts = (db: Database, key: string) =>
  none(db, sql`select pg_advisory_xact_lock(hashtextextended(${key}, 0))`);

export const attemptsSince = (db: Database, key: string, since: Date) =>
  one(db, sql`select count(*) as n from failed_attempt where key = ${key} and at > ${since}`, (row) => row.n as number);

export const noteAttempt = (db: Database, key: string, at: Date) =>
  none(db, sql`insert into failed_attempt (key, at) values (${key}, ${at})`);

export const forgetAttempts = (db: Database, keys: readonly string[]) =>
  none(db, sql`delete from failed_attempt where key = any(${keys})`);

export const forgetOldAttempts = (db: Database, before: Date) =>
  none(db, sql`delete from failed_attempt where at < ${before}`);
