import { type Database, many, maybeOne, none, one, type Row, sql } from "../postgres";

import type { Units } from "./machines";

export type Role = "technician" | "lead" | "reader";
export type Person = {
  id: string;
  workshopId: string;
  name: string;
  role: Role;
  timeZone: string;
  preferences: Preferences;
};

/** How somebody wants to be shown things; what is left out is as usual. */
export type Preferences = {
  decimal?: "point" | "comma";
  units?: Units | "machine";
  school?: "centre-of-band" | "tight-spot";
  room?: "bright" | "dark";
};

/** As the list of accounts shows somebody. */
export type Account = {
  id: string;
  name: string;
  signIn: string;
  role: Role;
  hasPin: boolean;
  createdAt: string;
  /** Null: still here. */
  leftAt: string | null;
};

const toPerson = (row: Row): Person => ({
  id: row.id,
  workshopId: row.workshop_id,
  name: row.name,
  role: row.role,
  timeZone: row.time_zone,
  preferences: row.preferences,
});

const toAccount = (row: Row): Account => ({
  id: row.id,
  name: row.name,
  signIn: row.sign_in,
  role: row.role,
  hasPin: row.has_pin,
  createdAt: row.created_at.toISOString(),
  leftAt: row.left_at?.toISOString() ?? null,
});

const accounts = sql`select id, name, sign_in, role, pin_hash is not null as has_pin, created_at, left_at from person`;
const people = sql`select p.*, w.time_zone from person p join workshop w on w.id = p.workshop_id`;

/** Who has left has no way in any more. */
/** What an account is called now. */
export const nameOfPerson = (db: Database, id: string) =>
  one(db, sql`select name from person where id = ${id}`, (row) => row.name as string);

export const personById = (db: Database, id: string) =>
  maybeOne(db, sql`${people} where p.id = ${id} and p.left_at is null`, toPerson);

type Secrets = { person: Person; passwordHash: string; pinHash: string | null };
const withSecrets = (row: Row): Secrets => ({
  person: toPerson(row),
  passwordHash: row.password_hash,
  pinHash: row.pin_hash,
});

export const personForSignIn = (db: Database, signIn: string) =>
  maybeOne(db, sql`${people} where lower(p.sign_in) = lower(${signIn}) and p.left_at is null`, withSecrets);

export const secretsOf = (db: Database, workshopId: string, id: string) =>
  maybeOne(db, sql`${people} where p.id = ${id} and p.workshop_id = ${workshopId} and p.left_at is null`, withSecrets);

export const accountsOfWorkshop = (db: Database, workshopId: string) =>
  many(db, sql`${accounts} where workshop_id = ${workshopId} order by left_at is not null, name, id`, toAccount);

/** Locked until the transaction ends, so that two leads cannot both be the last one to go. */
export const lockAccounts = (db: Database, workshopId: string) =>
  many(db, sql`${accounts} where workshop_id = ${workshopId} order by id for update`, toAccount);

/** Those who can take over a tablet by their PIN. */
export const peopleWithPin = (db: Database, workshopId: string) =>
  many(
    db,
    sql`select id, name from person where workshop_id = ${workshopId} and pin_hash is not null and left_at is null order by name`,
    (row) => ({ id: row.id as string, name: row.name as string }),
  );

export const signInTaken = (db: Database, signIn: string, except: string) =>
  one(
    db,
    sql`select exists(select 1 from person where lower(sign_in) = lower(${signIn}) and id <> ${except}) as taken`,
    (row) => row.taken as boolean,
  );

export const countPeople = (db: Database) => one(db, sql`select count(*) as n from person`, (row) => row.n as number);

/** Until the transaction ends nobody else becomes the first one. */
export const lockPeople = (db: Database) => none(db, sql`lock table person in share row exclusive mode`);

export const insertWorkshop = (db: Database, w: { id: string; name: string; timeZone: string; at: Date }) =>
  none(db, sql`insert into workshop values (${w.id}, ${w.name}, ${w.timeZone}, ${w.at})`);

export const insertPerson = (
  db: Database,
  p: { id: string; workshopId: string; name: string; signIn: string; passwordHash: string; role: Role; at: Date },
) =>
  none(
    db,
    sql`insert into person (id, workshop_id, name, sign_in, password_hash, role, created_at)
        values (${p.id}, ${p.workshopId}, ${p.name}, ${p.signIn}, ${p.passwordHash}, ${p.role}, ${p.at})`,
  );

export const updateAccount = (db: Database, id: string, a: { name: string; signIn: string; role: Role }) =>
  none(db, sql`update person set name = ${a.name}, sign_in = ${a.signIn}, role = ${a.role} where id = ${id}`);

export const setLeft = (db: Database, id: string, at: Date | null) =>
  none(db, sql`update person set left_at = ${at} where id = ${id}`);

export const setPassword = (db: Database, id: string, hash: string) =>
  none(db, sql`update person set password_hash = ${hash} where id = ${id}`);

export const setPinHash = (db: Database, id: string, hash: string | null) =>
  none(db, sql`update person set pin_hash = ${hash} where id = ${id}`);

export const setPreferences = (db: Database, id: string, preferences: Preferences) =>
  none(db, sql`update person set preferences = ${JSON.stringify(preferences)} where id = ${id}`);
