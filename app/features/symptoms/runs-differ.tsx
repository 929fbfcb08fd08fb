import type { RunsThatDiffer } from "~/core/logbook";
import { nameOfRun } from "../proving/runs-beside";
import { outcomeWords } from "../words/entry";
import { asymmetryWords, runShows, runVerdictWords } from "../words/run";
import { shortDay } from "../words/times";
import { useWords } from "../words/use-words";

const most = 6;

/** What the runs that were logged say of it already: which went wrong, and which way draws more. */
export function RunsDiffer({
  runs: { wrong, unlike },
  stageName,
}: {
  runs: RunsThatDiffer;
  stageName: (id: string | null) => string;
}) {
  const reader = useWords();
  if (wrong.length + unlike.length === 0) return null;
  return (
    <section aria-labelledby="runs-differ">
      <h2 id="runs-differ" className="text-xl font-bold">
        Which runs differ
      </h2>
      <ul className="text-lg">
        {unlike.map((one) => (
          <li key={`${one.stageId} ${one.alike}`} className="border-t border-rule py-1">
            <b>{stageName(one.stageId)}:</b> {asymmetryWords(reader, one)}
          </li>
        ))}
        {wrong.slice(0, most).map((run) => {
          const { outcome, judged } = run.body;
          const how =
            outcome !== null && outcome !== "ran"
              ? outcomeWords[outcome]
              : runVerdictWords[judged?.verdict ?? "undecided"];
          return (
            <li key={run.id} className="border-t border-rule py-1">
              <b>{stageName(run.stageId)}:</b> {nameOfRun(reader, run)}, {how}
              <span className="text-mid">
                {" "}
                {[...runShows(reader, run.body), shortDay(reader, run.madeAt)].join(", ")}
              </span>
            </li>
          );
        })}
        {wrong.length > most && <li className="text-mid">and {wrong.length - most} more</li>}
      </ul>
    </section>
  );
}
