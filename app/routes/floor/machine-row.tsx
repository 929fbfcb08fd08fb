import { Link } from "react-router";
import { OpenPointLine } from "~/app/features/logbook/open-point-line";
import { StageCell } from "~/app/features/stage/stage-cell";
import { clockOrDay } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { buttonClass } from "~/ui/button";
import { Fold } from "~/ui/fold";
import type { FloorRow } from "./load-floor.server";

type Allowed = { mayAdd: boolean; mayWork: boolean };

/** A machine: its stages as they stand, and why it stands where it does in the list. */
export function MachineRow({ row, now, allowed }: { row: FloorRow; now: string; allowed: Allowed }) {
  const { machine, stages } = row;
  return (
    <li className="grid lg:grid-cols-[15rem_minmax(0,1fr)_20rem] gap-x-6 gap-y-3 px-5 max-sm:px-3.5 py-4 border-b border-rule items-start">
      <div>
        <h2 className="text-xl font-bold">
          <Link to={`/machines/${machine.id}`} className="text-ink min-h-11 inline-flex items-center">
            {machine.name}
          </Link>
        </h2>
        <p className="text-mid">
          <span className="figure">{machine.tag}</span>
          {machine.where && `, ${machine.where}`}
        </p>
      </div>
      <div className="flex flex-wrap gap-x-9 gap-y-3">
        {stages.map((item) => (
          <StageCell key={item.id} {...item} />
        ))}
        {stages.length === 0 && allowed.mayAdd && (
          <Link to={`/machines/${machine.id}/stages/new`} className={buttonClass("line")}>
            Enter its first stage
          </Link>
        )}
      </div>
      <WhatToKnow row={row} now={now} mayClose={allowed.mayWork} />
    </li>
  );
}

/** Its news, the jobs that are open on it, what else there is, and when it is due. */
function WhatToKnow({ row, now, mayClose }: { row: FloorRow; now: string; mayClose: boolean }) {
  const {
    stages,
    reasons: [reason, ...more],
    due,
    jobs,
    points,
  } = row;
  return (
    <div className="text-lg">
      <p className="font-semibold">{reason}</p>
      {jobs.map((job) => (
        <OpenJobLine key={job.id} job={job} of={stages} now={now} />
      ))}
      {more.length > 0 && (
        <Fold look="line" className="text-base" summary={more[0]}>
          <ul>
            {points.map((point) => (
              <OpenPointLine
                key={point.id}
                point={point}
                where={stages.find((item) => item.id === point.stageId)?.name ?? ""}
                now={now}
                mayClose={mayClose}
              />
            ))}
          </ul>
        </Fold>
      )}
      {due && <p className="text-base text-mid mt-1">{due}</p>}
    </div>
  );
}

/** A job that is open on it, whose and since when. */
function OpenJobLine({ job, of, now }: { job: FloorRow["jobs"][number]; of: FloorRow["stages"]; now: string }) {
  const reader = useWords();
  const names = of
    .filter(({ id }) => job.stageIds.some((stageId) => stageId === id))
    .map(({ name }) => name.toLowerCase());
  return (
    <p className="mt-1">
      <Link to={`/jobs/${job.id}`} className="text-ink min-h-11 inline-flex items-center">
        Job open since {clockOrDay(reader, job.openedAt, now)}
        {of.length > 1 && `, ${names.join(", ")}`}
      </Link>
      <span className="block text-mid text-base">
        {job.reason}. {job.openedByName}
      </span>
    </p>
  );
}
