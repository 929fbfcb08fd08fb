import { join, resolve } from "node:path";
import { grantApp } from "../../data/grants";
import { migrate } from "../../data/migrate";
import { maybeOne, openOwnerPool, type Pool, sql } from "../../data/postgres";
import type { Cluster } from "./cluster";

/** What belongs to one checkout on one machine: cluster, secrets, log. Git-ignored; HARMOSTAT_HOME puts it elsewhere. */
export const homeFolder = resolve(process.env.HARMOSTAT_HOME ?? join(import.meta.dirname, "../../.harmostat"));
export const databaseName = "harmostat";

/**
 * @param url the owner's
 * @param appUrl that of the role which the app works as: it gets the rights it needs and is made where it is missing
 */
export async function applyMigrations(url: string, appUrl: string | null = null): Promise<string[]> {
  const pool = openOwnerPool(url);
  try {
    const report = await migrate(pool, resolve(import.meta.dirname, "../../data/migrations"), new Date());
    if (report.unknown.length > 0) {
      throw new Error(`The database was made by a newer release: ${report.unknown.join(", ")}`);
    }
    if (report.drifted.length > 0) {
      throw new Error(`These migrations were changed after they had been applied: ${report.drifted.join(", ")}`);
    }
    if (appUrl && appUrl !== url) await grantRole(pool, url, appUrl);
    return report.applied;
  } finally {
    await pool.end();
  }
}

async function grantRole(owner: Pool, url: string, appUrl: string): Promise<void> {
  const { username, password } = new URL(appUrl);
  if (username === new URL(url).username) return;
  await grantApp(owner, decodeURIComponent(username), password === "" ? null : decodeURIComponent(password));
}

/** Makes a database of the cluster unless it is there; `template` copies another. */
export async function ensureDatabase(cluster: Cluster, name: string, template?: string): Promise<void> {
  if (!/^[a-z_0-9]+$/.test(name) || (template && !/^[a-z_0-9]+$/.test(template)))
    throw new Error(`not a database name: ${name}`);
  const pool = openOwnerPool(cluster.url("postgres"));
  try {
    const there = await maybeOne(pool, sql`select 1 from pg_database where datname = ${name}`, () => true);
    if (!there)
      await pool.query(`create database ${name}${template ? ` template ${template} strategy file_copy` : ""}`);
  } finally {
    await pool.end();
  }
}
