import { readWords } from "~/app/features/words/entry";
import type { Reader } from "~/app/features/words/reader";
import { day } from "~/app/features/words/times";
import { type Entry, type EntryOf, firstOfRound, isKind, wholeRound } from "~/core/logbook";

const roundsToCompare = 24;

/** Ids of the rounds to lay on each other; null: the usual two. "" for the thin line: none. */
export type RoundsAsked = { thin: string | null; full: string | null };

/** Which two rounds of a stage are laid on each other, of those that may be chosen: as found and as left, newest first. */
export function twoRounds(counting: readonly Entry[], asked: RoundsAsked) {
  const list = counting
    .filter(isKind("round"))
    .filter((round) => round.body.phase !== "set")
    .slice(-roundsToCompare)
    .reverse();
  const usual = usualPair(list);
  const of = (id: string | null | undefined) => list.find((round) => round.id === id) ?? null;
  return {
    list,
    thin: asked.thin === null ? of(usual?.thin) : of(asked.thin),
    full: of(asked.full) ?? of(usual?.full),
  };
}

/** The last round as found and the one after it in the same job; else the last two; of a switchable gear both in one gear. */
function usualPair(all: readonly EntryOf<"round">[]): { thin: string; full: string } | null {
  const last = all[0];
  if (!last) return null;
  const rounds = all.filter(({ body }) => body.result.gear === last.body.result.gear);
  const found = rounds.find(
    (round) => round.jobId === last.jobId && round.body.phase === "as-found" && round.id !== last.id,
  );
  return { thin: (found ?? rounds[1])?.id ?? "", full: last.id };
}

/** The entries that a round consists of: itself, and those it goes on with. */
export const partsOf = (counting: readonly Entry[], round: EntryOf<"round"> | null): EntryOf<"round">[] =>
  round ? counting.filter(isKind("round")).filter((other) => firstOfRound(other) === firstOfRound(round)) : [];

/** A round with the readings of all its entries. */
export const withAllReadings = (counting: readonly Entry[], round: EntryOf<"round"> | null) =>
  round && { ...round, readings: wholeRound(counting, round) };

/** In the figures of whoever reads. */
export const roundChoice = (reader: Reader, round: EntryOf<"round">) => ({
  id: round.id,
  words: `${day(reader, round.madeAt)}, ${round.body.result.gear ? `${round.body.result.gear} ` : ""}${round.body.phase === "as-found" ? "as found" : "as left"}: ${readWords(reader, round.body.result)}`,
});
