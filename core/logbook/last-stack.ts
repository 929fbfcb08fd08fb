import { type Entry, isKind, type LaidStack } from "./entry";
import { voidedBy } from "./job-record";

/**
 * The shims that lie in a stage, by its moves in order; null where nobody has said, or where something was moved since without saying
 * which.
 */
export function lastStack(entries: readonly Entry[], stageId: string): LaidStack | null {
  const voided = voidedBy(entries);
  const last = entries
    .filter(isKind("move"))
    .filter((move) => move.stageId === stageId && !voided.has(move.id))
    .at(-1);
  return last?.body.stack?.now ?? null;
}
