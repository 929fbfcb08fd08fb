import { countingReadings, type KnownRound } from "../rounds";
import { type Entry, isKind } from "./entry";
import { voidedBy } from "./job-record";
import { wholeRound } from "./whole-round";

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
      teeth: round.body.result.teeth,
      readings: countingReadings(readings, how, knownIn([...known.values()], gear, round.body.result.teeth)).readings,
    });
  }
  return [...known.values()];
}

/** The one of them that was read in a gear; null where it was not, or of a mesh with other tooth counts that has been exchanged since. */
export const knownIn = (
  known: readonly KnownRound[],
  gear: string | undefined,
  teeth: readonly [number, number] | null | undefined,
): KnownRound | null => known.find((round) => round.gear === gear && sameTeeth(round.teeth, teeth)) ?? null;

/** Whether two rounds, or a round and a stage, are of one mesh; where one of them does not say, nothing speaks against it. */
export const sameTeeth = (
  one: readonly [number, number] | null | undefined,
  other: readonly [number, number] | null | undefined,
): boolean => !one || !other || (one[0] === other[0] && one[1] === other[1]);
