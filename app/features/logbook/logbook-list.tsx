import type { NamedEntry } from "~/data/queries/entries";
import type { Stage } from "~/data/queries/stages";
import { day } from "../words/times";
import { EntryRow } from "./entry-row";

type Props = {
  entries: readonly NamedEntry[];
  /** Those that name entries of this page, wherever they stand themselves. */
  corrections: readonly NamedEntry[];
  stages: readonly Stage[];
  timeZone: string;
  mayCorrect: boolean;
};

/** A page of the logbook, newest first, by days; clamps touched one after the other fold into one line. */
export function LogbookList({ entries, corrections, stages, timeZone, mayCorrect }: Props) {
  const rows = foldClamps(entries);
  const row = (entry: NamedEntry) => (
    <EntryRow
      key={entry.id}
      entry={entry}
      stage={stages.find((stage) => stage.id === entry.stageId)}
      corrections={corrections.filter((other) => other.namesEntry === entry.id)}
      timeZone={timeZone}
      mayCorrect={mayCorrect}
    />
  );
  return (
    <ol>
      {rows.map((run, i) => {
        const first = run[0] as NamedEntry;
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
function foldClamps(entries: readonly NamedEntry[]): NamedEntry[][] {
  const runs: NamedEntry[][] = [];
  for (const entry of entries) {
    const last = runs[runs.length - 1];
    const joins =
      entry.kind === "clamp" &&
      last?.[0]?.kind === "clamp" &&
      last[0].jobId === entry.jobId &&
      last[0].stageId === entry.stageId &&
      stateOf(last[0]) === stateOf(entry);
    if (joins) last.push(entry);
    else runs.push([entry]);
  }
  return runs;
}

const stateOf = (entry: NamedEntry): string =>
  entry.kind === "clamp"
    ? entry.body.state === "snug" || entry.body.state === "started"
      ? "firm"
      : entry.body.state
    : "";

function clampWords(run: readonly NamedEntry[]): string {
  const clamps = new Set(run.map((entry) => (entry.kind === "clamp" ? entry.body.clamp : 0))).size;
  const state =
    { eased: "eased", firm: "tightened", dressed: "dressed with compound" }[stateOf(run[0] as NamedEntry)] ?? "touched";
  return `${clamps} clamps ${state}, ${run.length} touches`;
}
