import { openOwnerPool, type Pool } from "../../data/postgres";
import { openCluster } from "./cluster";
import { databaseName, homeFolder } from "./database";

/** The database in DATABASE_URL, or without it that of the cluster which ./start left here, started for as long as it is needed. */
export async function withDatabaseHere<T>(work: (pool: Pool, url: string) => Promise<T>): Promise<T> {
  const given = process.env.DATABASE_URL;
  const cluster = given ? null : await openCluster(`${homeFolder}/cluster`);
  const started = cluster !== null && !cluster.isRunning();
  if (started) await cluster.start();
  const url = given ?? cluster?.url(databaseName) ?? "";
  // Reading all of a large logbook takes as long as it takes.
  const pool = openOwnerPool(url);
  try {
    return await work(pool, url);
  } finally {
    await pool.end();
    if (started) await cluster.stop();
  }
}
