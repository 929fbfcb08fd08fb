import { type ChildProcess, spawn } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { v7 } from "uuid";
import { seededRandom } from "../../core/practice";
import { openPool } from "../../data/postgres";
import { freePort, openCluster, waitUntil } from "../lib/cluster";
import { databaseName } from "../lib/database";
import { type Visitor, visitor } from "./visitor";

const saves = 200;
const kills = 12;

/**
 * Two hundred saves sent one after the other as a tablet sends them, each again until it is answered, while the app and the database are killed
 * under them: what of it is lost, doubled, or out of order. On a cluster that writes to the disk as in real life.
 */
export async function measureKills(): Promise<void> {
  const home = mkdtempSync(join(tmpdir(), "harmostat-kill-"));
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  let app = await startApp(home, port, base);
  try {
    const person = await visitor(base);
    const jobId = await openJob(base, home, person);
    const random = seededRandom(5);
    const killAt = new Set(Array.from({ length: kills }, (_, i) => Math.floor(((i + random()) / kills) * saves)));
    const ids = Array.from({ length: saves }, () => v7());
    let done = 0;
    for (const [i, id] of ids.entries()) {
      const sending = untilTaken(person, jobId, id, i);
      if (killAt.has(i)) {
        await new Promise((later) => setTimeout(later, random() * 25));
        if (done++ % 2 === 0) app = await killApp(app, home, port, base);
        else killDatabase(home);
      }
      await sending;
    }
    const pool = openPool((await openCluster(join(home, "cluster"))).url(databaseName));
    const { rows } = await pool.query(
      `select count(*)::int as kept, count(distinct e.id)::int as once,
        bool_and(e.seq = x.place + (select min(seq) - 1 from entry where id = $2[1])) as in_order
       from unnest($2::uuid[]) with ordinality as x(id, place) left join entry e on e.id = x.id and e.job_id = $1`,
      [jobId, ids],
    );
    await pool.end();
    console.log(
      `kill: ${saves} saves through ${kills} kills of app and database: ${saves - rows[0].once} lost, ${rows[0].kept - rows[0].once} doubled, ${rows[0].in_order ? "all in order" : "OUT OF ORDER"}`,
    );
  } finally {
    app.kill("SIGTERM");
    if (app.exitCode === null) await new Promise((ended) => app.once("exit", ended));
    rmSync(home, { recursive: true, force: true });
  }
}

async function startApp(home: string, port: number, base: string): Promise<ChildProcess> {
  const { DATABASE_URL: _, ...env } = process.env;
  const app = spawn(process.execPath, ["--import", "tsx", "scripts/start.ts"], {
    cwd: resolve(import.meta.dirname, "../.."),
    stdio: ["ignore", "ignore", "inherit"],
    env: { ...env, PORT: String(port), HARMOSTAT_HOME: home, BACKUPS: "off" },
  });
  await waitUntil(
    () =>
      fetch(`${base}/health`).then(
        ({ ok }) => ok,
        () => false,
      ),
    180_000,
    "the app did not start",
  );
  return app;
}

async function killApp(app: ChildProcess, home: string, port: number, base: string): Promise<ChildProcess> {
  app.kill("SIGKILL");
  await new Promise((ended) => app.once("exit", ended));
  return startApp(home, port, base);
}

/** As the kernel does when memory runs out; the app starts it again. */
function killDatabase(home: string): void {
  const pid = Number(readFileSync(join(home, "cluster/data/postmaster.pid"), "utf8").split("\n")[0]);
  process.kill(pid, "SIGKILL");
}

async function openJob(base: string, home: string, { post }: Visitor): Promise<string> {
  const pool = openPool((await openCluster(join(home, "cluster"))).url(databaseName));
  const { rows } = await pool.query(
    `select m.id as machine_id, s.id as stage_id from stage s join machine m on m.id = s.machine_id
     where s.retired_at is null and not exists (select 1 from job j where j.machine_id = m.id and j.signed_entry is null) limit 1`,
  );
  await pool.end();
  const id = v7();
  stageOf.set(id, rows[0].stage_id);
  const madeAt = new Date().toISOString();
  await post("/jobs/open", {
    id,
    entryId: v7(),
    machineId: rows[0].machine_id,
    stageIds: [rows[0].stage_id],
    reason: `Kills at ${base}`,
    madeAt,
  });
  return id;
}
const stageOf = new Map<string, string>();

async function untilTaken({ post }: Visitor, jobId: string, id: string, i: number): Promise<void> {
  const note = { id, stageId: stageOf.get(jobId), kind: "note", text: `Save ${i}`, madeAt: new Date().toISOString() };
  for (;;) {
    try {
      await post(`/jobs/${jobId}/entries`, note);
      return;
    } catch (error) {
      if (/answered 4/.test((error as Error).message)) throw error;
      await new Promise((later) => setTimeout(later, 150));
    }
  }
}
