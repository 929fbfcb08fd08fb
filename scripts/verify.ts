/**
 * Recomputes every machine's logbook in DATABASE_URL (or, without it, in the cluster that ./start left here) and names the
 * first entry of each that does not fit. Exit 1 if any does not. `npm run verify`
 */
import { openPool, transaction } from "../data/postgres";
import { allMachines } from "../data/queries/machines";
import { verifyChain } from "../operations/verify-chain";
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

async function verify(url: string): Promise<boolean> {
  const pool = openPool(url);
  let whole = true;
  try {
    for (const machine of await allMachines(pool)) {
      const { entries, breaks } = await transaction(pool, (db) => verifyChain(db, machine));
      if (!breaks) console.log(`${machine.name}: ${entries} entries, whole`);
      else {
        whole = false;
        console.log(
          `${machine.name}: entry ${breaks.seq}${breaks.id ? ` (${breaks.id})` : ""} does not fit: ${words[breaks.why]}`,
        );
      }
    }
  } finally {
    await pool.end();
  }
  return whole;
}

let url = process.env.DATABASE_URL;
let stop = async () => {};
if (!url) {
  const cluster = await openCluster(`${homeFolder}/cluster`);
  if (!cluster.isRunning()) {
    await cluster.start();
    stop = cluster.stop;
  }
  url = cluster.url(databaseName);
}
const whole = await verify(url).finally(() => stop());
process.exitCode = whole ? 0 : 1;
