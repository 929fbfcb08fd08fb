import { type Entry, type EntryOf, isKind, type ReadingRecord } from "./entry";

/** The round that a further entry goes on with; itself where it goes on with none. */
export const firstOfRound = (round: EntryOf<"round">): string => round.namesEntry ?? round.id;

/**
 * All readings of a round that was gone on with later, in the order taken, numbered through: those of its first entry and of
 * every further one that names it, up to the one given.
 *
 * @param entries of the job, in order
 */
export function wholeRound(entries: readonly Entry[], upTo: EntryOf<"round">): ReadingRecord[] {
  if (!upTo.namesEntry) return upTo.readings;
  const first = firstOfRound(upTo);
  return entries
    .filter(isKind("round"))
    .filter((round) => firstOfRound(round) === first && (round.id === upTo.id || round.seq < upTo.seq))
    .flatMap((round) => round.readings)
    .map((reading, ordinal) => ({ ...reading, ordinal }));
}
