/** Applies what is missing of the migrations to the database in DATABASE_URL. `npm run migrate` */
import { applyMigrations } from "./lib/database";

const url = process.env.DATABASE_URL;
if (!url) throw new Error("DATABASE_URL is not set");
const applied = await applyMigrations(url);
console.log(applied.length === 0 ? "Nothing to apply." : `Applied: ${applied.join(", ")}`);
