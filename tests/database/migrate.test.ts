import { mkdirSync, mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { beforeAll, expect, inject, test } from "vitest";
import { migrate } from "~/data/migrate";
import { type OpenPool, openPool } from "~/data/postgres";
import { openCluster } from "~/scripts/lib/cluster";
import { ensureDatabase } from "~/scripts/lib/database";

let pool: OpenPool;
const folder = mkdtempSync(join(tmpdir(), "harmostat-migrations-"));
const step = (name: string, text: string) => {
  mkdirSync(join(folder, name), { recursive: true });
  writeFileSync(join(folder, name, "up.sql"), text);
};

beforeAll(async () => {
  const cluster = await openCluster(inject("clusterFolder"), { throwaway: true });
  await ensureDatabase(cluster, "migrations");
  pool = openPool(cluster.url("migrations"));
  return () => pool.end();
});

test("two servers at once apply each step once; a failing step leaves nothing; drift and newer steps are named", async () => {
  step("20260101000000_a", "create table a (x int)");
  step("20260102000000_b", "create table b (x int)");
  const reports = await Promise.all([migrate(pool, folder, new Date()), migrate(pool, folder, new Date())]);
  expect(reports.map((report) => report.applied.length).sort()).toEqual([0, 2]);

  step("20260103000000_c", "create table c (x int); select no_such_function()");
  await expect(migrate(pool, folder, new Date())).rejects.toThrow("no_such_function");
  await expect(pool.query("select * from c")).rejects.toThrow("does not exist");

  step("20260103000000_c", "create table c (x int)");
  step("20260101000000_a", "create table a (x int, y int)");
  expect(await migrate(pool, folder, new Date())).toMatchObject({ applied: [], drifted: ["20260101000000_a"] });
  step("20260101000000_a", "create table a (x int)");
  await pool.query("insert into migration values ('20990101000000_z', 'x', now())");
  expect(await migrate(pool, folder, new Date())).toMatchObject({ applied: [], unknown: ["20990101000000_z"] });
});
