import { carryRound } from "../rounds";
import { type Entry, isKind, type ReadingRecord, type RoundPhase } from "./entry";
import { voidedBy } from "./job-record";
import { wholeRound } from "./whole-round";

export type CountingReading = { tooth: number; gearAngleDeg: number; backlashMm: number };

/** A round as it is known all the way round, carried over its moves where only the tight spot was read again. */
export type KnownRound = { id: string; readings: CountingReading[] };

type ReadAt = Pick<ReadingRecord, "angleDeg" | "valueMm" | "struck">;

/**
 * The readings of a round that count: those not struck out, or, while setting and where it was asked for, the round known
 * before carried over to what was read at fewer than three places.
 *
 * @param how its phase, or "carries" where the rest is carried over in any phase
 * @param teeth of the gear
 */
export function countingReadings(
  readings: readonly ReadAt[],
  how: RoundPhase | "carries",
  known: KnownRound | null,
  teeth: number,
): { readings: CountingReading[]; carriedFrom: string | null } {
  const withTooth = (list: readonly { gearAngleDeg: number; backlashMm: number }[]) =>
    list.map((reading) => ({ ...reading, tooth: (Math.round((reading.gearAngleDeg * teeth) / 360) % teeth) + 1 }));
  const fresh = readings
    .filter((reading) => !reading.struck)
    .map((reading) => ({ gearAngleDeg: reading.angleDeg, backlashMm: reading.valueMm }));
  const places = new Set(fresh.map((reading) => reading.gearAngleDeg)).size;
  const carried =
    (how === "set" || how === "carries") && places < 3 && known ? carryRound(known.readings, fresh) : null;
  if (!carried || !known) return { readings: withTooth(fresh), carriedFrom: null };
  return {
    readings: withTooth(carried.map(({ gearAngleDeg, backlashMm }) => ({ gearAngleDeg, backlashMm }))),
    carriedFrom: known.id,
  };
}

/**
 * The stage's round as known after a job's entries, each carried over from the one before it: after two moves with one reading
 * each, all twelve places are still known.
 *
 * @param entries of the job, in order
 * @param before what was known before the first of them
 */
export function knownRound(
  entries: readonly Entry[],
  stageId: string,
  teeth: number,
  before: KnownRound | null = null,
): KnownRound | null {
  const voided = voidedBy(entries);
  let known = before;
  for (const round of entries.filter(isKind("round"))) {
    if (round.stageId !== stageId || voided.has(round.id)) continue;
    const readings = wholeRound(entries, round);
    const how = round.body.result.carriedFrom ? "carries" : round.body.phase;
    known = { id: round.id, readings: countingReadings(readings, how, known, teeth).readings };
  }
  return known;
}
