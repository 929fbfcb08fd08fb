/** Loads the demo into the empty database in DATABASE_URL. `npm run seed` */
import { openPool } from "../data/postgres";
import { countPeople } from "../data/queries/people";
import { loadDemo } from "./lib/load-demo";

const url = process.env.DATABASE_URL;
if (!url) throw new Error("DATABASE_URL is not set");
const pool = openPool(url);
try {
  if ((await countPeople(pool)) > 0) console.log("There is a workshop already; nothing was loaded.");
  else await loadDemo(pool, new Date());
} finally {
  await pool.end();
}
