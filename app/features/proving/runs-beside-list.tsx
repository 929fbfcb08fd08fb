import { formatNumber } from "../words/figure";
import type { Reader } from "../words/reader";
import { runShows } from "../words/run";
import { shortDay } from "../words/times";
import { useWords } from "../words/use-words";
import type { RunBeside } from "./runs-beside";

/** Runs of like stages, or of two jobs, one beside the other, with how much more each draws than the first. */
export function RunsBesideList({ runs }: { runs: readonly RunBeside[] }) {
  const reader = useWords();
  return (
    <ul>
      {runs.map(({ name, of }) => (
        <li key={name} className="border-t border-rule py-2">
          <b>{name}</b>
          <ul className="grid sm:grid-cols-2 gap-x-8">
            {of.map(({ machine, run, percent }) => (
              <li key={run.id}>
                {machine}: {runShows(reader, run.body).join(", ") || run.body.outcome}
                <span className="text-mid">
                  , {shortDay(reader, run.madeAt)}
                  {percent !== null && `; draws ${againstFirst(reader, percent)}`}
                </span>
              </li>
            ))}
          </ul>
        </li>
      ))}
    </ul>
  );
}

const againstFirst = (reader: Reader, percent: number): string =>
  Math.abs(percent) < 0.5
    ? "as much as the first"
    : `${formatNumber(reader, Math.abs(percent), 0)} % ${percent < 0 ? "less" : "more"} than the first`;
