/**
 * Recomputes every machine's logbook in DATABASE_URL (or, without it, in the cluster that ./start left here), or those in the exported
 * files named, and names the first entry of each that does not fit. Exit 1 if any does not.
 *
 *   npm run verify
 *   npm run verify -- record.json …
 */
import { readFileSync } from "node:fs";
import { openPool, transaction } from "../data/postgres";
import { allMachines } from "../data/queries/machines";
import { type ChainReport, verifyChain } from "../operations/verify-chain";
import { verifyExport } from "../operations/verify-export";
import { openCluster } from "./lib/cluster";
import { databaseName, homeFolder } from "./lib/database";

const words = {
  "number-missing": "an entry before it is missing",
  "previous-hash-differs": "it does not continue from the entry before it",
  "content-differs": "its content is not what was written",
  "attachment-missing": "what was attached to it is missing",
  "attachment-differs": "what was attached to it is not what was kept",
  "head-differs": "entries at the end are missing, or the head was changed",
};

function told({ machine, entries, breaks }: ChainReport): boolean {
  if (!breaks) console.log(`${machine}: ${entries} entries, whole`);
  else
    console.log(
      `${machine}: entry ${breaks.seq}${breaks.id ? ` (${breaks.id})` : ""} does not fit: ${words[breaks.why]}`,
    );
  return !breaks;
}

async function verify(url: string): Promise<boolean> {
  const pool = openPool(url);
  let whole = true;
  try {
    for (const machine of await allMachines(pool)) {
      const report = await transaction(pool, (db) => verifyChain(db, machine));
      whole = told(report) && whole;
    }
  } finally {
    await pool.end();
  }
  return whole;
}

function verifyFiles(files: readonly string[]): boolean {
  return files
    .map((file) => {
      try {
        return told(verifyExport(JSON.parse(readFileSync(file, "utf8"))));
      } catch (error) {
        console.log(`${file}: ${error instanceof Error ? error.message : error}`);
        return false;
      }
    })
    .every(Boolean);
}

async function verifyDatabase(): Promise<boolean> {
  if (process.env.DATABASE_URL) return verify(process.env.DATABASE_URL);
  const cluster = await openCluster(`${homeFolder}/cluster`);
  const started = !cluster.isRunning();
  if (started) await cluster.start();
  return verify(cluster.url(databaseName)).finally(() => (started ? cluster.stop() : undefined));
}

const files = process.argv.slice(2);
const whole = files.length > 0 ? verifyFiles(files) : await verifyDatabase();
process.exitCode = whole ? 0 : 1;
