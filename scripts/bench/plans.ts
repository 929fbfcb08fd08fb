import { writeFileSync } from "node:fs";
import { join, resolve } from "node:path";
import type { Database, Pool } from "../../data/postgres";
import { movedBeforeJob } from "../../data/queries/adjuster-positions";
import { assignmentsOfJob, assignmentsOfJobs } from "../../data/queries/assignments";
import { driveLineOf } from "../../data/queries/drive-lines";
import {
  attachmentsOf,
  closureWork,
  correctionsOf,
  earlierProofsOf,
  entriesOfJob,
  lastRevised,
  lastShaftEntries,
  logbookPage,
  optionsOfMachine,
  partsLeftOff,
  readingsOf,
  recentWorkOf,
  stageHistory,
  symptomWork,
  twinRuns,
  usageReadings,
} from "../../data/queries/entries";
import { floorGroups, floorPage, kindsOnFloor, retiredMachines, wholeFloor } from "../../data/queries/floor";
import { guidesOfMachine } from "../../data/queries/guides";
import { instrumentsOfWorkshop } from "../../data/queries/instruments";
import { dueStages, openJobs, openJobsOfWorkshop, signedJobs } from "../../data/queries/jobs";
import { machineById, twinsOf } from "../../data/queries/machines";
import { openPointsOf, openPointsOfWorkshop } from "../../data/queries/open-points";
import { hallsOfWorkshop, lastInstruments, planCounts, planPage } from "../../data/queries/plan";
import { proofPlans } from "../../data/queries/proof-plans";
import { foundPage, oldestEntry, type Sought } from "../../data/queries/search";
import { shaftsOfMachine } from "../../data/queries/shafts";
import { limitsRevisions, stagesById, stagesOfMachines } from "../../data/queries/stages";
import { standingsOfStages } from "../../data/queries/standings";
import { countsOfStore, itemsOfKinds, itemsOfStore, movementsOfItem } from "../../data/queries/store";
import { size } from "./large-works";

const file = resolve(import.meta.dirname, "../../docs/query-plans.md");

/** What the plan of each query behind the floor, machine, stage, job, stores and jobs pages is on the large works, for docs/query-plans.md. */
export async function writePlans(
  pool: Pool,
  at: { workshopId: string; personId: string; machineId: string; stageId: string; jobId: string },
) {
  const now = new Date();
  const soon = new Date(now.getTime() + 60 * 86_400_000);
  const today = now.toISOString().slice(0, 10);
  const days = { today, dueUntil: today, soon, now };
  const last = Number.MAX_SAFE_INTEGER;
  const machine = await machineById(pool, at.workshopId, at.machineId);
  const page = await floorPage(pool, at.workshopId, days, wholeFloor, null, null, 31);
  const ids = page.map((item) => item.id);
  const stageIds = (await stagesOfMachines(pool, ids)).map((stage) => stage.id);
  const [stage] = await stagesById(pool, [at.stageId]);
  const drawer = { kind: "shim", limit: 61 } as const;
  const shim = (await itemsOfStore(pool, at.workshopId, { ...drawer, words: "", after: null })).at(-1);
  if (!machine || !shim || !stage) throw new Error("no machine, no stage, or no shim");
  const everyDay = { site: null, hall: null, personId: null, until: null };
  const anything: Sought = { words: "", kinds: null, part: "", personId: null, from: null, to: null };
  const queries: Record<string, Record<string, (db: Database) => Promise<unknown>>> = {
    Floor: {
      "A page of machines, worst first": (db) => floorPage(db, at.workshopId, days, wholeFloor, null, null, 31),
      "The same, by words": (db) =>
        floorPage(db, at.workshopId, days, { ...wholeFloor, words: "bay 77" }, null, null, 31),
      "The same, of one's own open jobs": (db) =>
        floorPage(db, at.workshopId, days, { ...wholeFloor, mine: at.personId }, null, null, 31),
      "The same, with a kind of stage": (db) =>
        floorPage(db, at.workshopId, days, { ...wholeFloor, kind: "worm" }, null, null, 31),
      "Kinds of stage on the floor": (db) => kindsOnFloor(db, at.workshopId),
      "How sites and halls stand": (db) => floorGroups(db, at.workshopId, days, wholeFloor),
      "Retired machines": (db) => retiredMachines(db, at.workshopId, 60),
      "Stages of the page": (db) => stagesOfMachines(db, ids),
      "Standings of the page": (db) => standingsOfStages(db, stageIds),
      "Open jobs of the page": (db) => openJobs(db, ids),
      "Open points of the page": (db) => openPointsOf(db, ids),
    },
    Machine: {
      "A page of the logbook": (db) => logbookPage(db, at.machineId, last, "", 41),
      "The logbook by words": (db) => logbookPage(db, at.machineId, last, "no such words", 41),
      "Corrections of a page": (db) => correctionsOf(db, ids),
      "What it does that it should not": (db) => symptomWork(db, at.machineId, 100),
      "Meter readings": (db) => usageReadings(db, at.machineId, 400),
      "Photographs and files": (db) => attachmentsOf(db, at.machineId, 8),
      "Its twins": (db) => twinsOf(db, machine),
      "What drives what": (db) => driveLineOf(db, at.machineId),
      "Ways to build its assemblies": (db) => optionsOfMachine(db, at.machineId, 120),
    },
    Stage: {
      "What standing and trend rest on": (db) => stageHistory(db, at.stageId, 160),
      "Readings of its rounds": (db) => readingsOf(db, ids),
      "Closures of it": (db) => closureWork(db, at.stageId, 60),
      "Revisions of the limits": (db) => limitsRevisions(db, at.stageId),
    },
    Job: {
      "Entries of the job": (db) => entriesOfJob(db, at.jobId),
      "Its stages": (db) => stagesById(db, [at.stageId]),
      "What taught the adjuster": (db) => recentWorkOf(db, [at.stageId], 40, 12),
      "Where its adjuster stands": (db) => movedBeforeJob(db, [stage.adjuster.id], at.jobId),
      "Runs of its twins": (db) => twinRuns(db, [at.stageId], 8),
      "When its parts were revised": (db) => lastRevised(db, [at.stageId]),
      "Plans of its stages": (db) => proofPlans(db, at.machineId, at.stageId),
      "Whose it is": (db) => assignmentsOfJob(db, at.jobId, [at.stageId]),
      "Earlier powered runs": (db) => earlierProofsOf(db, [at.stageId], at.jobId, 6),
      "Parts that other jobs left off": (db) => partsLeftOff(db, at.machineId, at.jobId),
      "Guides of the machine": (db) => guidesOfMachine(db, at.machineId),
      "Shafts of the machine": (db) => shaftsOfMachine(db, at.machineId),
      "How its shafts were last fitted": (db) => lastShaftEntries(db, at.machineId, at.jobId),
    },
    Stores: {
      "A page of a drawer": (db) => itemsOfStore(db, at.workshopId, { ...drawer, words: "", after: null }),
      "The next page": (db) => itemsOfStore(db, at.workshopId, { ...drawer, words: "", after: shim }),
      "By words": (db) => itemsOfStore(db, at.workshopId, { ...drawer, words: "rack 7", after: null }),
      "How many there are of each kind": (db) => countsOfStore(db, at.workshopId),
      "What was taken from a drawer": (db) => movementsOfItem(db, shim.id, 100),
      "What can be put into a stage": (db) => itemsOfKinds(db, at.workshopId, ["shim", "spacer"], 400),
      "Instruments in use": (db) => instrumentsOfWorkshop(db, at.workshopId),
    },
    Jobs: {
      "Open jobs": (db) => openJobsOfWorkshop(db, at.workshopId, 100),
      "Planned visits": (db) => dueStages(db, at.workshopId, 60),
      "Jobs done": (db) => signedJobs(db, at.workshopId, null, "", 31),
      "Open points": (db) => openPointsOfWorkshop(db, at.workshopId, null, 31),
      "Whose open jobs are": (db) => assignmentsOfJobs(db, [at.jobId]),
    },
    Plan: {
      "A page of what falls due": (db) => planPage(db, at.workshopId, everyDay, null, 61),
      "One's own": (db) => planPage(db, at.workshopId, { ...everyDay, personId: at.personId }, null, 61),
      "How much there is": (db) => planCounts(db, at.workshopId, everyDay, today),
      "Halls of the works": (db) => hallsOfWorkshop(db, at.workshopId),
      "With what stages were read last": (db) => lastInstruments(db, stageIds),
    },
    Records: {
      "A word of every job": (db) => foundPage(db, at.workshopId, "UTC", { ...anything, words: "weekly" }, null, 41),
      "A rare word": (db) => foundPage(db, at.workshopId, "UTC", { ...anything, words: "knock" }, null, 41),
      "A machine in a year": (db) =>
        foundPage(
          db,
          at.workshopId,
          "UTC",
          { ...anything, part: "LINE-500", from: "2024-01-01", to: "2024-12-31" },
          null,
          41,
        ),
      "Since when": (db) => oldestEntry(db),
    },
  };
  const parts = [
    `# Query plans\n\nWritten by \`npm run bench\`: PostgreSQL's plan of every query behind these pages, on ${size.machines.toLocaleString("en")} machines with ten years of
weekly rounds beside the demo (${(size.machines * size.weeks * 3).toLocaleString("en")} entries, ${(size.machines * size.weeks * size.readings).toLocaleString("en")} readings).
"Buffers" are pages of 8 kB that were looked at: what a query costs, whatever the machine. The logbook by words is the one that reads on until
it has a page or has seen the whole logbook of that machine.\n`,
  ];
  for (const [place, list] of Object.entries(queries)) {
    parts.push(`\n## ${place}\n`);
    for (const [name, query] of Object.entries(list)) parts.push(`\n### ${name}\n\n${await planned(pool, query)}`);
  }
  writeFileSync(file, parts.join(""));
  console.log(
    `plans of ${Object.values(queries).reduce((sum, list) => sum + Object.keys(list).length, 0)} queries written to ${join("docs", "query-plans.md")}`,
  );
}

/** Runs a query for what it asks of the database, and has each statement explained. */
async function planned(pool: Pool, query: (db: Database) => Promise<unknown>): Promise<string> {
  const plans: string[] = [];
  const listening = {
    query: async (text: string, values: unknown[]) => {
      const explained = await pool.query(
        `explain (analyze, buffers, costs off, timing off, summary off) ${text}`,
        values,
      );
      plans.push(explained.rows.map((row) => row["QUERY PLAN"]).join("\n"));
      return pool.query(text, values);
    },
  } as Partial<Database> as Database;
  await query(listening);
  return plans.map((plan) => `\`\`\`\n${withoutIds(plan)}\n\`\`\`\n`).join("\n");
}

const withoutIds = (plan: string): string =>
  plan
    .replace(/[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/g, "…")
    .replace(/'\{(…,?)+\}'/g, "'{…}'")
    .replace(/\n\s*Planning:\n\s*Buffers:.*$/, "");
