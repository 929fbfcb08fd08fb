import { Link, useSearchParams } from "react-router";
import { StageOnPage } from "~/app/features/job/stations/stage-on-page";
import { runsBeside } from "~/app/features/proving/runs-beside";
import { RunsBesideList } from "~/app/features/proving/runs-beside-list";
import { PlaceHead } from "~/app/features/shell/head";
import { leftWords } from "~/app/features/words/provisional";
import { day, shortDay } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import { isKind, jobRecord, voidedBy } from "~/core/logbook";
import { Select } from "~/ui/field";
import type { Route } from "./+types/beside";
import { loadBeside } from "./load-beside.server";
import type { LoadedRecord } from "./load-record.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Two jobs, ${loaderData?.own.machine.name ?? "a machine"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) =>
    loadBeside(asked, params.jobId, new URL(request.url).searchParams.get("other")),
  );

/** Two jobs side by side: as found, what was done, as left, what stayed open; and their runs, one beside the other. */
export default function TwoJobs({ loaderData }: Route.ComponentProps) {
  const { own, other, choices } = loaderData;
  const reader = useWords();
  const [, setSearch] = useSearchParams();
  const titleOf = ({ job, machine }: LoadedRecord) => `${machine.name}, ${shortDay(reader, job.openedAt)}`;
  const runs = other
    ? runsBeside(
        reader,
        [own, other].map((one) => ({ machine: { name: titleOf(one) }, runs: runsOf(one) })),
      )
    : [];
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-7">
        <header className="flex flex-wrap gap-x-6 gap-y-3 items-end justify-between">
          <h1 className="text-3xl max-sm:text-2xl font-bold">
            {other ? "Two jobs, side by side" : "There is no other job to hold it against"}
          </h1>
          {choices.length > 0 && (
            <Select
              label="Beside it"
              value={other?.job.id ?? ""}
              onChange={(event) => setSearch({ other: event.target.value }, { replace: true })}
            >
              {choices.map(({ id, machineName, openedAt, stageNames, reason }) => (
                <option key={id} value={id}>
                  {day(reader, openedAt)}, {machineName}, {stageNames.join(", ")}: {reason}
                </option>
              ))}
            </Select>
          )}
        </header>
        <div className="grid lg:grid-cols-2 gap-x-10 gap-y-8">
          {[own, ...(other ? [other] : [])].map((one) => (
            <OneJob key={one.job.id} record={one} />
          ))}
        </div>
        {runs.length > 0 && (
          <section aria-labelledby="runs">
            <h2 id="runs" className="text-xl font-bold mb-1">
              Runs, one beside the other
            </h2>
            <RunsBesideList runs={runs} />
          </section>
        )}
      </main>
    </>
  );
}

function runsOf({ entries }: LoadedRecord) {
  const voided = voidedBy(entries);
  return entries.filter(isKind("proof")).filter(({ id }) => !voided.has(id));
}

function OneJob({ record: { job, machine, stages, entries } }: { record: LoadedRecord }) {
  const reader = useWords();
  const signatures = entries.filter(isKind("signature"));
  const [signature] = signatures;
  return (
    <section aria-label={`${machine.name}, ${day(reader, job.openedAt)}`} className="grid gap-5 content-start min-w-0">
      <div>
        <h2 className="text-2xl font-bold">{day(reader, job.openedAt)}</h2>
        <p className="text-lg">
          <Link to={`/jobs/${job.id}/sign-off`} className="text-ink">
            {machine.name}: {job.reason}
          </Link>
        </p>
        <p className="text-mid">
          {signature ? `Signed by ${signature.madeByName}. ${signature.body.comment}` : "Not signed yet"}
        </p>
      </div>
      {stages.map((stage) => (
        <StageOnPage key={stage.id} stage={stage} record={jobRecord(entries, stage)} entries={entries} named />
      ))}
      {signatures.some(({ body }) => body.provisional.length > 0) && (
        <p className="text-lg">
          <b>Left open: </b>
          {signatures
            .flatMap(({ body }) => body.provisional.map((code) => leftWords(reader, code, body.record)))
            .join("; ")}
        </p>
      )}
    </section>
  );
}
