/**
 * Costs, as counts and ratios; `npm run bench`. Needs the build that ./start or ./test makes, and about 4 GB of disk for a while.
 *
 * - the next move recomputed on a stage of every kind with everything that is drawn, as a share of one frame
 * - a drive line of twelve stages worked through and drawn, likewise
 * - CPU time of the server for the floor, machine, stage, job, jobs, stores, plan and search pages, as a ratio to a bare page of the same server with one
 *   trivial query: with the demo, and with 1,000 machines and ten years of weekly rounds beside it
 * - the plan of every query behind these pages on those, written to docs/query-plans.md
 * - two hundred gears looked through for every pair that fits; of random slots and stores, what is lost or invented against trying all;
 *   five hundred drawers against a general integer program; the order of four hundred parts
 * - of 20,000 random rounds, the share that entry, screen, floor, trend and a naive second judgement judge alike
 * - hands that feel a hidden round and go on by its words, against halving by guess; 5,000 contact prints of drawn flanks, and what is read from them
 * - practice machines: turns a second, and how many an expert sets right (practice)
 * - tapped knocks of 2,000 drive lines turned tooth by tooth: how often the part at fault is among the first suspects (periods)
 * - a sign-in; every route asked in every role by every method, and how many answers are as they should be (matrix)
 * - JavaScript that a browser with an empty cache loads until the main thing of a page can be used, and what a key of a reading costs (weights)
 * - the planner of shafts in its worker, its worst question as a ratio to a usual one (shaft)
 * - plucks of strings by their wave equation, heard in noise: right, refused, wrong and called sure; CPU for five seconds of sound (plucks);
 *   five thousand new belts tensioned from a guess (tensioning)
 * - a guide of two hundred parts with a photograph each: its page as a ratio to a bare one, and what a browser loads of it before scrolling (guide)
 * - a tablet that was away sends 500 entries; what a note does while its machine is locked, early and late in a job (lock)
 * - 200 saves through kills of app and database: lost, doubled, out of order (kill); fifty technicians at once (crowd); the longest pause of a ping
 *   while something dear is done (stall); changes of the database and of exported records that are found (tamper)
 *
 *   npm run bench               all of it, some twenty-five minutes
 *   npm run bench -- NAME …     the parts of these names
 */
import { join } from "node:path";
import { type OpenPool, openOwnerPool } from "../data/postgres";
import { measureCrowd } from "./bench/crowd";
import { drawLine } from "./bench/draw-line";
import { measureGuidePage } from "./bench/guide-page";
import { measureHands } from "./bench/hands";
import { measureJudgement } from "./bench/judgement";
import { measureKills } from "./bench/kill";
import { growWorks, size } from "./bench/large-works";
import { measureLock } from "./bench/lock";
import { measurePages, type Pages } from "./bench/pages";
import { measurePeriods } from "./bench/periods";
import { writePlans } from "./bench/plans";
import { measurePlucks } from "./bench/plucks";
import { measurePractice } from "./bench/practice";
import { measurePrints } from "./bench/prints";
import { recompute } from "./bench/recompute";
import { measureReplay } from "./bench/replay";
import { measureShaft } from "./bench/shaft";
import { measureSignIn } from "./bench/sign-in";
import { measureStacks } from "./bench/stacks";
import { measureStall } from "./bench/stall";
import { measureStrip } from "./bench/strip";
import { measureSwap } from "./bench/swap";
import { measureTamper } from "./bench/tamper";
import { measureTensioning } from "./bench/tensioning";
import { visitor } from "./bench/visitor";
import { measureWeights } from "./bench/weights";
import { idsForRoles, roleMatrix } from "./lib/role-matrix";
import { withThrowawayApp } from "./lib/throwaway-app";

type Place = { machineId: string; stageId: string; jobId: string; workshopId: string; personId: string };

const pagesOf = ({ machineId, stageId, jobId }: Place): Pages => ({
  floor: "/",
  machine: `/machines/${machineId}`,
  stage: `/stages/${stageId}`,
  job: `/jobs/${jobId}/set`,
  "job by its bare address": `/jobs/${jobId}`,
  jobs: "/jobs",
  stores: "/stores?kind=shim",
  plan: "/plan",
  "search for a word of every job": "/records?q=weekly",
  "search for a rare word": "/records?q=knock",
  "search of a machine and a year": "/records?part=LINE-500&from=2024-01-01&to=2024-12-31",
});

/** A stage of a machine and a job on it, by the machine's tag. */
async function place(pool: OpenPool, where: string): Promise<Place> {
  const { rows } = await pool.query(
    `select m.id as "machineId", s.id as "stageId", j.id as "jobId", m.workshop_id as "workshopId", j.opened_by as "personId"
     from machine m join stage s on s.machine_id = m.id join job_stage js on js.stage_id = s.id join job j on j.id = js.job_id
     where ${where} order by j.opened_at desc limit 1`,
  );
  return rows[0];
}

/** What is measured without the app running, and what is asked of one that runs on the demo; "large" last, which grows its works. */
const alone: Record<string, () => void | Promise<void>> = {
  "next-move": recompute,
  "drive-line": drawLine,
  judgement: measureJudgement,
  hands: measureHands,
  periods: measurePeriods,
  practice: measurePractice,
  prints: measurePrints,
  swap: measureSwap,
  strip: measureStrip,
  stacks: measureStacks,
  shaft: measureShaft,
  plucks: measurePlucks,
  tensioning: measureTensioning,
  kill: measureKills,
};
type Running = {
  base: string;
  pid: number;
  pool: OpenPool;
  home: string;
  person: Awaited<ReturnType<typeof visitor>>;
  demo: Place;
};
const running: Record<string, (app: Running) => Promise<void>> = {
  "sign-in": ({ base, person, pid }) => measureSignIn(base, person, pid),
  matrix: async ({ base, pool, demo }) => {
    const { asked, wrong } = await roleMatrix(base, await idsForRoles(pool, demo));
    console.log(
      `matrix, route by role by method: ${asked - wrong.length} of ${asked} answers as they should be${wrong.map((line) => `\n  ${line}`).join("")}`,
    );
  },
  pages: ({ person, pid, demo }) => measurePages("demo", person, pid, pagesOf(demo)),
  weights: ({ base, demo }) => measureWeights(base, demo),
  guide: ({ base, person, pid, demo }) => measureGuidePage(base, person, pid, demo.machineId),
  replay: ({ person, pid, pool }) => measureReplay(person, pid, pool),
  lock: ({ pool }) => measureLock(pool),
  crowd: ({ person, pool }) => measureCrowd(person, pool),
  stall: ({ base, person, pool }) => measureStall(base, person, pool),
  tamper: ({ person, pool, home }) => measureTamper(person, pool, join(home, "seal-key.pem")),
  large: async ({ person, pid, pool }) => {
    await growWorks(pool);
    const large = await place(pool, "m.tag = 'LINE-500'");
    await measurePages(`${size.machines} machines, ${size.weeks} weeks`, person, pid, pagesOf(large));
    await writePlans(pool, large);
  },
};

const asked = process.argv.slice(2);
const names = [...Object.keys(alone), ...Object.keys(running)];
const unknown = asked.filter((name) => !names.includes(name));
if (unknown.length > 0) {
  console.error(`No part is called ${unknown.join(", ")}. There are: ${names.join(", ")}.`);
  process.exit(2);
}
const wanted = (name: string) => asked.length === 0 || asked.includes(name);

for (const [name, measure] of Object.entries(alone)) if (wanted(name)) await measure();
if (Object.keys(running).some(wanted))
  await withThrowawayApp(async ({ base, pid, databaseUrl, clusterFolder }) => {
    const home = join(clusterFolder, "home");
    const pool = openOwnerPool(databaseUrl);
    try {
      const person = await visitor(base);
      const demo = await place(pool, "j.signed_entry is null");
      for (const [name, measure] of Object.entries(running))
        if (wanted(name)) await measure({ base, pid, pool, person, demo, home });
    } finally {
      await pool.end();
    }
  });
