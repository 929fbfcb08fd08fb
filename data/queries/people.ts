import type { Person, Preferences, Role } from "../../core/records";
import { preferencesSchema } from "../../core/records/person";
import { type Database, many, maybeOne, none, one, type Row, sql, stored } from "../postgres";

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
  struckAt: string | null;
};

export const toPerson = (row: Row): Person => ({
  id: row.id,
  workshopId: row.workshop_id,
  name: row.name,
  role: row.role,
  timeZone: row.time_zone,
  preferences: stored(preferencesSchema, row.preferences, `preferences of person ${row.id}`),
  signAsks: row.sign_asks,
  liftLimitKg: row.lift_limit_kg,
  readFirst: row.read_first,
  ...(row.practises_for && { practising: true as const }),
});

const toAccount = (row: Row): Account => ({
  id: row.id,
  name: row.name,
  signIn: row.sign_in,
  role: row.role,
  hasPin: row.has_pin,
  createdAt: row.created_at.toISOString(),
  leftAt: row.left_at?.toISOString() ?? null,
  struckAt: row.struck_at?.toISOString() ?? null,
});

const accounts = sql`select id, name, sign_in, role, pin_hash is not null as has_pin, created_at, left_at, struck_at from person`;
const people = sql`select p.*, w.time_zone, w.sign_asks, w.lift_limit_kg, w.read_first from person p join workshop w on w.id = p.workshop_id`;

/** What an account is called now. */
export const nameOfPerson = (db: Database, id: string) =>
  one(db, sql`select name from person where id = ${id}`, (row) => row.name as string);

/** Who has left has no way in any more. */
export const personById = (db: Database, id: string) =>
  maybeOne(db, sql`${people} where p.id = ${id} and p.left_at is null`, toPerson);

/** Who only practises shows who they are by the secrets of who they are. */
const peopleWithSecrets = sql`select p.*, w.time_zone, w.sign_asks, w.lift_limit_kg, w.read_first,
    coalesce(own.password_hash, p.password_hash) as password_hash, case when own.id is null then p.pin_hash else own.pin_hash end as pin_hash
  from person p join workshop w on w.id = p.workshop_id left join person own on own.id = p.practises_for`;

type Secrets = { person: Person; passwordHash: string; pinHash: string | null };
const withSecrets = (row: Row): Secrets => ({
  person: toPerson(row),
  passwordHash: row.password_hash,
  pinHash: row.pin_hash,
});

/** Nobody signs in as who only practises. */
export const personForSignIn = (db: Database, signIn: string) =>
  maybeOne(
    db,
    sql`${people} where lower(p.sign_in) = lower(${signIn}) and p.left_at is null and p.practises_for is null`,
    withSecrets,
  );

export const secretsOf = (db: Database, workshopId: string, id: string) =>
  maybeOne(
    db,
    sql`${peopleWithSecrets} where p.id = ${id} and p.workshop_id = ${workshopId} and p.left_at is null and own.left_at is null`,
    withSecrets,
  );

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
  none(
    db,
    sql`insert into workshop (id, name, time_zone, created_at) values (${w.id}, ${w.name}, ${w.timeZone}, ${w.at})`,
  );

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
  none(
    db,
    at
      ? sql`update person set left_at = ${at}, pin_hash = null, pin_wrong = 0 where id = ${id}`
      : sql`update person set left_at = null where id = ${id}`,
  );

export const setPassword = (db: Database, id: string, hash: string) =>
  none(db, sql`update person set password_hash = ${hash}, pin_wrong = 0 where id = ${id}`);

export const setPinHash = (db: Database, id: string, hash: string | null) =>
  none(db, sql`update person set pin_hash = ${hash}, pin_wrong = 0 where id = ${id}`);

/** Takes one of the tries that a PIN has; false where none is left. */
export const takePinTry = async (db: Database, id: string, most: number): Promise<boolean> =>
  (await maybeOne(
    db,
    sql`update person set pin_wrong = pin_wrong + 1
        where id = (select coalesce(practises_for, id) from person where id = ${id}) and pin_wrong < ${most} returning id`,
    () => true,
  )) ?? false;

export const clearPinTries = (db: Database, id: string) =>
  none(
    db,
    sql`update person set pin_wrong = 0
        where id = (select coalesce(practises_for, id) from person where id = ${id}) and pin_wrong > 0`,
  );

export const setHouseRules = (
  db: Database,
  workshopId: string,
  { signAsks, liftLimitKg, readFirst }: Pick<Person, "signAsks" | "liftLimitKg" | "readFirst">,
) =>
  none(
    db,
    sql`update workshop set sign_asks = ${signAsks}, lift_limit_kg = ${liftLimitKg}, read_first = ${readFirst} where id = ${workshopId}`,
  );

/** Takes a name off an account for good; what its owner signed keeps it. */
export const strikeName = (db: Database, id: string, name: string, signIn: string, at: Date) =>
  none(
    db,
    sql`update person set name = ${name}, sign_in = ${signIn} || case when practises_for is null then '' else ' practising' end, pin_hash = null, password_hash = '', preferences = '{}', struck_at = ${at}
        where id = ${id} or practises_for = ${id}`,
  );

export const insertAccountEvent = (
  db: Database,
  e: { id: string; personId: string; what: "password-reset" | "struck" | "exported"; madeBy: string | null; at: Date },
) =>
  none(
    db,
    sql`insert into account_event (id, person_id, what, made_by, at) values (${e.id}, ${e.personId}, ${e.what}, ${e.madeBy}, ${e.at})`,
  );

export const setPreferences = (db: Database, id: string, preferences: Preferences) =>
  none(db, sql`update person set preferences = ${JSON.stringify(preferences)} where id = ${id}`);
