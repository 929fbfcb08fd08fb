import { type ClampState, type Entry, type EntryOf, isKind, type Provisional, type SignedRecord } from "./entry";
import { firstOfRound } from "./whole-round";

/** The stage's clamp screws: how many, and whether they are to be dressed with locking compound. */
export type Clamps = { points: readonly unknown[]; compound: boolean };
/** One stage of a job. */
export type StageOfJob = { id: string; clamps: Clamps };

export type ClampNow = { state: ClampState | "unknown"; pass: number };
export type LooseThing = { entry: string; thing: string; where: string };

export type JobRecord = {
  /** A new assembly: nothing as found is looked for. */
  firstBuild: boolean;
  asFound: EntryOf<"round"> | null;
  /** The last round; as left only if nothing was moved or clamped after it. */
  lastRound: EntryOf<"round"> | null;
  /** The last round by feel, and whether anything was moved or clamped after it. */
  lastFeel: EntryOf<"feel"> | null;
  feltAsFound: EntryOf<"feel"> | null;
  changedSinceFeel: boolean;
  changedSinceRound: boolean;
  moves: EntryOf<"move">[];
  /** Clamp n at index n − 1. */
  clamps: ClampNow[];
  proofs: EntryOf<"proof">[];
  /** The last reading of each side quantity. */
  sides: EntryOf<"side">[];
  /** What was put in for the work and is not out again, on any stage of the job. */
  things: LooseThing[];
  /** null: nobody has said. */
  power: { state: "isolated"; lock: string } | { state: "live" } | null;
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
  const rounds = here.filter(isKind("round"));
  const felt = here.filter(isKind("feel"));
  const lastRound = rounds[rounds.length - 1] ?? null;
  const lastFeel = felt[felt.length - 1] ?? null;
  const changes = here.filter(
    (entry) =>
      entry.kind === "move" || entry.kind === "clamp" || (entry.kind === "change" && entry.body.what === "moved-along"),
  );
  const changedAfter = (read: { seq: number } | null) => read === null || changes.some((entry) => entry.seq > read.seq);
  const firstFound = rounds.find((round) => round.body.phase === "as-found");
  const record = {
    firstBuild: counting.some((entry) => entry.kind === "job-opened" && entry.body.firstBuild === true),
    // The round as found may have been gone on with.
    asFound: (firstFound && rounds.findLast((round) => firstOfRound(round) === firstOfRound(firstFound))) ?? null,
    lastRound,
    lastFeel,
    feltAsFound: felt.find((entry) => entry.body.phase === "as-found") ?? null,
    changedSinceRound: changedAfter(lastRound),
    changedSinceFeel: changedAfter(lastFeel),
    moves: here.filter(isKind("move")),
    clamps: clampsNow(here, stage.clamps.points.length),
    proofs: here.filter(isKind("proof")),
    sides: lastSides(here),
    things: thingsIn(counting),
    power: powerNow(counting),
  };
  return { ...record, provisional: whatIsProvisional(record, stage.clamps.compound) };
}

export const signedRecord = (record: JobRecord): SignedRecord => ({
  asFound: record.asFound?.body.result ?? null,
  asLeft: record.changedSinceRound ? null : (record.lastRound?.body.result ?? null),
  ...(leftByFeel(record) ? { asLeftByFeel: leftByFeel(record)?.body.says } : {}),
  moves: record.moves.length,
  clampsFirm: record.clamps.filter(isTight).length,
  proofs: record.proofs.length,
  ...(record.sides.length > 0 ? { sides: record.sides.map(({ body }) => body) } : {}),
});

/** The round by feel that stands for what was left, where no measured one does. */
const leftByFeel = (
  record: Pick<JobRecord, "changedSinceRound" | "changedSinceFeel" | "lastFeel">,
): EntryOf<"feel"> | null => (record.changedSinceRound && !record.changedSinceFeel ? record.lastFeel : null);

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

function thingsIn(entries: readonly Entry[]): LooseThing[] {
  const moves = entries.filter(isKind("loose-thing"));
  const out = new Set(moves.filter((entry) => entry.body.state === "out").map((entry) => entry.namesEntry));
  return moves
    .filter((entry) => entry.body.state === "in" && !out.has(entry.id))
    .map((entry) => ({ entry: entry.id, thing: entry.body.thing, where: entry.body.where }));
}

function powerNow(entries: readonly Entry[]): JobRecord["power"] {
  const last = entries.findLast((entry) => entry.kind === "isolated" || entry.kind === "live");
  if (last?.kind === "isolated") return { state: "isolated", lock: last.body.lock };
  return last ? { state: "live" } : null;
}

function whatIsProvisional(record: Omit<JobRecord, "provisional">, compound: boolean): Provisional[] {
  const result: Provisional[] = [];
  const worked = record.moves.length > 0 || record.clamps.some((clamp) => clamp.state !== "unknown");
  if (!record.asFound && !record.feltAsFound && !record.firstBuild) result.push("no-as-found");
  const feel = leftByFeel(record) ?? (record.lastRound ? null : record.lastFeel);
  const verdict = feel ? feel.body.verdict : record.lastRound?.body.result.verdict;
  if (verdict && verdict !== "conforms") result.push("not-inside");
  if (record.sides.some(({ body }) => body.verdict !== null && body.verdict !== "conforms"))
    result.push("side-not-inside");
  if (record.changedSinceRound && record.changedSinceFeel && worked) result.push("no-check-round");
  if (record.things.length > 0) result.push("things-left-in");
  if (worked && !record.clamps.every(isTight)) result.push("clamps-not-firm");
  else if (worked && compound && !record.clamps.every((clamp) => clamp.state === "dressed")) result.push("no-compound");
  if (worked && record.proofs.length === 0) result.push("not-proved");
  return result;
}
