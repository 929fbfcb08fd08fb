import { isKind } from "~/core/logbook";
import { nameOfRun } from "../../proving/runs-beside";
import { runShows } from "../../words/run";
import { shortDay } from "../../words/times";
import { useWords } from "../../words/use-words";
import type { RunsBeside } from "../entries/stage-before";
import { choiceName, lastOf, type RunChoice } from "./run-choice";

/** What the same run showed on a twin, and here before the parts were revised. */
export function RunsElsewhere({ choice, beside }: { choice: RunChoice; beside: readonly RunsBeside[] }) {
  const reader = useWords();
  const name = choiceName(reader, choice);
  const lines = beside.flatMap(({ twin, revisedAt, proofs }) => {
    const oldestFirst = proofs.filter(isKind("proof")).reverse();
    // A copied machine has the same runs; any other may have one that is called the same.
    const run = lastOf(choice, oldestFirst) ?? oldestFirst.findLast((one) => nameOfRun(reader, one) === name);
    const where = twin ?? `Before the parts were revised, ${revisedAt ? shortDay(reader, revisedAt) : ""}`;
    return run ? [{ where, run }] : [];
  });
  if (lines.length === 0) return null;
  return (
    <ul aria-label="The same run elsewhere" className="text-lg">
      {lines.map(({ where, run }) => (
        <li key={where} className="border-t border-rule py-1">
          <b>{where}:</b> {runShows(reader, run.body).join(", ") || "nothing was noted"}
          <span className="text-mid">, {shortDay(reader, run.madeAt)}</span>
        </li>
      ))}
    </ul>
  );
}
