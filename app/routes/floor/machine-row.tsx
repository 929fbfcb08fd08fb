import { memo } from "react";
import { Link } from "react-router";
import { OpenPointLine } from "~/app/features/logbook/open-point-line";
import { StageCell } from "~/app/features/stage/stage-cell";
import { capital, countWords } from "~/app/features/words/count";
import { jobNowWords } from "~/app/features/words/job-now";
import { clockOrDay } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { buttonClass } from "~/ui/button";
import { Fold } from "~/ui/fold";
import { MarkShape, type MarkState, stateWord } from "~/ui/state-mark";
import type { FloorRow } from "./load-floor.server";

type Allowed = { mayAdd: boolean; mayWork: boolean };

/** The columns in which every machine stands, a quiet one or not. */
const columns = "grid grid-cols-[minmax(0,1fr)_auto] lg:grid-cols-[17rem_9rem_minmax(0,1fr)] gap-x-6";

/** A machine on the floor: a line where nothing presses, else its news, the stages that make it, and what is open on it. */
export function MachineRow({ row, now, allowed }: { row: FloorRow; now: string; allowed: Allowed }) {
  return row.quiet ? <QuietRow row={row} mayAdd={allowed.mayAdd} /> : <FullRow row={row} now={now} allowed={allowed} />;
}

function QuietRow({ row: { machine, states, reasons, due }, mayAdd }: { row: FloorRow; mayAdd: boolean }) {
  return (
    <li className={`${columns} px-5 max-sm:px-3.5 border-b border-rule items-center min-h-11`}>
      <h2 className="truncate">
        <Link to={`/machines/${machine.id}`} className="text-ink font-semibold min-h-11 inline-flex items-center">
          {machine.name}
        </Link>{" "}
        <span className="figure text-mid">{machine.tag}</span>
      </h2>
      <States states={states} />
      <p className="truncate text-mid max-lg:hidden">
        {states.length === 0 && mayAdd ? (
          <Link to={`/machines/${machine.id}/stages/new`} className="text-ink">
            Enter its first stage
          </Link>
        ) : (
          [reasons[0] === "Nothing to do" ? "" : reasons[0], due].filter(Boolean).join(". ")
        )}
      </p>
    </li>
  );
}

function FullRow({ row, now, allowed }: { row: FloorRow; now: string; allowed: Allowed }) {
  const { machine, stages, states, jobs, points, due } = row;
  return (
    <li className={`${columns} gap-y-1 px-5 max-sm:px-3.5 py-2 border-b border-rule items-start`}>
      <div>
        <h2 className="text-xl font-bold leading-tight">
          <Link to={`/machines/${machine.id}`} className="text-ink min-h-11 inline-flex items-center">
            {machine.name}
          </Link>
        </h2>
        <p className="text-mid leading-tight">
          <span className="figure">{machine.tag}</span>
          {machine.where && `, ${machine.where}`}
        </p>
      </div>
      <div className="min-h-11 flex items-center">
        <States states={states} />
      </div>
      <div className="max-lg:col-span-2 grid sm:grid-cols-[minmax(0,1fr)_auto] gap-x-6">
        <div>
          <p className="text-lg font-semibold min-h-11 flex items-center">{row.reasons[0]}</p>
          {jobs.map((job) => (
            <OpenJobLine key={job.id} job={job} now={now} />
          ))}
          {due && <p className="text-mid">{due}</p>}
          {states.length === 0 && allowed.mayAdd && (
            <Link to={`/machines/${machine.id}/stages/new`} className={buttonClass("line")}>
              Enter its first stage
            </Link>
          )}
          {points.length > 0 && (
            <Fold
              look="line"
              summary={`${capital(countWords(points.length))} open ${points.length === 1 ? "point" : "points"}`}
            >
              <ul>
                {points.map((point) => (
                  <OpenPointLine
                    key={point.id}
                    point={point}
                    where={point.where}
                    now={now}
                    mayClose={allowed.mayWork}
                  />
                ))}
              </ul>
            </Fold>
          )}
        </div>
        <div className="flex flex-wrap gap-x-6 content-start justify-end max-sm:justify-start">
          {stages.slice(0, mostCells).map((item) => (
            <StageCell key={item.id} {...item} />
          ))}
          {stages.length > mostCells && (
            <Link to={`/machines/${machine.id}`} className="text-ink min-h-11 inline-flex items-center">
              {stages.length - mostCells} more
            </Link>
          )}
        </div>
      </div>
    </li>
  );
}

/** Stages shown of a machine: its page has them all. */
const mostCells = 2;

const worstFirst: readonly MarkState[] = ["outside", "near", "unknown", "inside"];
const mostMarks = 8;

/** A mark for every stage, the worst first. */
const States = memo(function States({ states }: { states: readonly MarkState[] }) {
  if (states.length === 0) return <span className="text-mid">no stage</span>;
  const sorted = [...states].sort((a, b) => worstFirst.indexOf(a) - worstFirst.indexOf(b));
  const shown = sorted.slice(0, mostMarks);
  const said = worstFirst
    .map((state) => [states.filter((one) => one === state).length, state] as const)
    .filter(([count]) => count > 0)
    .map(([count, state]) => `${count} ${stateWord[state]}`)
    .join(", ");
  return (
    <span className="inline-flex items-center gap-1">
      <svg
        width={shown.length * 16}
        height="16"
        viewBox={`0 0 ${shown.length * 16} 16`}
        role="img"
        aria-label={`Stages: ${said}`}
      >
        {shown.map((state, i) => (
          <MarkShape key={`${i} ${state}`} state={state} x={8 + 16 * i} y={8} r={5} />
        ))}
      </svg>
      {sorted.length > mostMarks && <span className="figure text-mid">+{sorted.length - mostMarks}</span>}
    </span>
  );
});

/** A job that is open on it, whose and since when, and where it stands. */
function OpenJobLine({ job, now }: { job: FloorRow["jobs"][number]; now: string }) {
  const reader = useWords();
  return (
    <p className="leading-tight">
      <Link to={`/jobs/${job.id}`} className="text-ink min-h-11 inline-flex items-center">
        Job open since {clockOrDay(reader, job.openedAt, now)}
        {job.stages.length > 0 && `, ${job.stages.join(", ").toLowerCase()}`}
      </Link>
      <span className="block text-mid">
        {job.reason}. {job.openedByName}. {jobNowWords(job.now)}
      </span>
    </p>
  );
}
