import { carryRound } from "./carry";

export type CountingReading = { tooth: number; gearAngleDeg: number; value: number };

/** A round as it is known all the way round, carried over its moves where only the tight spot was read again; of a switchable gear, in which. */
export type KnownRound = {
  id: string;
  gear?: string | undefined;
  teeth?: readonly [number, number] | undefined;
  readings: CountingReading[];
};

/** While setting, and where it was asked for, what was read at one or two places stands for the whole round. */
export type HowCounted = "as-found" | "set" | "check" | "carries";

/** Places below which a round is carried over, if one is known. */
const placesOfARound = 3;

/**
 * The readings of a round that count: those not struck out, or the round known before carried over to what was read at fewer than three
 * places.
 */
export function countingReadings(
  readings: readonly { tooth: number; angleDeg: number; value: number; struck: boolean }[],
  how: HowCounted,
  known: KnownRound | null,
): { readings: CountingReading[]; carriedFrom: string | null } {
  const fresh = readings
    .filter((reading) => !reading.struck)
    .map(({ tooth, angleDeg, value }) => ({ tooth, gearAngleDeg: angleDeg, value }));
  const places = new Set(fresh.map((reading) => reading.tooth)).size;
  const carried =
    (how === "set" || how === "carries") && places < placesOfARound && known ? carryRound(known.readings, fresh) : null;
  // Where every place was read again, nothing is carried over.
  return carried && known && carried.length > places
    ? { readings: carried, carriedFrom: known.id }
    : { readings: fresh, carriedFrom: null };
}
