import type { PastMove } from "../advice";
import { handSquare } from "../stages";
import { type Entry, type EntryOf, isKind, type ReadingRecord } from "./entry";
import { voidedBy } from "./job-record";
import { sameTeeth } from "./known-round";
import { wholeRound } from "./whole-round";

/**
 * Moves of one stage with the rounds before and after each, oldest first, for learning the adjuster's response. A move
 * teaches only when it stands alone between two rounds and belongs to the adjuster's present revision. The check round after
 * locking up is left out: what tightening does is not the adjuster's doing.
 *
 * @param entries rounds, moves and corrections of the stage in order of their numbers
 * @param adjusterId the present revision
 * @param moved sum of the amounts of all moves under that revision, up to the last entry given
 * @param gear of one that rests against a stop of its own: the moves of that stop, with the rounds in that gear
 */
export function pastMoves(
  entries: readonly Entry[],
  adjusterId: string,
  moved: number,
  gear?: string | undefined,
): PastMove[] {
  const voided = voidedBy(entries);
  const counting = entries.filter((entry) => !voided.has(entry.id) && isOfGear(entry, gear));
  const moves: PastMove[] = [];
  const ofThis = (move: EntryOf<"move">) => (move.adjusterId === adjusterId ? move.body.amount : 0);
  let stood = moved - counting.filter(isKind("move")).reduce((sum, move) => sum + ofThis(move), 0);
  let before: EntryOf<"round"> | null = null;
  let between: EntryOf<"move">[] = [];
  for (const entry of counting) {
    if (isKind("move")(entry)) {
      between.push(entry);
      stood += ofThis(entry);
    }
    if (!isKind("round")(entry)) continue;
    const [move] = between;
    const oneMesh = before && sameTeeth(before.body.result.teeth, entry.body.result.teeth);
    if (before && oneMesh && move && between.length === 1 && entry.body.phase === "set") {
      moves.push({
        amount: move.body.amount,
        from: stood - ofThis(move),
        readingSd: Math.max(before.body.result.expandedUncertainty, entry.body.result.expandedUncertainty) / 2,
        teaches: move.body.teaches && move.adjusterId === adjusterId,
        before: placesOf(wholeRound(counting, before)),
        after: placesOf(wholeRound(counting, entry)),
      });
    }
    before = entry;
    between = [];
  }
  return moves;
}

/** Without a gear: everything but the moves of single stops. */
const isOfGear = (entry: Entry, gear: string | undefined): boolean =>
  entry.kind === "move"
    ? entry.body.gear === gear
    : gear === undefined || entry.kind !== "round" || entry.body.result.gear === gear;

/** A chain's slack read by hand counts as the sag at which it would hang, so that either way teaches the same. */
const placesOf = (readings: readonly ReadingRecord[]): PastMove["before"] =>
  readings
    .filter((reading) => !reading.struck)
    .map(({ tooth, value, quantity }) => ({
      tooth,
      value: quantity === "hand-movement" ? value / Math.sqrt(handSquare) : value,
    }));
