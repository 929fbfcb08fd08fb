import { carryRound } from "../rounds";
import { type Entry, isKind, type ReadingRecord, type RoundPhase } from "./entry";
import { voidedBy } from "./job-record";
import { wholeRound } from "./whole-round";

export type CountingReading = { tooth: number; gearAngleDeg: number; value: number };

/** A round as it is known all the way round, carried over its moves where only the tight spot was read again; of a switchable gear, in which. */
export type KnownRound = { id: string; gear?: string; readings: CountingReading[] };

type ReadAt = Pick<ReadingRecord, "tooth" | "angleDeg" | "value" | "struck">;

/**
 * The readings of a round that count: those not struck out, or, while setting and where it was asked for, the round known
 * before carried over to what was read at fewer than three places.
 *
 * @param how its phase, or "carries" where the rest is carried over in any phase
 */
export function countingReadings(
  readings: readonly ReadAt[],
  how: RoundPhase | "carries",
  known: KnownRound | null,
): { readings: CountingReading[]; carriedFrom: string | null } {
  const fresh = readings
    .filter((reading) => !reading.struck)
    .map(({ tooth, angleDeg, value }) => ({ tooth, gearAngleDeg: angleDeg, value }));
  const places = new Set(fresh.map((reading) => reading.tooth)).size;
  const carried =
    (how === "set" || how === "carries") && places < 3 && known ? carryRound(known.readings, fresh) : null;
  // Where every place was read again, nothing is carried over.
  return carried && known && carried.length > places
    ? { readings: carried, carriedFrom: known.id }
    : { readings: fresh, carriedFrom: null };
}

/**
 * The stage's round as known after a job's entries, each carried over from the one before it: after two moves with one reading
 * each, all twelve places are still known. Of a switchable gear there is one for each that was read.
 *
 * @param entries of the job, in order
 * @param before what was known before the first of them
 */
export function knownRounds(
  entries: readonly Entry[],
  stageId: string,
  before: readonly KnownRound[] = [],
): KnownRound[] {
  const voided = voidedBy(entries);
  const known = new Map(before.map((round) => [round.gear, round]));
  for (const round of entries.filter(isKind("round"))) {
    if (round.stageId !== stageId || voided.has(round.id)) continue;
    const readings = wholeRound(entries, round);
    const how = round.body.result.carriedFrom ? "carries" : round.body.phase;
    const { gear } = round.body.result;
    known.set(gear, {
      id: round.id,
      gear,
      readings: countingReadings(readings, how, known.get(gear) ?? null).readings,
    });
  }
  return [...known.values()];
}

/** The one of them that was read in a gear; null where it was not. */
export const knownIn = (known: readonly KnownRound[], gear: string | undefined): KnownRound | null =>
  known.find((round) => round.gear === gear) ?? null;
