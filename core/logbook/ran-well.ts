import type { EntryOf } from "./entry";
import type { Bodies } from "./schema";

/** Whether a run went as it should, and kept its limits where it has any; of one of an earlier release nobody said otherwise. */
export const ranWell = ({ body }: EntryOf<"proof">): boolean =>
  (body.outcome === "ran" || body.outcome === null) &&
  !touchedBuffer(body) &&
  body.judged?.verdict !== "does-not-conform";

/** Its end switch did not stop it before the buffer. */
const touchedBuffer = ({ axis }: Bodies["proof"]): boolean => (axis?.leftToBuffer ?? 1) <= 0;

/** Runs that went wrong and were not run again well in the same way. */
export function runsGoneWrong(proofs: readonly EntryOf<"proof">[]): EntryOf<"proof">[] {
  const like = (a: Bodies["proof"], b: Bodies["proof"]) =>
    a.planned || b.planned
      ? a.planned?.runId === b.planned?.runId
      : a.way === b.way && a.direction === b.direction && a.speed === b.speed && a.gear === b.gear;
  return proofs.filter((run, i) => !ranWell(run) && !proofs.slice(i + 1).some((later) => like(later.body, run.body)));
}
