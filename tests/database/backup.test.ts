import { spawnSync } from "node:child_process";
import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { v7 } from "uuid";
import { afterAll, expect, inject, test } from "vitest";
import { mustHold } from "~/core/quantity";
import { openPool, type Pool } from "~/data/postgres";
import { attachFile } from "~/operations/attach-file";
import { sealNow } from "~/operations/seal";
import { openCluster } from "~/scripts/lib/cluster";
import { applyMigrations, ensureDatabase } from "~/scripts/lib/database";
import { freshWorks, testKey } from "./fixture";

const works = freshWorks();
const folder = mkdtempSync(join(tmpdir(), "harmostat-backup-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const run = (script: string, url: string, ...args: string[]) =>
  spawnSync(process.execPath, ["--import", "tsx", `scripts/${script}.ts`, ...args], {
    cwd: resolve(import.meta.dirname, "../.."),
    encoding: "utf8",
    env: { ...process.env, DATABASE_URL: url, BACKUP_FOLDER: folder, HARMOSTAT_HOME: folder },
  });

/** Every table, every byte. */
async function everything(pool: Pool): Promise<Record<string, string>> {
  const { rows } = await pool.query("select tablename from pg_tables where schemaname = 'public' order by 1");
  const digests = await Promise.all(
    rows.map(({ tablename }) =>
      pool.query(`select md5(coalesce(string_agg(t::text, '|' order by t::text), '')) as digest from ${tablename} t`),
    ),
  );
  return Object.fromEntries(rows.map(({ tablename }, i) => [tablename, digests[i]?.rows[0].digest]));
}

test("backed up and restored it is the same to the byte, photographs and files too, and goes on from there", async () => {
  const job = await works.openJob();
  mustHold(await works.entry(job, works.round()));
  const bytes = Buffer.from(Array.from({ length: 70_000 }, (_, i) => 32 + ((i * 7919) % 90)));
  const file = {
    id: v7(),
    machineId: works.machineId,
    stageId: null,
    name: "a.txt",
    caption: "",
    madeAt: new Date().toISOString(),
  };
  mustHold(await attachFile(works.as(), file, bytes));
  await sealNow(works.pool, testKey, new Date());
  const before = await everything(works.pool);
  expect(Object.keys(before).length).toBeGreaterThan(25);

  const backup = run("backup", works.url);
  expect(backup.status, backup.stderr).toBe(0);
  const path = backup.stdout.trim().split("\n").at(-1) ?? "";
  expect(readdirSync(folder).some((name) => name.endsWith(".making"))).toBe(false);

  const cluster = await openCluster(inject("clusterFolder"), { throwaway: true });
  await ensureDatabase(cluster, "restored");
  const url = cluster.url("restored");
  expect(run("restore", url, path).status).toBe(0);
  const pool = openPool(url);
  expect(await everything(pool)).toEqual(before);
  // One that holds something already is left alone.
  expect(run("restore", url, path).status).toBe(1);
  // The app's rights are given anew, and verify finds it whole.
  expect(await applyMigrations(url, cluster.appUrl("restored"))).toEqual([]);
  const app = openPool(cluster.appUrl("restored"));
  expect((await app.query("select count(*)::int as n from entry")).rows[0].n).toBeGreaterThan(3);
  await Promise.all([pool.end(), app.end()]);
  const verified = run("verify", url);
  expect(verified.stdout).toContain("Test machine: 5 entries, whole");
  expect(verified.status, verified.stdout).toBe(0);
});
