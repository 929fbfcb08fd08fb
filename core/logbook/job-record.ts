import type { ProofPlan } from "../proving";
import { frameOf, gearNames, positionOf, type StageElement } from "../stages";
import { type Apart, apartOf } from "./apart";
import { type Entry, type EntryOf, isKind } from "./entry";
import { feltOf, feltSaid } from "./feel";
import { shaftsNotRight } from "./machine-shafts";
import { measuredOpen } from "./measured";
import { outstandingRuns, type PlannedRun, plannedRuns } from "./planned-runs";
import { ranWell, runsGoneWrong } from "./ran-well";
import type { Bodies, FeltJudged, SignedRecord, UnprovenRun } from "./schema";
import type { ClampState, Provisional } from "./vocabulary";
import { firstOfRound } from "./whole-round";

/** The stage's clamp screws: how many, and whether they are to be dressed with locking compound. */
export type Clamps = { points: readonly unknown[]; compound: boolean };
/** One stage of a job. */
export type StageOfJob = {
  id: string;
  geometry: { clamps: Clamps; element: StageElement; arcDeg?: readonly [number, number] | null };
  /** What proves it; left out: nobody has said. */
  plans?: readonly ProofPlan[] | undefined;
};

export type ClampNow = { state: ClampState | "unknown"; pass: number };
export type LooseThing = { entry: string; thing: string; where: string };

/** What was read of a mesh in a job, and whether that still stands. */
export type ReadSoFar = {
  asFound: EntryOf<"round"> | null;
  /** The last round; as left only if nothing was moved or clamped after it. */
  lastRound: EntryOf<"round"> | null;
  /** The last round by feel, and whether anything was moved or clamped after it. */
  lastFeel: EntryOf<"feel"> | null;
  feltAsFound: EntryOf<"feel"> | null;
  changedSinceFeel: boolean;
  changedSinceRound: boolean;
};
export type GearSoFar = ReadSoFar & { gear: string };

export type JobRecord = ReadSoFar & {
  /** A new assembly: nothing as found is looked for. */
  firstBuild: boolean;
  /** Of a switchable stage each of its gears by itself; empty of any other. */
  gears: GearSoFar[];
  moves: EntryOf<"move">[];
  /** Clamp n at index n − 1. */
  clamps: ClampNow[];
  proofs: EntryOf<"proof">[];
  /** Directions, of every gear, in which no powered run went well; none of a stage that has a plan of its own. */
  unproven: UnprovenRun[];
  /** The runs of its plans, and how each stands; those of the machine's plan count on whichever stage they were run. */
  planned: PlannedRun[];
  /** Ends of an axis whose switch was not seen to stop it before the buffer since it was last moved; none of what has no ends. */
  unprovenEnds: ("low" | "high")[];
  /** The last reading of each side quantity. */
  sides: EntryOf<"side">[];
  /** How a sliding gear was last found against its stops; null: not looked at. */
  shift: EntryOf<"shift"> | null;
  /** The last sweep of the actuator's force in each gear. */
  sweeps: EntryOf<"sweep">[];
  /** What was put in for the work and is not out again, on any stage of the job. */
  things: LooseThing[];
  /** What was taken apart and built up, of the whole job. */
  apart: Apart;
  /** Shafts of the machine as they were found and fitted, in order. */
  shafts: EntryOf<"shaft">[];
  /** Runout, fits, housings, frames and couplings as they were measured, in order. */
  measured: EntryOf<"measured">[];
  /** null: nobody has said. */
  power: { state: "isolated"; lock: string | null } | { state: "live" } | null;
  provisional: Provisional[];
};

/**
 * What the entries of one job add up to on one of its stages. Power and what was put in are the whole job's. Entries in order
 * of their numbers; those voided by a correction do not count.
 */
export function jobRecord(entries: readonly Entry[], stage: StageOfJob): JobRecord {
  const voided = voidedBy(entries);
  const counting = entries.filter((entry) => !voided.has(entry.id));
  const here = counting.filter((entry) => entry.stageId === stage.id);
  const { clamps, element } = stage.geometry;
  const plans = stage.plans ?? [];
  const own = plans.some(({ stageId }) => stageId === stage.id);
  const record = {
    ...readSoFar(here, null),
    gears: (gearNames(element) ?? []).map((gear) => ({ gear, ...readSoFar(here, gear) })),
    firstBuild: counting.some((entry) => entry.kind === "job-opened" && entry.body.firstBuild === true),
    moves: here.filter(isKind("move")),
    clamps: clampsNow(here, clamps.points.length),
    proofs: here.filter(isKind("proof")),
    unproven: own ? [] : unprovenRuns(here.filter(isKind("proof")), element),
    planned: plannedRuns(plans, counting.filter(isKind("proof"))),
    unprovenEnds: unprovenEnds(here, element),
    sides: lastSides(here),
    shift: here.filter(isKind("shift")).at(-1) ?? null,
    sweeps: [...new Map(here.filter(isKind("sweep")).map((sweep) => [sweep.body.gear, sweep])).values()],
    things: thingsIn(counting),
    apart: apartOf(counting),
    shafts: counting.filter(isKind("shaft")),
    measured: counting.filter(isKind("measured")),
    power: powerNow(counting),
  };
  return { ...record, provisional: whatIsProvisional(record, stage.geometry) };
}

/** What was read of a stage in a job, of one of its gears where that is named, of all otherwise. */
function readSoFar(here: readonly Entry[], gear: string | null): ReadSoFar {
  const inIt = (of: string | null | undefined) => gear === null || (of ?? null) === gear;
  const rounds = here.filter(isKind("round")).filter(({ body }) => inIt(body.result.gear));
  const felt = here.filter(isKind("feel")).filter(({ body }) => inIt(body.gear));
  const lastRound = rounds[rounds.length - 1] ?? null;
  const lastFeel = felt[felt.length - 1] ?? null;
  const changes = here.filter(
    (entry) =>
      (entry.kind === "move" && (entry.body.gear === undefined || inIt(entry.body.gear))) ||
      entry.kind === "clamp" ||
      (entry.kind === "change" && (entry.body.what === "moved-along" || entry.body.exchange !== undefined)),
  );
  const changedAfter = (read: { seq: number } | null) => read === null || changes.some((entry) => entry.seq > read.seq);
  const firstFound = rounds.find((round) => round.body.phase === "as-found");
  return {
    // The round as found may have been gone on with.
    asFound: (firstFound && rounds.findLast((round) => firstOfRound(round) === firstOfRound(firstFound))) ?? null,
    lastRound,
    lastFeel,
    feltAsFound: felt.find((entry) => entry.body.phase === "as-found") ?? null,
    changedSinceRound: changedAfter(lastRound),
    changedSinceFeel: changedAfter(lastFeel),
  };
}

/** With a gear in, what was read of that gear; of a stage that has one, of the stage. */
export const readInGear = (record: JobRecord, gear: string | null | undefined): ReadSoFar =>
  record.gears.find((one) => one.gear === gear) ?? record;

export const isRead = ({ lastRound, lastFeel }: ReadSoFar): boolean => lastRound !== null || lastFeel !== null;

/** Full face at both stops, neutral as wanted, and in without tooth on tooth; what was not measured or tried does not count against it. */
export const shiftsRight = ({ travel, engaged }: Bodies["shift"]): boolean =>
  (travel?.ok ?? true) && engaged.every(({ how }) => how === "goes in" || how === "goes in while one side turns");

/** Gears each of which has to be read, set and left right by itself: all of a stage where any of them has a position of its own. */
export const gearsByThemselves = ({ gears }: Pick<JobRecord, "gears">, element: StageElement): GearSoFar[] =>
  gears.some(({ gear }) => positionOf(element, gear) !== null) ? gears : [];

const leftOf = (
  read: ReadSoFar,
  geometry: StageOfJob["geometry"],
): Pick<SignedRecord, "asFound" | "asLeft" | "asLeftByFeel"> => {
  const felt = leftByFeel(read);
  return {
    asFound: read.asFound?.body.result ?? null,
    asLeft: read.changedSinceRound ? null : (read.lastRound?.body.result ?? null),
    ...(felt ? { asLeftByFeel: feltSaid(feltOfStage(felt, geometry)) } : {}),
  };
};

export function signedRecord(record: JobRecord, stage: StageOfJob): SignedRecord {
  const gears = record.gears.filter(isRead).map((read) => ({ gear: read.gear, ...leftOf(read, stage.geometry) }));
  return {
    ...leftOf(record, stage.geometry),
    ...(gears.length > 0 ? { gears } : {}),
    moves: record.moves.length,
    clampsFirm: record.clamps.filter(isTight).length,
    proofs: record.proofs.length,
    ...(record.sides.length > 0 ? { sides: record.sides.map(({ body }) => body) } : {}),
  };
}

/** What a round by feel of a stage says. */
export const feltOfStage = (felt: EntryOf<"feel">, geometry: StageOfJob["geometry"]): FeltJudged =>
  feltOf(felt.body, geometry.element, geometry.arcDeg);

/** To which end of an axis a run goes. */
export const endOfRun = { forwards: "high", backwards: "low" } as const;

/** A run from before a switch was moved proves nothing of it. */
function unprovenEnds(here: readonly Entry[], element: StageElement): JobRecord["unprovenEnds"] {
  if (!frameOf(element).ends) return [];
  const moved = here.findLast(({ kind }) => kind === "move")?.seq ?? 0;
  const stopped = here
    .filter(isKind("proof"))
    .filter(
      (run) =>
        run.seq > moved && run.body.way === "powered" && ranWell(run) && (run.body.axis?.leftToBuffer ?? null) !== null,
    );
  return (["backwards", "forwards"] as const)
    .filter((direction) => !stopped.some(({ body }) => body.direction === direction))
    .map((direction) => endOfRun[direction]);
}

function unprovenRuns(proofs: readonly EntryOf<"proof">[], element: StageElement): UnprovenRun[] {
  const gears = gearNames(element) ?? [null];
  const good = proofs.filter((run) => run.body.way === "powered" && ranWell(run));
  return gears.flatMap((gear) =>
    (["forwards", "backwards"] as const)
      .filter((direction) => !good.some(({ body }) => body.direction === direction && (body.gear ?? null) === gear))
      .map((direction) => ({ gear, direction })),
  );
}

/** The round by feel that stands for what was left, where no measured one does. */
const leftByFeel = (record: ReadSoFar): EntryOf<"feel"> | null =>
  record.changedSinceRound && !record.changedSinceFeel ? record.lastFeel : null;

const isTight = (clamp: ClampNow): boolean => clamp.state === "firm" || clamp.state === "dressed";
/** Screws that would shake loose under power. */
export const isSlack = (clamp: ClampNow): boolean =>
  clamp.state === "eased" || clamp.state === "started" || clamp.state === "snug";

/** Ids of entries that a correction says no longer count; a round gone on with falls with its first entry. */
export function voidedBy(entries: readonly Entry[]): Set<string> {
  const voided = new Set(
    entries
      .filter(isKind("correction"))
      .filter((entry) => entry.body.voids)
      .flatMap((entry) => entry.namesEntry ?? []),
  );
  for (const round of entries.filter(isKind("round"))) {
    if (round.namesEntry && voided.has(round.namesEntry)) voided.add(round.id);
  }
  return voided;
}

/** What was done to a stage's clamps, in its order; what a correction voids does not count. */
export function clampsTouched(entries: readonly Entry[], stageId: string): EntryOf<"clamp">[] {
  const voided = voidedBy(entries);
  return entries.filter(isKind("clamp")).filter((entry) => entry.stageId === stageId && !voided.has(entry.id));
}

/** The newest entry of each side quantity, in the order in which they were first read. */
export function lastSides(entries: readonly Entry[]): EntryOf<"side">[] {
  const last = new Map<string, EntryOf<"side">>();
  for (const entry of entries.filter(isKind("side"))) last.set(entry.body.quantity, entry);
  return [...last.values()];
}

function clampsNow(entries: readonly Entry[], count: number): ClampNow[] {
  const clamps: ClampNow[] = Array.from({ length: count }, () => ({ state: "unknown", pass: 0 }));
  for (const entry of entries) {
    if (entry.kind === "clamp" && entry.body.clamp <= count)
      clamps[entry.body.clamp - 1] = { state: entry.body.state, pass: entry.body.pass };
  }
  return clamps;
}

/** What was put in by the ledger or as the means of a round by feel: paper and paint stay in the mesh until they are taken out. */
function thingsIn(entries: readonly Entry[]): LooseThing[] {
  const said = entries.filter(isKind("loose-thing"));
  const out = new Set(said.filter((entry) => entry.body.state === "out").map((entry) => entry.namesEntry));
  const put = said
    .filter((entry) => entry.body.state === "in" && !out.has(entry.id))
    .map((entry) => ({ entry: entry.id, thing: entry.body.thing, where: entry.body.where }));
  const lastOut = (thing: string) =>
    Math.max(0, ...said.filter(({ body }) => body.state === "out" && body.thing === thing).map(({ seq }) => seq));
  // Paper that was logged place by place was rolled out to be read; it is in only while the ledger says so.
  const felt = entries.filter(isKind("feel")).filter(({ body }) => staysIn.has(body.method) && !body.paper);
  const left = felt.filter(
    ({ seq, body: { method } }, i) =>
      seq > lastOut(method) &&
      felt.findLastIndex((f) => f.body.method === method) === i &&
      !put.some(({ thing }) => thing === method),
  );
  return [
    ...put,
    ...left.map((entry) => ({ entry: entry.id, thing: entry.body.method, where: "from the round by hand" })),
  ];
}

const staysIn: ReadonlySet<string> = new Set(["paper strip", "marking paint"]);

function powerNow(entries: readonly Entry[]): JobRecord["power"] {
  const last = entries.findLast((entry) => entry.kind === "isolated" || entry.kind === "live");
  if (last?.kind === "isolated") return { state: "isolated", lock: last.body.lock };
  return last ? { state: "live" } : null;
}

/** How a mesh was last read, by number or by hand; "inside" where nobody read it, which is said by itself. */
function verdictLeft(read: ReadSoFar, geometry: StageOfJob["geometry"]): "inside" | "not-inside" | "not-judged" {
  const feel = leftByFeel(read) ?? (read.lastRound ? null : read.lastFeel);
  if (feel) return feltOfStage(feel, geometry).verdict === "inside" ? "inside" : "not-inside";
  const result = read.lastRound?.body.result;
  if (!result) return "inside";
  if (result.verdict === null) return "not-judged";
  return result.verdict === "conforms" ? "inside" : "not-inside";
}

function whatIsProvisional(record: Omit<JobRecord, "provisional">, geometry: StageOfJob["geometry"]): Provisional[] {
  const result: Provisional[] = [];
  const { compound } = geometry.clamps;
  const worked = record.moves.length > 0 || record.clamps.some((clamp) => clamp.state !== "unknown");
  const apart = gearsByThemselves(record, geometry.element);
  const meshes: readonly ReadSoFar[] = apart.length > 0 ? apart : [record];
  if (!record.firstBuild && meshes.some((read) => !read.asFound && !read.feltAsFound)) result.push("no-as-found");
  const left = meshes.map((read) => verdictLeft(read, geometry));
  if (left.includes("not-judged")) result.push("not-judged");
  if (left.includes("not-inside")) result.push("not-inside");
  if (record.sides.some(({ body }) => body.verdict !== null && body.verdict !== "conforms"))
    result.push("side-not-inside");
  if (record.shift && !shiftsRight(record.shift.body)) result.push("shift-not-right");
  if (record.sweeps.some(({ body }) => body.verdict === "rises")) result.push("force-rises");
  if (worked && meshes.some((read) => read.changedSinceRound && read.changedSinceFeel)) result.push("no-check-round");
  if (record.things.length > 0) result.push("things-left-in");
  const { off, missing, over, slack, binds } = record.apart;
  if (off.length > 0) result.push("parts-off");
  if (missing.length > 0) result.push("screws-missing");
  if (over.length > 0) result.push("screws-over");
  if (slack.length > 0) result.push("part-screws-slack");
  if (binds !== null) result.push("turns-hard");
  if (shaftsNotRight(record.shafts).length > 0) result.push("shaft-not-right");
  if (measuredOpen(record.measured).length > 0) result.push("measured-not-inside");
  const clamped = worked || record.firstBuild;
  if (clamped && record.clamps.some(isSlack)) result.push("clamps-not-firm");
  else if (clamped && record.clamps.some(({ state }) => state === "unknown")) result.push("clamps-not-known");
  else if (worked && compound && !record.clamps.every((clamp) => clamp.state === "dressed")) result.push("no-compound");
  if (worked && outstandingRuns(record.planned).length > 0) result.push("plan-not-proven");
  if (runsGoneWrong(record.proofs).length > 0) result.push("run-went-wrong");
  if (worked && !record.proofs.some((run) => run.body.way === "powered" && ranWell(run))) result.push("not-proved");
  if (worked && record.unprovenEnds.length > 0) result.push("switch-not-proved");
  return result;
}
