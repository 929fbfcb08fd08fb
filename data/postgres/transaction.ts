import type { Database, Pool } from "./pool";

/** Runs `work` in one transaction: all of it is kept or nothing. A connection that broke is not given back. */
export async function transaction<T>(pool: Pool, work: (db: Database) => Promise<T>): Promise<T> {
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
