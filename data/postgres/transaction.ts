import { type Database, type Pool, Within } from "./pool";

/** Runs `work` in one transaction: all of it is kept or nothing. A connection that broke is not given back. */
export async function transaction<T>(pool: Pool, work: (db: Database) => Promise<T>): Promise<T> {
  if (pool instanceof Within) return step(pool.db, work);
  const client = await pool.connect();
  let broken: Error | undefined;
  const onError = (error: Error) => {
    broken = error;
  };
  client.on("error", onError);
  try {
    await client.query("begin");
    const result = await work(client);
    await client.query("commit");
    return result;
  } catch (error) {
    await client.query("rollback").catch((failure: Error) => {
      broken = failure;
    });
    throw error;
  } finally {
    client.off("error", onError);
    client.release(broken);
  }
}

/** A transaction that is kept only if its result is such; otherwise all of it is taken back, and what came of it is told all the same. */
export async function transactionIf<T>(
  pool: Pool,
  keep: (result: T) => boolean,
  work: (db: Database) => Promise<T>,
): Promise<T> {
  try {
    return await transaction(pool, async (db) => {
      const result = await work(db);
      if (!keep(result)) throw new TakenBack(result);
      return result;
    });
  } catch (error) {
    if (error instanceof TakenBack) return error.result as T;
    throw error;
  }
}

class TakenBack extends Error {
  constructor(readonly result: unknown) {
    super("taken back");
  }
}

/** A transaction within another is a savepoint of it. */
async function step<T>(db: Database, work: (db: Database) => Promise<T>): Promise<T> {
  await db.query("savepoint step");
  try {
    const result = await work(db);
    await db.query("release savepoint step");
    return result;
  } catch (error) {
    await db.query("rollback to savepoint step");
    throw error;
  }
}

/** An open transaction in the place of a pool: what begins one in it becomes a part of it, kept only with the whole. */
export const within = (db: Database): Pool => new Within(db);
