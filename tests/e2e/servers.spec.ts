import { type ChildProcess, spawn } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, symlinkSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { expect, test } from "@playwright/test";
import { v7 } from "uuid";
import { openPool } from "../../data/postgres";
import { visitor } from "../../scripts/bench/visitor";
import { freePort, openCluster } from "../../scripts/lib/cluster";
import { ensureDatabase } from "../../scripts/lib/database";

const root = resolve(import.meta.dirname, "../..");
const folder = mkdtempSync(join(tmpdir(), "harmostat-servers-"));
const children: ChildProcess[] = [];
test.afterAll(() => {
  for (const child of children) child.kill("SIGKILL");
  rmSync(folder, { recursive: true, force: true });
});

function start(env: Record<string, string>) {
  const child = spawn(process.execPath, ["--import", "tsx", "scripts/start.ts"], {
    cwd: root,
    env: { ...process.env, BACKUPS: "off", ...env },
  });
  children.push(child);
  let text = "";
  for (const stream of [child.stdout, child.stderr])
    stream?.on("data", (chunk) => {
      text += chunk;
    });
  return { child, output: () => text, ends: new Promise<number | null>((done) => child.once("exit", done)) };
}

const clusterHere = async () => {
  const there = process.env.E2E_CLUSTER;
  test.skip(!there, "needs the cluster that ./test starts");
  return openCluster(there ?? "", { throwaway: true });
};

test("a wrong DATABASE_URL says what is wrong, in a sentence, and leaves nothing running", async () => {
  const cluster = await clusterHere();
  const right = new URL(cluster.url("throwaway"));
  const changed = (change: (url: URL) => void) => {
    const url = new URL(right);
    change(url);
    return url.toString();
  };
  const nobody = await freePort();
  for (const [url, says] of [
    ["somewhere", "DATABASE_URL is no address"],
    ["mysql://a:b@127.0.0.1/x", "no address of PostgreSQL"],
    [changed((wrong) => (wrong.port = String(nobody))), `Nothing answers at 127.0.0.1:${nobody}`],
    [changed((wrong) => (wrong.password = "not-it")), "The password of app is wrong"],
    [changed((wrong) => (wrong.pathname = "/nowhere")), "There is no database nowhere"],
  ] as const) {
    const started = start({ DATABASE_URL: url, PORT: String(await freePort()), HARMOSTAT_HOME: join(folder, "wrong") });
    expect(await started.ends, url).toBe(1);
    expect(started.output()).toContain(says);
    expect(started.output()).not.toMatch(/\n\s+at /);
  }
});

test("three first starts on one database agree, and three servers work on it as one", async () => {
  test.setTimeout(900_000);
  const cluster = await clusterHere();
  await ensureDatabase(cluster, "three");
  const keys = join(folder, "keys");
  mkdirSync(keys);
  const ports = await Promise.all([1, 2, 3].map(freePort));
  const started = ports.map((port, i) =>
    start({
      DATABASE_URL: cluster.url("three"),
      APP_DATABASE_URL: cluster.appUrl("three"),
      PORT: String(port),
      HARMOSTAT_HOME: join(folder, `server-${i}`),
      SESSION_SECRET_FILE: join(keys, "session-secret"),
      SEAL_KEY_FILE: join(keys, "seal-key.pem"),
    }),
  );
  for (const { output } of started) await expect.poll(output, { timeout: 200_000 }).toContain("Ctrl-C stops it");
  const bases = ports.map((port) => `http://127.0.0.1:${port}`);
  const pool = openPool(cluster.url("three"));
  const one = async (statement: string) => (await pool.query(statement)).rows[0];
  expect((await one("select count(*)::int as n from workshop")).n).toBe(1);

  // A session of one opens the others.
  const [first, second] = await Promise.all(bases.slice(0, 2).map((base) => visitor(base)));
  const cookie = first?.cookie ?? "";
  for (const base of bases)
    expect((await fetch(`${base}/jobs`, { headers: { cookie }, redirect: "manual" })).status).toBe(200);

  // The same entry sent to all of them stays one; what is sent by several is numbered without a gap.
  const { machine_id: machineId, stage_id: stageId } = await one(
    `select m.id as machine_id, s.id as stage_id from stage s join machine m on m.id = s.machine_id where s.retired_at is null
     and not exists (select 1 from job j where j.machine_id = m.id and j.signed_entry is null) limit 1`,
  );
  const jobId = v7();
  const madeAt = () => new Date().toISOString();
  const opening = { id: jobId, entryId: v7(), machineId, stageIds: [stageId], reason: "Three", madeAt: madeAt() };
  await Promise.all([first?.post("/jobs/open", opening), second?.post("/jobs/open", opening)]);
  const visitors = await Promise.all(bases.map((base) => visitor(base)));
  await Promise.all(
    Array.from({ length: 20 }, (_, i) => ({
      id: v7(),
      stageId,
      kind: "note",
      text: `n ${i}`,
      madeAt: madeAt(),
    })).flatMap((note) => visitors.map(({ post }) => post(`/jobs/${jobId}/entries`, note))),
  );
  expect((await one(`select count(*)::int as n from entry where job_id = '${jobId}'`)).n).toBe(21);
  expect(
    await one(
      "select count(*)::int as n from entry e join machine m on m.id = e.machine_id where e.seq > m.entry_count",
    ),
  ).toEqual({ n: 0 });

  // Wrong tries are counted together.
  const attempts = [];
  for (let i = 0; i < 15; i++) {
    const form = new URLSearchParams({ signIn: "ferro", password: "not this one" });
    const base = bases[i % 3] ?? "";
    attempts.push((await fetch(`${base}/sign-in`, { method: "POST", body: form, headers: { Origin: base } })).status);
  }
  expect(attempts.slice(0, 8)).toEqual(Array.from({ length: 8 }, () => 400));
  expect(attempts).toContain(429);

  // One chain of seals, whole by the one key.
  await expect.poll(async () => (await one("select count(*)::int as n from seal")).n).toBeGreaterThan(0);
  const verified = spawn(process.execPath, ["--import", "tsx", "scripts/verify.ts"], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: cluster.url("three"), SEAL_KEY_FILE: join(keys, "seal-key.pem") },
  });
  expect(await new Promise((done) => verified.once("exit", done))).toBe(0);
  await pool.end();
  for (const { child, ends } of started) {
    child.kill("SIGINT");
    expect(await ends).toBe(0);
  }
});

test("the log holds no cookie and no word searched for, is its owner's alone, and one that cannot be written stops nobody; a closed output neither", async () => {
  const cluster = await clusterHere();
  const home = join(folder, "logs");
  mkdirSync(home);
  writeFileSync(join(home, "server.log"), "an earlier release wrote cookies here");
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const env = {
    DATABASE_URL: cluster.url("throwaway"),
    APP_DATABASE_URL: cluster.appUrl("throwaway"),
    PORT: String(port),
    HARMOSTAT_HOME: home,
  };
  const first = start(env);
  await expect.poll(first.output, { timeout: 120_000 }).toContain("Ctrl-C stops it");
  first.child.stdout?.destroy();
  first.child.stderr?.destroy();
  const { get, cookie } = await visitor(base);
  await get("/?q=secretword");
  const health = async () => (await fetch(`${base}/health`)).json();
  expect(await health()).toMatchObject({
    database: "up",
    log: { writes: true },
    disk: { little: expect.any(Boolean) },
  });
  const file = join(home, "log", "server.log");
  await expect.poll(() => readFileSync(file, "utf8")).toContain('"path":"/"');
  const text = readFileSync(file, "utf8");
  for (const never of [...cookie.split(/[=;]\s*/).filter((part) => part.length > 12), "secretword", "cookie"])
    expect(text).not.toContain(never);
  expect(statSync(file).mode & 0o777).toBe(0o600);
  expect(statSync(join(home, "log")).mode & 0o777).toBe(0o700);
  expect(() => statSync(join(home, "server.log"))).toThrow();
  first.child.kill("SIGINT");
  expect(await first.ends).toBe(0);

  // A disk that is full whenever a line is written.
  rmSync(file);
  symlinkSync("/dev/full", file);
  const second = start(env);
  await expect.poll(second.output, { timeout: 120_000 }).toContain("Ctrl-C stops it");
  const full = await visitor(base);
  for (let i = 0; i < 20; i++) await full.get("/status");
  await expect.poll(async () => (await health()).log.lost).toBeGreaterThan(0);
  expect(await full.get("/jobs")).toContain("<html");
  second.child.kill("SIGINT");
  expect(await second.ends).toBe(0);
});
