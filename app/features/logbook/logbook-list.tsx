import { useWords } from "~/app/features/words/use-words";
import { Fold } from "~/ui/fold";
import { day } from "../words/times";
import { EntryRow } from "./entry-row";
import type { LogbookLine } from "./logbook-line";

type Props = { lines: readonly LogbookLine[]; mayCorrect: boolean };

/** A page of the logbook, newest first, by days; clamps touched one after the other fold into one line. */
export function LogbookList({ lines, mayCorrect }: Props) {
  const reader = useWords();
  const rows = foldClamps(lines).map((run) => ({ run, on: day(reader, (run[0] as LogbookLine).madeAt) }));
  const row = (line: LogbookLine) => <EntryRow key={line.id} line={line} mayCorrect={mayCorrect} />;
  return (
    <ol>
      {rows.map(({ run, on }, i) => {
        const first = run[0] as LogbookLine;
        return (
          <li key={first.id}>
            {rows[i - 1]?.on !== on && <h3 className="font-bold pt-4 pb-1">{on}</h3>}
            {run.length === 1 ? (
              row(first)
            ) : (
              <Fold
                look="indented"
                className="border-t border-rule"
                summary={<b className="font-semibold">{clampWords(run)}</b>}
              >
                {run.map(row)}
              </Fold>
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
