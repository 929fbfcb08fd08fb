import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, expect, test } from "vitest";
import { isUnavailable, many, maybeOne, none, one, openPool, sql, transaction, transactionIf } from "~/data/postgres";
import { openCluster } from "~/scripts/lib/cluster";
import { applyMigrations, ensureDatabase } from "~/scripts/lib/database";
import { freshWorks } from "./fixture";

const works = freshWorks();
const folders: string[] = [];
afterAll(() => {
  for (const folder of folders) rmSync(folder, { recursive: true, force: true });
});

test("values never become text of a statement, and a query says how many rows it must find", async () => {
  const nasty = "'; drop table entry; --";
  expect(await one(works.pool, sql`select ${nasty}::text as x`, (row) => row.x)).toBe(nasty);
  await expect(one(works.pool, sql`select 1 where false`, () => 1)).rejects.toThrow("no row");
  await expect(maybeOne(works.pool, sql`select generate_series(1, 2)`, () => 1)).rejects.toThrow("2 rows");
});

test("bigints are numbers and doubles come back to the last digit", async () => {
  const value = 0.1 + 0.2;
  const row = await one(works.pool, sql`select 9007199254740991::bigint as big, ${value}::float8 as double`, (r) => r);
  expect(row).toEqual({ big: Number.MAX_SAFE_INTEGER, double: value });
});

test("a transaction that fails leaves nothing", async () => {
  const failing = transaction(works.pool, async (db) => {
    await none(db, sql`insert into device (id, seen_at) values ('half', now())`);
    throw new Error("cut");
  });
  await expect(failing).rejects.toThrow("cut");
  expect(await maybeOne(works.pool, sql`select 1 from device where id = 'half'`, () => 1)).toBeNull();
});

test("a transaction kept only for its result: the result is told either way, and what failed is not taken for one", async () => {
  const put = (id: string, keep: boolean) =>
    transactionIf(works.pool, Boolean, async (db) => {
      await none(db, sql`insert into device (id, seen_at) values (${Buffer.from(id)}, now())`);
      return keep;
    });
  expect([await put("kept", true), await put("looked at", false)]).toEqual([true, false]);
  const there = await many(works.pool, sql`select id from device order by id`, (row) => String(row.id));
  expect(there).toEqual(["kept"]);
  await expect(put("kept", true)).rejects.toThrow("duplicate key");
});

test("a connection cut in the middle of a save is told apart from a refusal, and the pool goes on", async () => {
  const cut = transaction(works.pool, async (db) => {
    const pid = await one(db, sql`select pg_backend_pid() as pid`, (row) => row.pid as number);
    await none(works.pool, sql`select pg_terminate_backend(${pid})`);
    await none(db, sql`insert into session values ('cut', null, '{}', now())`);
  });
  expect(isUnavailable(await cut.catch((error: Error) => error))).toBe(true);
  expect(await maybeOne(works.pool, sql`select 1 from session where id = 'cut'`, () => 1)).toBeNull();

  const refused = await none(works.pool, sql`insert into session values (null, null, '{}', now())`).catch(
    (error: Error) => error,
  );
  expect(refused).toBeInstanceOf(Error);
  expect(isUnavailable(refused)).toBe(false);
  const nobody = openPool("postgres://app:x@127.0.0.1:1/none");
  expect(isUnavailable(await nobody.query("select 1").catch((error: Error) => error))).toBe(true);
  await nobody.end();
});

test("a private cluster: kept over a stop, begun anew where the first set-up was cut off, not fooled by a stale lock file", async () => {
  const folder = mkdtempSync(join(tmpdir(), "harmostat-cluster-"));
  folders.push(folder);
  mkdirSync(join(folder, "data.making"));
  writeFileSync(join(folder, "data.making", "half"), "made");
  const cluster = await openCluster(folder, { throwaway: true });
  expect(existsSync(join(folder, "data.making"))).toBe(false);
  await cluster.start();
  await ensureDatabase(cluster, "kept");
  expect(await applyMigrations(cluster.url("kept"))).not.toEqual([]);
  await cluster.stop();
  expect(cluster.isRunning()).toBe(false);

  // The number of a process that is not PostgreSQL: this one.
  writeFileSync(
    join(folder, "data", "postmaster.pid"),
    `${process.pid}\n${join(folder, "data")}\n0\n${cluster.port}\n\n127.0.0.1\n\nready\n`,
  );
  const again = await openCluster(folder, { throwaway: true });
  expect(again.isRunning()).toBe(false);
  await again.start();
  expect(await applyMigrations(again.url("kept"))).toEqual([]);
  const second = await openCluster(folder, { throwaway: true });
  expect(second.port).toBe(again.port);
  expect(readFileSync(join(folder, "password"), "utf8").length).toBeGreaterThan(20);
  await again.stop();
});
