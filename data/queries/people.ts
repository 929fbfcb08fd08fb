import { type Database, maybeOne, none, one, type Row, sql } from "../postgres";

export type Role = "technician" | "lead" | "reader";
export type Person = { id: string; workshopId: string; name: string; role: Role; timeZone: string };

const toPerson = (row: Row): Person => ({
  id: row.id,
  workshopId: row.workshop_id,
  name: row.name,
  role: row.role,
  timeZone: row.time_zone,
});

export const personById = (db: Database, id: string) =>
  maybeOne(
    db,
    sql`select p.*, w.time_zone from person p join workshop w on w.id = p.workshop_id where p.id = ${id}`,
    toPerson,
  );

export const personForSignIn = (db: Database, signIn: string) =>
  maybeOne(
    db,
    sql`select p.*, w.time_zone from person p join workshop w on w.id = p.workshop_id where lower(p.sign_in) = lower(${signIn})`,
    (row) => ({ person: toPerson(row), passwordHash: row.password_hash as string }),
  );

export const countWorkshops = (db: Database) =>
  one(db, sql`select count(*) as n from workshop`, (row) => row.n as number);

export const insertWorkshop = (db: Database, w: { id: string; name: string; timeZone: string; at: Date }) =>
  none(db, sql`insert into workshop values (${w.id}, ${w.name}, ${w.timeZone}, ${w.at})`);

export const insertPerson = (
  db: Database,
  p: { id: string; workshopId: string; name: string; signIn: string; passwordHash: string; role: Role; at: Date },
) =>
  none(
    db,
    sql`insert into person values (${p.id}, ${p.workshopId}, ${p.name}, ${p.signIn}, ${p.passwordHash}, ${p.role}, ${p.at})`,
  );
