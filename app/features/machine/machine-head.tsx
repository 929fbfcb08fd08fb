import { Link } from "react-router";
import { formatNumber } from "~/app/features/words/figure";
import { clockOrDay, day } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import type { Machine } from "~/core/records";
import type { OpenJob } from "~/data/queries/jobs";
import { buttonClass } from "~/ui/button";
import { Fold } from "~/ui/fold";
import { MachineMore } from "./machine-more";
import type { ShownStage } from "./shown-stage";
import { StartJob } from "./start-job";

/** Which machine, its news as the headline, and under it what to do now: go on, start a job, or a quick touch. */
export function MachineHead({
  machine,
  news,
  stages,
  jobs,
  given,
  allowed,
  now,
  refused,
  service,
}: {
  machine: Machine;
  /** What it asks for, in words; null: nothing. */
  news: string | null;
  stages: readonly ShownStage[];
  jobs: readonly OpenJob[];
  /** Whose each open job is, where it was given to somebody. */
  given: readonly { jobId: string | null; to: { name: string }; note: string }[];
  allowed: { mayWork: boolean; mayEdit: boolean };
  now: string;
  refused: { refusal: Refusal; reason: string; stageId: string } | null;
  /** The way out of service and back, of a lead. */
  service: React.ReactNode;
}) {
  const reader = useWords();
  const place = [machine.site, machine.hall, machine.place].filter(Boolean).join(", ");
  const free = stages.filter(({ id }) => !jobs.some((job) => job.stageIds.some((one) => one === id)));
  const start = allowed.mayWork && free.length > 0 && (
    <StartJob stages={free} usual={neediest(free)} refused={refused} />
  );
  return (
    <header className="grid gap-4">
      <div className="flex flex-wrap gap-x-6 gap-y-3 items-start">
        <div className="grow min-w-0 basis-96">
          <h1>
            <span className="block text-lg font-semibold">{machine.name} </span>
            <span className="block text-3xl max-sm:text-2xl font-bold leading-tight">{news ?? "Nothing to do"}</span>
          </h1>
          <p className="text-mid mt-1">
            <span className="figure">{machine.tag}</span>
            {place && `, ${place}`}
            {machine.model && `. ${machine.model}`}
            {machine.serial && `, serial ${machine.serial}`}
            {machine.usageTotal !== null && (
              <>
                {". "}
                <span className="figure">{formatNumber(reader, machine.usageTotal, 0)}</span> {machine.usageUnit} run
              </>
            )}
          </p>
          {machine.retiredAt && (
            <p className="text-lg font-semibold text-outside" role="status">
              Out of service since {day(reader, machine.retiredAt)}. Its logbook stays.
            </p>
          )}
        </div>
        <div className="flex gap-3">
          {allowed.mayWork && stages.length > 0 && (
            <Link to={`/at/${machine.id}`} className={buttonClass("line", true)}>
              Quick touch
            </Link>
          )}
          <MachineMore key={machine.retiredAt} id={machine.id} name={machine.name} mayEdit={allowed.mayEdit}>
            {service}
          </MachineMore>
        </div>
      </div>
      {jobs.length > 0 && (
        <ul aria-label="Jobs left open" className="grid gap-2 justify-items-start">
          {jobs.map((job) => (
            <li key={job.id}>
              <Link to={`/jobs/${job.id}`} className={buttonClass("now", true)}>
                Go on with the job of {clockOrDay(reader, job.openedAt, now)}
                {stages.length > 1 &&
                  `, ${stages.flatMap(({ id, name }) => (job.stageIds.some((one) => one === id) ? [name] : [])).join(", ")}`}
              </Link>
              {given
                .filter(({ jobId }) => jobId === job.id)
                .map(({ to, note }) => (
                  <span key={to.name} className="block">
                    {to.name} has it{note && `: ${note}`}
                  </span>
                ))}
            </li>
          ))}
        </ul>
      )}
      {stages.length === 0 && allowed.mayEdit && !machine.retiredAt && (
        <p>
          <Link to={`/machines/${machine.id}/stages/new`} className={buttonClass("now", true)}>
            Enter its first stage
          </Link>
        </p>
      )}
      {start && (jobs.length > 0 && !refused ? <Fold summary="Start another job">{start}</Fold> : start)}
    </header>
  );
}

/** The stage that is worst off: where a job is most likely to begin. */
function neediest(stages: readonly ShownStage[]): string | undefined {
  const order = ["outside", "near", "unknown", "inside"];
  return [...stages].sort((a, b) => order.indexOf(a.state) - order.indexOf(b.state))[0]?.id;
}
