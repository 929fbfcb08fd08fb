/**
 * Costs, as counts and ratios; `npm run bench`. Needs the build that ./start or ./test makes.
 *
 * - the next move recomputed from 48 readings with everything that is drawn, as a share of one frame
 * - CPU time of the server for the job page, as a ratio to a bare page of the same server with one trivial query
 * - JavaScript that the job page loads, compressed
 */
import { readFileSync } from "node:fs";
import { gzipSync } from "node:zlib";
import { assessRound, roundedMove } from "../core/advice";
import { gearBlanks, toothOutlines } from "../core/gears";
import { seededRandom, simulatedMesh } from "../core/practice";
import { mustHold } from "../core/quantity";
import { backlashAt, typedRound } from "../core/rounds";
import { openPool } from "../data/postgres";
import { pairOf } from "../demo/scenario";
import { lead, machines } from "../demo/works";
import { curvePath, dialScale, outlinePath } from "../ui/round-dial/layout";
import { withThrowawayApp } from "./lib/throwaway-app";

const frameMs = 1000 / 60;

/** Median of many runs: what a keystroke costs between two frames. */
function recompute(): void {
  const stage = machines[0]?.stages[0];
  if (!stage) throw new Error("the demo has no stage");
  const pair = pairOf(stage);
  const mesh = simulatedMesh({ ...stage.hidden, pair }, 0.01, 0.003, seededRandom(1));
  const readings = Array.from({ length: 48 }, (_, i) => ({
    tooth: ((i * 7) % pair.teeth[1]) + 1,
    turn: 1 + Math.floor((i * 7) / pair.teeth[1]),
    typed: mesh.read((i * 7 * 360) / pair.teeth[1]).toFixed(2),
    struck: false,
  }));
  const outline = toothOutlines(gearBlanks(pair)[1]);
  const limits = { lo: stage.limits.loMm, hi: stage.limits.hiMm - 0.03 };
  const once = () => {
    const values = mustHold(
      typedRound(
        pair,
        { resolutionMm: 0.01, expandedUncertaintyMm: 0.006, coverage: 2 },
        { indicatorRadiusMm: null, indicatorAngleDeg: 0 },
        readings,
      ),
    );
    const assessed = mustHold(
      assessRound({ pair, limits, adjuster: stage.adjuster.adjuster }, values.readings, values.expandedUncertaintyMm),
    );
    const mm = values.readings.map((reading) => reading.backlashMm);
    const now = { min: Math.min(...mm), max: Math.max(...mm) };
    const move = roundedMove(assessed.advice, stage.adjuster.adjuster, stage.adjuster.step, now.min, now.max);
    const scale = dialScale(limits, mm, { inner: 92, outer: 230 });
    const { harmonics } = assessed;
    if (!harmonics) throw new Error("48 readings did not give a fit");
    const fitted = (angle: number) => backlashAt(harmonics, angle, pair.teeth[1] / pair.teeth[0]);
    const shift = move ? move.minMm - now.min : 0;
    return [
      curvePath(scale, fitted),
      curvePath(scale, (angle) => fitted(angle) + shift),
      outlinePath(outline, 3),
      ...values.readings.map((reading) => scale.place(reading.gearAngleDeg, reading.backlashMm)),
    ].length;
  };
  for (let i = 0; i < 50; i++) once();
  const times = Array.from({ length: 200 }, () => {
    const before = performance.now();
    once();
    return performance.now() - before;
  }).sort((a, b) => a - b);
  const median = times[100] ?? 0;
  const slow = times[190] ?? 0;
  console.log(
    `round + advice + drawing data, 48 readings: ${median.toFixed(2)} ms, ${((100 * median) / frameMs).toFixed(0)} % of a frame (95 of 100 below ${slow.toFixed(2)} ms)`,
  );
}

async function openJobPath(url: string): Promise<string> {
  const pool = openPool(url);
  const { rows } = await pool.query("select id from job where signed_entry is null");
  await pool.end();
  return `/jobs/${rows[0].id}/set`;
}

async function measurePages(base: string, pid: number, jobPath: string): Promise<void> {
  const form = new URLSearchParams({ signIn: lead.signIn, password: lead.password });
  const signedIn = await fetch(`${base}/sign-in`, {
    method: "POST",
    body: form,
    redirect: "manual",
    headers: { Origin: base },
  });
  const cookie = signedIn.headers
    .getSetCookie()
    .map((c) => c.split(";")[0])
    .join("; ");
  const get = async (path: string) => {
    const response = await fetch(base + path, { headers: { cookie } });
    if (!response.ok) throw new Error(`${path} answered ${response.status}`);
    return response.text();
  };
  const paths = { bare: "/status", job: jobPath };
  for (let i = 0; i < 40; i++) for (const path of Object.values(paths)) await get(path);
  // Turn about in small batches, so that what else the machine does falls on both alike.
  const ticks = { bare: 0, job: 0 };
  for (let round = 0; round < 12; round++) {
    for (const name of ["bare", "job"] as const) {
      const before = cpuTicks(pid);
      for (let i = 0; i < 15; i++) await get(paths[name]);
      ticks[name] += cpuTicks(pid) - before;
    }
  }
  const perRequestMs = (name: keyof typeof ticks) => (ticks[name] * 10) / (12 * 15);
  console.log(
    `job page, CPU time of the server: ${(ticks.job / ticks.bare).toFixed(2)} times a bare page (${perRequestMs("job").toFixed(1)} ms to ${perRequestMs("bare").toFixed(1)} ms a request)`,
  );
  const html = await get(jobPath);
  const scripts = [...new Set([...html.matchAll(/\/assets\/[\w.-]+\.js/g)].map((match) => match[0]))];
  const sizes = await Promise.all(scripts.map(async (path) => gzipSync(await get(path)).length));
  console.log(
    `job page, JavaScript: ${scripts.length} files, ${Math.round(sizes.reduce((a, b) => a + b, 0) / 1024)} kB compressed`,
  );
}

/** User and system time of a process in clock ticks of 10 ms (proc(5), fields 14 and 15). */
function cpuTicks(pid: number): number {
  const fields = readFileSync(`/proc/${pid}/stat`, "utf8").split(") ")[1]?.split(" ") ?? [];
  return Number(fields[11]) + Number(fields[12]);
}

recompute();
await withThrowawayApp(async ({ base, pid, databaseUrl }) => measurePages(base, pid, await openJobPath(databaseUrl)));
