import { type ClampState, type Entry, type EntryOf, isKind, type Provisional, type SignedRecord } from "./entry";

/** The stage's clamp screws: how many, and whether they are to be dressed with locking compound. */
export type Clamps = { points: readonly unknown[]; compound: boolean };

export type ClampNow = { state: ClampState | "unknown"; pass: number };

export type JobRecord = {
  asFound: EntryOf<"round"> | null;
  /** The last round; as left only if nothing was moved or clamped after it. */
  lastRound: EntryOf<"round"> | null;
  changedSinceRound: boolean;
  moves: EntryOf<"move">[];
  /** Clamp n at index n − 1. */
  clamps: ClampNow[];
  proofs: EntryOf<"proof">[];
  /** null: nobody has said. */
  power: { state: "isolated"; lock: string } | { state: "live" } | null;
  provisional: Provisional[];
};

/** What the entries of one job on one stage add up to. Entries in order of their numbers; those voided by a correction do not count. */
export function jobRecord(entries: readonly Entry[], pattern: Clamps): JobRecord {
  const voided = voidedBy(entries);
  const counting = entries.filter((entry) => !voided.has(entry.id));
  const rounds = counting.filter(isKind("round"));
  const lastRound = rounds[rounds.length - 1] ?? null;
  const changes = counting.filter((entry) => entry.kind === "move" || entry.kind === "clamp");
  const record = {
    asFound: rounds.find((round) => round.body.phase === "as-found") ?? null,
    lastRound,
    changedSinceRound: lastRound === null || changes.some((entry) => entry.seq > lastRound.seq),
    moves: counting.filter(isKind("move")),
    clamps: clampsNow(counting, pattern.points.length),
    proofs: counting.filter(isKind("proof")),
    power: powerNow(counting),
  };
  return { ...record, provisional: whatIsProvisional(record, pattern.compound) };
}

export const signedRecord = (record: JobRecord): SignedRecord => ({
  asFound: record.asFound?.body.result ?? null,
  asLeft: record.changedSinceRound ? null : (record.lastRound?.body.result ?? null),
  moves: record.moves.length,
  clampsFirm: record.clamps.filter(isTight).length,
  proofs: record.proofs.length,
});

const isTight = (clamp: ClampNow): boolean => clamp.state === "firm" || clamp.state === "dressed";

/** Ids of entries that a correction says no longer count. */
export const voidedBy = (entries: readonly Entry[]): Set<string> =>
  new Set(
    entries
      .filter(isKind("correction"))
      .filter((entry) => entry.body.voids)
      .flatMap((entry) => entry.namesEntry ?? []),
  );

function clampsNow(entries: readonly Entry[], count: number): ClampNow[] {
  const clamps: ClampNow[] = Array.from({ length: count }, () => ({ state: "unknown", pass: 0 }));
  for (const entry of entries) {
    if (entry.kind === "clamp") clamps[entry.body.clamp - 1] = { state: entry.body.state, pass: entry.body.pass };
  }
  return clamps;
}

function powerNow(entries: readonly Entry[]): JobRecord["power"] {
  const last = entries.findLast((entry) => entry.kind === "isolated" || entry.kind === "live");
  if (last?.kind === "isolated") return { state: "isolated", lock: last.body.lock };
  return last ? { state: "live" } : null;
}

function whatIsProvisional(record: Omit<JobRecord, "provisional">, compound: boolean): Provisional[] {
  const result: Provisional[] = [];
  const worked = record.moves.length > 0 || record.clamps.some((clamp) => clamp.state !== "unknown");
  if (!record.asFound) result.push("no-as-found");
  if (record.lastRound && record.lastRound.body.result.verdict !== "conforms") result.push("not-inside");
  if (record.changedSinceRound && worked) result.push("no-check-round");
  if (worked && !record.clamps.every(isTight)) result.push("clamps-not-firm");
  else if (worked && compound && !record.clamps.every((clamp) => clamp.state === "dressed")) result.push("no-compound");
  if (record.proofs.length === 0) result.push("not-proved");
  return result;
}
