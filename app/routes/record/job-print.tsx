import { useMemo } from "react";
import { RoundPane } from "~/app/features/job/read/round-pane";
import { recordedView } from "~/app/features/job/read/round-view";
import { ApartOnPage } from "~/app/features/job/stations/apart-on-page";
import { MeasuredOnPage } from "~/app/features/job/stations/measured-on-page";
import { ShaftsOnPage } from "~/app/features/job/stations/shafts-on-page";
import { StageOnPage } from "~/app/features/job/stations/stage-on-page";
import { headWords } from "~/app/features/record/head-words";
import { PrintHead } from "~/app/features/record/print-head";
import { PrintedEntries } from "~/app/features/record/printed-entries";
import { meshesRead } from "~/app/features/words/before-and-after";
import { leftWords } from "~/app/features/words/provisional";
import { clock, dateWords, day } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import { isKind, jobRecord, wholeRound } from "~/core/logbook";
import type { Route } from "./+types/job-print";
import { type LoadedRecord, loadJobRecord } from "./load-record.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Record, ${loaderData?.machine.name}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadJobRecord(asked, params.jobId));

/** The record of a job, to be printed. */
export default function JobPrint({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { machine, job, stages, entries } = loaderData;
  const signatures = entries.filter(isKind("signature"));
  const signature = signatures[0];
  return (
    <main className="p-8 max-sm:p-4 max-w-5xl mx-auto bg-panel print:p-0">
      <PrintHead path={`/jobs/${job.id}/record`} back={`/jobs/${job.id}/sign-off`} />
      <h1 className="text-3xl font-bold">
        {machine.name}, <span className="figure">{machine.tag}</span>
      </h1>
      <p className="text-lg text-mid mb-6">
        {day(reader, job.openedAt)}. {job.reason}
      </p>
      <h2 className="sr-only">{stages.length === 1 ? "The stage" : "The stages"}</h2>
      {stages[0] && <ApartOnPage apart={jobRecord(entries, stages[0]).apart} />}
      {stages[0] && <ShaftsOnPage shafts={jobRecord(entries, stages[0]).shafts} />}
      {stages[0] && <MeasuredOnPage measured={jobRecord(entries, stages[0]).measured} />}
      {stages.map((stage) => (
        <section key={stage.id} className="mb-8 grid md:grid-cols-2 print:grid-cols-2 gap-8 break-inside-avoid">
          <StageOnPage stage={stage} record={jobRecord(entries, stage)} entries={entries} named />
          <div>
            {meshesRead(stage, jobRecord(entries, stage)).map((mesh) => (
              <Picture key={mesh.gear} {...mesh} record={loaderData} />
            ))}
          </div>
        </section>
      ))}
      <section className="mb-8">
        <h2 className="text-xl font-bold border-b-2 border-ink">{signature ? "Signed" : "Not signed yet"}</h2>
        {signature && (
          <p>
            {signature.madeByName}, {day(reader, signature.madeAt)} {clock(reader, signature.madeAt)}.{" "}
            {signature.body.comment}
          </p>
        )}
        {signatures.map((item) => (
          <p key={item.id}>
            {stages.find((stage) => stage.id === item.stageId)?.name}:{" "}
            {item.body.provisional.length === 0
              ? "nothing left provisional"
              : item.body.provisional.map((code) => leftWords(reader, code, item.body.record).toLowerCase()).join("; ")}
            . {item.body.nextDate && `Next on ${dateWords(reader, item.body.nextDate)}.`}
          </p>
        ))}
      </section>
      <PrintedEntries entries={entries} stages={stages} />
      <p className="text-mid mt-4">
        Printed {day(reader, loaderData.now)}, {headWords(loaderData.head)}.
      </p>
    </main>
  );
}

/** The round as left inside its gear, with the one as found behind it. */
function Picture({ stage, read, record }: ReturnType<typeof meshesRead>[number] & { record: LoadedRecord }) {
  const { entries, instruments } = record;
  const { view, ghost } = useMemo(() => {
    const { asFound, lastRound } = read;
    const of = (round: typeof lastRound) =>
      round ? recordedView(stage, round, wholeRound(entries, round), null, undefined) : null;
    return { view: of(lastRound), ghost: asFound && asFound.id !== lastRound?.id ? of(asFound) : null };
  }, [stage, read, entries]);
  const instrument = instruments[0];
  if (!view || !instrument) return null;
  return (
    <div className="h-96">
      <RoundPane
        stage={stage}
        view={{ ...view, predicted: null }}
        ghost={ghost?.fitted ?? null}
        currentTooth={null}
        counterClockwise={false}
      />
    </div>
  );
}
