import { type Entry, isKind } from "./entry";
import { voidedBy } from "./job-record";

/** How far entries moved an adjuster under one of its revisions: the sum of the amounts that count; a gear's own stop is none of it. */
export function movedBy(entries: readonly Entry[], adjusterId: string): number {
  const voided = voidedBy(entries);
  return entries
    .filter(isKind("move"))
    .filter((move) => move.adjusterId === adjusterId && move.body.gear === undefined && !voided.has(move.id))
    .reduce((sum, move) => sum + move.body.amount, 0);
}
