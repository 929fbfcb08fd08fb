import { day } from "../words/times";
import { EntryRow } from "./entry-row";
import type { LogbookLine } from "./logbook-line";

type Props = { lines: readonly LogbookLine[]; timeZone: string; mayCorrect: boolean };

/** A page of the logbook, newest first, by days; clamps touched one after the other fold into one line. */
export function LogbookList({ lines, timeZone, mayCorrect }: Props) {
  const rows = foldClamps(lines);
  const row = (line: LogbookLine) => <EntryRow key={line.id} line={line} timeZone={timeZone} mayCorrect={mayCorrect} />;
  return (
    <ol>
      {rows.map((run, i) => {
        const first = run[0] as LogbookLine;
        const on = day(first.madeAt, timeZone);
        const before = rows[i - 1]?.[0];
        return (
          <li key={first.id}>
            {(!before || day(before.madeAt, timeZone) !== on) && <h3 className="font-bold pt-4 pb-1">{on}</h3>}
            {run.length === 1 ? (
              row(first)
            ) : (
              <details className="border-t border-dashed border-tape-mid/50">
                <summary className="min-h-11 content-center cursor-pointer pl-[4.25rem]">
                  <b className="font-semibold">{clampWords(run)}</b>
                </summary>
                {run.map(row)}
              </details>
            )}
          </li>
        );
      })}
    </ol>
  );
}

/** Runs of clamp entries of one job together, everything else alone. */
function foldClamps(lines: readonly LogbookLine[]): LogbookLine[][] {
  const runs: LogbookLine[][] = [];
  for (const line of lines) {
    const last = runs[runs.length - 1];
    if (line.clamp && last?.[0]?.clamp?.with === line.clamp.with) last.push(line);
    else runs.push([line]);
  }
  return runs;
}

function clampWords(run: readonly LogbookLine[]): string {
  const clamps = new Set(run.map(({ clamp }) => clamp?.number)).size;
  const became = run[0]?.clamp?.became ?? "";
  const words = { eased: "eased", firm: "tightened", dressed: "dressed with compound" }[became] ?? "touched";
  return `${clamps} clamps ${words}, ${run.length} touches`;
}
