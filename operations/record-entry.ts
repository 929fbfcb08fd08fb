import { v5 } from "uuid";
import * as z from "zod";
import { type Entry, isKind, isOverdue, knownRounds } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import type { Instrument, Job, Person, Stage } from "../core/records";
import type { KnownRound } from "../core/rounds";
import { stageTurns } from "../core/stages";
import { type Database, transaction } from "../data/postgres";
import { moveAdjuster, movedBeforeJob } from "../data/queries/adjuster-positions";
import { earlierProofsOf, entriesOfJob, partsLeftOff, recentWorkOf } from "../data/queries/entries";
import { guideRevisionOf } from "../data/queries/guides";
import { instrumentsOfWorkshop } from "../data/queries/instruments";
import { jobById } from "../data/queries/jobs";
import { type ChainHead, headOf, lockHead } from "../data/queries/machines";
import { closePoints, insertPoint } from "../data/queries/open-points";
import { machineShafts } from "../data/queries/shafts";
import { stagesById } from "../data/queries/stages";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Built, buildEntry, type StageSoFar, type WorkInput, workInput } from "./build-entry";
import { type Context, checkRole, mayWork } from "./context";
import { dayIn } from "./day-in";
import { checkInput, id, instant } from "./input";
import { machineLine } from "./machine-line";
import { onMachine } from "./on-machine";
import { refreshAfterClamp, refreshStanding } from "./refresh-standing";
import { reserve, takeReserved } from "./stores";
import { trueTime } from "./true-time";

const envelope = z.object({ id, jobId: id, stageId: id, madeAt: instant, sentAt: instant.optional() });

/**
 * An entry on an open job: a round, a round by feel, a move, a touched clamp, something put in or taken out, isolated, live, a
 * proof run or a note. What a move takes out of the stores is gone from there with it, or the move is refused. Sent twice it stays one. Two people on one job both keep their entries, in the order in which the
 * server took them.
 */
export async function recordEntry({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const head = checkInput(envelope, input);
  if (!head.ok) return head;
  const work = checkInput(workInput, input);
  if (!work.ok) return work;
  const submission = submissionOf(person.id, { ...work.value, ...head.value });
  const job = await jobById(pool, person.workshopId, head.value.jobId);
  if (!job) return refuse("no-such-job", ["jobId"]);
  return onMachine(job.machineId, async (): Promise<Result<Entry>> => {
    // Read and judged before the machine is locked; anything that comes in between moves the head, and then it is done once more.
    let made = await prepare(pool, person, job, work.value, head.value.stageId);
    return transaction(pool, async (db): Promise<Result<Entry>> => {
      const chain = await lockHead(db, job.machineId);
      const known = await alreadyThere(db, head.value.id, submission);
      if (known) return known;
      if (made.atHead !== chain.count) made = await prepare(db, person, job, work.value, head.value.stageId);
      if (!made.ready.ok) return made.ready;
      const { stage, built, instruments } = made.ready.value;
      const { kind } = work.value;
      const stock = "stock" in work.value ? work.value.stock : [];
      if (stock.length > 0) {
        const reserved = await reserve(db, person.workshopId, stock);
        if (!reserved.ok) return reserved;
      }
      const { madeAt } = trueTime(head.value.madeAt, head.value.sentAt, now);
      const overdue = overdueOn(work.value, instruments, dayIn(madeAt, person.timeZone));
      const entry = await appendEntry(db, chain, {
        ...built,
        body: overdue ? { ...built.body, overdue } : built.body,
        id: head.value.id,
        machineId: job.machineId,
        jobId: job.id,
        stageId: stage.id,
        kind,
        madeBy: person.id,
        madeByName: person.name,
        submission,
        madeAt,
        recordedAt: now,
        geometryId: stage.geometry.id,
        adjusterId: stage.adjuster.id,
        limitsId: stage.limits?.id ?? null,
      });
      // The stop of one gear is none of the stage's adjuster.
      if (isKind("move")(entry) && entry.body.gear === undefined) {
        await moveAdjuster(db, stage.adjuster.id, entry.body.amount);
        await moveAlong(db, chain, stage, entry);
      }
      if (stock.length > 0)
        await takeReserved(db, stock, { entryId: entry.id, why: stage.name, madeBy: person.id, at: now });
      await keepOrders(db, entry);
      if (kind === "clamp") await refreshAfterClamp(db, stage.id);
      else if (kind === "round" || kind === "side" || kind === "feel" || kind === "move")
        await refreshStanding(db, stage.id);
      return accept(entry);
    });
  });
}

/** What is to be written, as the job stood at a head of its machine's logbook. */
type Made = {
  atHead: number;
  ready: Result<{ stage: Stage; built: Built; instruments: readonly Instrument[] }>;
};

/** Kinds that are read with an instrument. */
const readsWith: ReadonlySet<WorkInput["kind"]> = new Set(["round", "side", "seat", "shaft", "measured"]);

/** Kinds that say what they say whatever the job holds so far: its entries are not read for them. */
const standAlone: readonly WorkInput["kind"][] = ["note", "feel", "shift", "clamp", "isolated"];

async function prepare(
  db: Database,
  person: Person,
  { id, machineId }: Job,
  work: WorkInput,
  stageId: string,
): Promise<Made> {
  // First: what comes in while the rest is read moves the head past this.
  const { count: atHead } = await headOf(db, machineId);
  const job = await jobById(db, person.workshopId, id);
  if (!job || job.signedEntry) return { atHead, ready: refuse(job ? "job-signed" : "no-such-job", ["jobId"]) };
  const stages = await stagesById(db, job.stageIds);
  const stage = stages.find((candidate) => candidate.id === stageId);
  if (!stage) return { atHead, ready: refuse("no-such-stage", ["stageId"]) };
  const reads = readsWith.has(work.kind);
  if ("guide" in work && work.guide && !(await guideRevisionOf(db, machineId, work.guide.revisionId)))
    return { atHead, ready: refuse("no-such-guide", ["guide"]) };
  const instruments = reads ? await instrumentsOfWorkshop(db, person.workshopId) : [];
  const entries = standAlone.includes(work.kind)
    ? []
    : [...(await partsLeftOff(db, machineId, job.id)), ...(await entriesOfJob(db, job.id))];
  const before = {
    known:
      work.kind === "round" && work.carries
        ? roundsBefore((await recentWorkOf(db, [stage.id], lookBack, lookBack)).get(stage.id) ?? [], stage.id, job.id)
        : [],
    moved:
      work.kind === "move" ? ((await movedBeforeJob(db, [stage.adjuster.id], job.id)).get(stage.adjuster.id) ?? 0) : 0,
  };
  const run = work.kind === "proof" ? await beforeRun(db, stage, job.id) : {};
  const shafts = work.kind === "shaft" ? await machineShafts(db, machineId, job.id) : [];
  const built = buildEntry(work, stage, instruments, entries, stages, { ...before, ...run }, shafts);
  return { atHead, ready: built.ok ? accept({ stage, built: built.value, instruments }) : built };
}

/** Runs of earlier jobs that are looked at for the last one of each run of a plan. */
export const runsLookedAt = 40;

/** What a run is held against beside its plan: earlier runs, and what its train gives. */
async function beforeRun(db: Database, stage: Stage, jobId: string): Promise<Pick<StageSoFar, "proofs" | "turns">> {
  const proofs = await earlierProofsOf(db, [stage.id], jobId, runsLookedAt);
  const line = await machineLine(db, stage.machineId, [stage]);
  return { proofs: proofs.get(stage.id) ?? [], turns: line && stageTurns(line.kept, line.stages, stage.id) };
}

/** The day on which the calibration of what it was read with had been due; null where it was in date, or nothing was read. */
function overdueOn(work: WorkInput, instruments: readonly Instrument[], today: string): string | null {
  const used =
    work.kind === "round"
      ? work.method.instrumentId
      : work.kind === "side" || work.kind === "seat" || work.kind === "shaft" || work.kind === "measured"
        ? work.instrumentId
        : null;
  const dueOn = instruments.find(({ id: own }) => own === used)?.dueOn ?? null;
  return isOverdue(dueOn, today) ? dueOn : null;
}

/** A part to be ordered must not be forgotten, until a new one is fitted. */
async function keepOrders(db: Database, entry: Entry): Promise<void> {
  if (isKind("part-off")(entry) && entry.body.fate === "order one") {
    const { part, conditions } = entry.body;
    await insertPoint(db, {
      id: v5("order", entry.id),
      machineId: entry.machineId,
      stageId: entry.stageId,
      code: "order",
      text: [part.name, conditions.join(", ")].filter(Boolean).join(": "),
      openedEntry: entry.id,
      openedBy: entry.madeBy,
      openedAt: entry.madeAt,
    });
  }
  if (isKind("part-on")(entry) && entry.body.fresh && entry.namesEntry)
    await closePoints(db, [v5("order", entry.namesEntry)], entry.id);
}

/** What a move does to other stages of the machine is noted on each of them: it has to be read again. */
async function moveAlong(db: Database, chain: ChainHead, stage: Stage, move: Entry): Promise<void> {
  const others = await stagesById(
    db,
    stage.adjuster.alsoMoves.map(({ stageId }) => stageId),
  );
  for (const other of others.filter(({ machineId, retiredAt }) => machineId === stage.machineId && !retiredAt)) {
    await appendEntry(db, chain, {
      id: v5(other.id, move.id),
      machineId: other.machineId,
      jobId: move.jobId,
      stageId: other.id,
      kind: "change",
      body: {
        what: "moved-along",
        text: `${stage.adjuster.name} of the ${stage.name.toLowerCase()} was moved`,
        warnings: [],
      },
      madeBy: move.madeBy,
      madeAt: move.madeAt,
      recordedAt: new Date(move.recordedAt),
    });
    await refreshStanding(db, other.id);
  }
}

/** Rounds and moves that the last whole round may lie behind. */
export const lookBack = 12;

/** A stage's round as it was known before a job, carried over the moves since it was whole; one for each gear. */
export function roundsBefore(work: readonly Entry[], stageId: string, jobId: string | null): KnownRound[] {
  const newest = (kind: Entry["kind"]) => work.filter((entry) => entry.kind === kind).slice(-lookBack);
  const recent = new Set([...newest("round"), ...newest("move")].map(({ id }) => id));
  const within = work.filter(({ id, kind, namesEntry }) =>
    kind === "correction" ? namesEntry !== null && recent.has(namesEntry) : recent.has(id),
  );
  return knownRounds(
    within.filter((entry) => jobId === null || entry.jobId !== jobId),
    stageId,
  );
}
