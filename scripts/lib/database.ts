import { join, resolve } from "node:path";
import { migrate } from "../../data/migrate";
import { maybeOne, openPool, sql } from "../../data/postgres";
import type { Cluster } from "./cluster";

/** What belongs to one checkout on one machine: cluster, secrets, log. Git-ignored; HARMOSTAT_HOME puts it elsewhere. */
export const homeFolder = resolve(process.env.HARMOSTAT_HOME ?? join(import.meta.dirname, "../../.harmostat"));
export const databaseName = "harmostat";

export async function applyMigrations(url: string): Promise<string[]> {
  const pool = openPool(url);
  try {
    const report = await migrate(pool, resolve(import.meta.dirname, "../../data/migrations"), new Date());
    if (report.unknown.length > 0) {
      throw new Error(`The database was made by a newer release: ${report.unknown.join(", ")}`);
    }
    if (report.drifted.length > 0) {
      throw new Error(`These migrations were changed after they had been applied: ${report.drifted.join(", ")}`);
    }
    return report.applied;
  } finally {
    await pool.end();
  }
}

/** Makes a database of the cluster unless it is there; `template` copies another. */
export async function ensureDatabase(cluster: Cluster, name: string, template?: string): Promise<void> {
  if (!/^[a-z_0-9]+$/.test(name) || (template && !/^[a-z_0-9]+$/.test(template)))
    throw new Error(`not a database name: ${name}`);
  const pool = openPool(cluster.url("postgres"));
  try {
    const there = await maybeOne(pool, sql`select 1 from pg_database where datname = ${name}`, () => true);
    if (!there)
      await pool.query(`create database ${name}${template ? ` template ${template} strategy file_copy` : ""}`);
  } finally {
    await pool.end();
  }
}
