import type { Database } from "./pool";
import type { Statement } from "./sql";

// biome-ignore lint/suspicious/noExplicitAny: a row is typed by the mapping beside its query
export type Row = Record<string, any>;

export async function many<T>(db: Database, statement: Statement, map: (row: Row) => T): Promise<T[]> {
  const result = await db.query(statement.text, [...statement.values]);
  return result.rows.map(map);
}

export async function maybeOne<T>(db: Database, statement: Statement, map: (row: Row) => T): Promise<T | null> {
  const rows = await many(db, statement, map);
  if (rows.length > 1) throw new Error(`${rows.length} rows where at most one was asked for`);
  return rows[0] ?? null;
}

export async function one<T>(db: Database, statement: Statement, map: (row: Row) => T): Promise<T> {
  const row = await maybeOne(db, statement, map);
  if (row === null) throw new Error("no row where one was asked for");
  return row;
}

export async function none(db: Database, statement: Statement): Promise<void> {
  await db.query(statement.text, [...statement.values]);
}
