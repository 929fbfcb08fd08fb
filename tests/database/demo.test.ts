import { beforeAll, expect, inject, test } from "vitest";
import { openPool, type Pool, transaction } from "~/data/postgres";
import { openJobs } from "~/data/queries/jobs";
import { allMachines } from "~/data/queries/machines";
import { stagesOfMachines } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { scenario } from "~/demo/scenario";
import { verifyChain } from "~/operations/verify-chain";
import { openCluster } from "~/scripts/lib/cluster";
import { ensureDatabase } from "~/scripts/lib/database";
import { loadDemo } from "~/scripts/lib/load-demo";

let pool: Pool;
beforeAll(async () => {
  const cluster = await openCluster(inject("clusterFolder"), { throwaway: true });
  await ensureDatabase(cluster, "demo", "migrated");
  pool = openPool(cluster.url("demo"));
  await loadDemo(pool, new Date());
  return () => pool.end();
});

test("the carton works stand as they should: one too tight, one that nobody can set, one job half done, one correction", async () => {
  const machines = await allMachines(pool);
  const ids = machines.map((machine) => machine.id);
  const stages = await stagesOfMachines(pool, ids);
  const standing = await standingsOfStages(
    pool,
    stages.map((stage) => stage.id),
  );
  const of = (name: string) => standing.find((s) => s.stageId === stages.find((stage) => stage.name === name)?.id);
  expect([machines.length, stages.length]).toEqual([6, 11]);
  expect(of("Anvil drive")).toMatchObject({ state: "outside", result: { fits: true } });
  expect(of("Cam drive")).toMatchObject({ result: { fits: false } });
  expect(await openJobs(pool, ids)).toHaveLength(1);
  const corrections = await pool.query("select 1 from entry where kind = 'correction'");
  expect(corrections.rowCount).toBe(1);
  for (const machine of machines) {
    expect((await transaction(pool, (db) => verifyChain(db, machine))).breaks).toBeNull();
  }
});

test("the same day gives the same scenario", () => {
  const now = new Date("2026-03-02T10:00:00Z");
  expect(scenario(now)).toEqual(scenario(now));
});
