import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { beforeAll, expect, inject, test } from "vitest";
import { readAdjuster } from "~/app/features/stage-form/adjuster-texts";
import { readLimits, readSideLimits } from "~/app/features/stage-form/limits-texts";
import { readGeometry, textsOf } from "~/app/features/stage-form/texts";
import { readerOf } from "~/app/features/words/reader";
import { mustHold } from "~/core/quantity";
import type { StageLimits } from "~/core/records";
import { adjusterMeans } from "~/core/records/adjuster-means";
import { driveGraph, ratiosOf, stageKinds } from "~/core/stages";
import { driveLine } from "~/core/trains";
import { type OpenPool, openPool, transaction } from "~/data/postgres";
import { driveLineOf } from "~/data/queries/drive-lines";
import { openJobs } from "~/data/queries/jobs";
import { allMachines } from "~/data/queries/machines";
import { stagesOfMachines } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { scenario } from "~/demo/scenario";
import { lead } from "~/demo/works";
import { verifyChain } from "~/operations/verify-chain";
import { openCluster } from "~/scripts/lib/cluster";
import { ensureDatabase } from "~/scripts/lib/database";
import { fillEmptyDatabase } from "~/scripts/lib/fill";
import { loadDemo } from "~/scripts/lib/load-demo";

const reader = readerOf();

let pool: OpenPool;
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
  expect([machines.length, stages.length]).toEqual([8, 32]);
  expect(of("Anvil drive")).toMatchObject({ state: "outside", judged: { holds: "provable" } });
  expect(of("Cam drive")).toMatchObject({ judged: { holds: "too-wide" } });
  expect(await openJobs(pool, ids)).toHaveLength(1);
  const corrections = await pool.query("select 1 from entry where kind = 'correction'");
  expect(corrections.rowCount).toBe(1);
  for (const machine of machines) {
    expect((await transaction(pool, (db) => verifyChain(db, machine))).breaks).toBeNull();
  }
});

test("every kind of stage and every kind of adjuster is there, and every drive line works through", async () => {
  const ids = (await allMachines(pool)).map((machine) => machine.id);
  const stages = await stagesOfMachines(pool, ids);
  expect(new Set(stages.map(({ kind }) => kind))).toEqual(new Set(stageKinds));
  const means = new Set(stages.map(({ adjuster }) => adjuster.means));
  expect(adjusterMeans.filter((known) => !means.has(known))).toEqual([]);
  expect(stages.some(({ adjuster }) => adjuster.alsoMoves.length > 0)).toBe(true);
  for (const id of ids) {
    const own = stages.filter(({ machineId }) => machineId === id);
    const kept = (await driveLineOf(pool, id))?.graph ?? { sources: [], links: [], outputs: [] };
    const solved = mustHold(
      driveLine(
        driveGraph(
          kept,
          own.map((stage) => ({ id: stage.id, element: stage.geometry.element, loosest: () => 0.1 })),
        ),
      ),
    );
    const driving = own.filter(({ geometry }) => ratiosOf(geometry.element).length > 0);
    expect(kept.links.map(({ stageId }) => stageId).sort()).toEqual(driving.map((stage) => stage.id).sort());
    for (const shaft of solved.shafts) expect(shaft.rpm, `${shaft.id} of ${id}`).not.toBeNull();
  }
});

test("a stage opened for revising and saved untouched stays what it was, to the last field", async () => {
  const ids = (await allMachines(pool)).map((machine) => machine.id);
  for (const stage of await stagesOfMachines(pool, ids)) {
    const texts = textsOf(reader, stage);
    const { id: _, revision: __, clamps, ...geometry } = stage.geometry;
    // Points on a circle are written out to the micrometre.
    const points = clamps.points.map(({ x, y }) => ({ x: expect.closeTo(x, 2), y: expect.closeTo(y, 2) }));
    const read = { of: stage.name, ...readGeometry(texts).value };
    expect(read).toEqual({ of: stage.name, ...geometry, clamps: { ...clamps, points } });
    const { id: ___, revision: ____, ...adjuster } = stage.adjuster;
    expect({ of: stage.name, ...readAdjuster(texts).value }).toEqual({ of: stage.name, ...adjuster });
    const { lo, aim, hi, quantity } = (stage.limits as StageLimits).given;
    expect({ of: stage.name, ...readLimits(texts).value }).toMatchObject({ of: stage.name, lo, aim, hi, quantity });
    expect(readSideLimits(texts).value).toHaveLength(stage.sideLimits.length);
  }
});

test("a demo that is cut off half way leaves nothing behind, and the next start loads all of it", async () => {
  const home = mkdtempSync(join(tmpdir(), "harmostat-home-"));
  const cluster = await openCluster(inject("clusterFolder"), { throwaway: true });
  await ensureDatabase(cluster, "cut_off", "migrated");
  const url = cluster.url("cut_off");
  const db = openPool(url);
  const counted = async (table: "person" | "machine") => (await db.query(`select 1 from ${table}`)).rowCount;
  const cut = fillEmptyDatabase(url, false, home).then(
    () => "loaded",
    () => "cut off",
  );
  const endIt = `select pg_terminate_backend(pid) from pg_stat_activity
    where datname = 'cut_off' and application_name = 'harmostat owner' and query like '%insert into entry%'`;
  await expect.poll(async () => (await db.query(endIt)).rowCount, { timeout: 60_000 }).toBe(1);
  expect(await cut).toBe("cut off");
  expect([await counted("person"), await counted("machine")]).toEqual([0, 0]);
  expect(await fillEmptyDatabase(url, false, home)).toEqual({ name: lead.signIn, password: lead.password });
  expect(await counted("machine")).toBe(8);
  await db.end();
  rmSync(home, { recursive: true });
});

test("the same day gives the same scenario", () => {
  const now = new Date("2026-03-02T10:00:00Z");
  expect(scenario(now)).toEqual(scenario(now));
});
