/**
 * Puts a backup into the empty database in DATABASE_URL (or, without it, into that which ./start keeps here): all of it or nothing. One that
 * holds something already is left alone. `npm run restore -- FILE`
 */
import { existsSync } from "node:fs";
import { maybeOne, sql } from "../data/postgres";
import { restore } from "./lib/backup";
import { openCluster } from "./lib/cluster";
import { databaseName, ensureDatabase, homeFolder } from "./lib/database";
import { withDatabaseHere } from "./lib/with-database";

const [file] = process.argv.slice(2);
if (!file || !existsSync(file)) {
  console.error(file ? `There is no file ${file}.` : "Which? npm run restore -- FILE");
  process.exit(2);
}
if (!process.env.DATABASE_URL) {
  const cluster = await openCluster(`${homeFolder}/cluster`);
  const started = !cluster.isRunning();
  if (started) await cluster.start();
  await ensureDatabase(cluster, databaseName).finally(() => (started ? cluster.stop() : undefined));
}
await withDatabaseHere(async (pool, url) => {
  const taken = await maybeOne(pool, sql`select 1 from pg_tables where schemaname = 'public' limit 1`, () => true);
  if (taken) {
    console.error(
      "There is something in that database already. Restore into an empty one, and then choose between the two.",
    );
    process.exitCode = 1;
    return;
  }
  await restore(url, file);
  console.log("Restored. ./start goes on with it.");
});
