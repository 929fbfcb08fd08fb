import { type Entry, isKind } from "./entry";
import { voidedBy } from "./job-record";
import type { LaidStack } from "./schema";

/** What lies in a stage, and on the other side of its part where somebody has said that too. */
export type KnownStack = { here: LaidStack; other: LaidStack | null };

/**
 * The shims that lie in a stage, or the spacer under the stop of one of its gears, by its moves in order; null where nobody has said, or where something was moved since without saying
 * which.
 */
export function lastStack(entries: readonly Entry[], stageId: string, gear?: string | undefined): KnownStack | null {
  const voided = voidedBy(entries);
  const moves = entries
    .filter(isKind("move"))
    .filter((move) => move.stageId === stageId && move.body.gear === gear && !voided.has(move.id));
  const here = moves.at(-1)?.body.stack?.now;
  if (!here) return null;
  // The other side stays as it lies while only this one is changed, piece by piece.
  const saying = moves.slice(moves.findLastIndex((move) => !move.body.stack) + 1);
  return { here, other: saying.findLast((move) => move.body.stack?.other)?.body.stack?.other?.now ?? null };
}
