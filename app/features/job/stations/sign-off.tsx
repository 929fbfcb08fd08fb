import { useWords } from "~/app/features/words/use-words";
import { isKind } from "~/core/logbook";
import { day } from "../../words/times";
import { useJobScreen } from "../entries/job-context";
import { ApartOnPage } from "./apart-on-page";
import { MeasuredOnPage } from "./measured-on-page";
import { ShaftsOnPage } from "./shafts-on-page";
import { SignForm } from "./sign-form";
import { Signed } from "./signed";
import { StageOnPage } from "./stage-on-page";

/** One page: as found, what was done, as left, what stays provisional, when to come back. Signed, it never changes. */
export function SignOff() {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const signature = job.entries.find(isKind("signature"));
  return (
    <div className="grow min-h-0 overflow-y-auto grid lg:grid-cols-[minmax(0,1fr)_minmax(0,28rem)] gap-8 p-5 max-sm:p-3.5">
      <article aria-label="The job on one page" className="grid gap-7 content-start">
        <header>
          <h2 className="text-2xl font-bold">
            {data.machine.name}
            {data.stages.length === 1 && `, ${data.stages[0]?.name}`}
          </h2>
          <p className="text-lg text-mid">
            {day(reader, data.job.openedAt)}. {data.job.reason}
          </p>
        </header>
        <ApartOnPage apart={job.record.apart} />
        <ShaftsOnPage shafts={job.record.shafts} />
        <MeasuredOnPage measured={job.record.measured} />
        {data.stages.map((stage) => (
          <StageOnPage
            key={stage.id}
            stage={stage}
            record={job.recordOf(stage)}
            entries={job.entries}
            named={data.stages.length > 1}
          />
        ))}
      </article>
      {signature ? <Signed /> : <SignForm />}
    </div>
  );
}
