import { Link } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import { isKind } from "~/core/logbook";
import { buttonClass } from "~/ui/button";
import { Exports } from "../../export/exports";
import type { TapeEntry } from "../../logbook/tape";
import { ConfirmSignature } from "../../offline/confirm-signature";
import { useOutbox } from "../../offline/outbox-state";
import { useDoNow } from "../../shell/use-arrival";
import { leftWords } from "../../words/provisional";
import { clock, dateWords, day } from "../../words/times";
import { useJobScreen } from "../entries/job-context";
import { Countersign } from "./countersign";

/** Who signed, and what was said then; it never changes. */
export function Signed() {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const { items } = useOutbox();
  const signatures = job.entries.filter(isKind("signature"));
  useDoNow(signatures.length);
  const signature = signatures[0];
  if (!signature) return null;
  const corrections = job.entries.filter(isKind("correction"));
  const several = data.stages.length > 1;
  const nameOf = (id: string | null) => data.stages.find((stage) => stage.id === id)?.name ?? "";
  const waits = (signature as TapeEntry).waiting;
  const unproven = items.find((item) => item.unproven && item.id === signature.id);
  return (
    <section aria-label="Signature" className="grid gap-3 content-start">
      <h2 className="text-2xl font-bold">
        Signed by {signature.madeByName}, {day(reader, signature.madeAt)}{" "}
        <span className="figure">{clock(reader, signature.madeAt)}</span>
      </h2>
      {waits && (
        <p className="text-lg border-l-4 border-near pl-3" role="status">
          <b>Signed, not confirmed.</b> Kept on this tablet with everything before it; it goes into the logbook when the
          server can be reached{unproven ? " and its signer shows who they are" : ""}.
        </p>
      )}
      {unproven && <ConfirmSignature waiting={unproven} />}
      {signature.body.comment && <p className="text-lg">{signature.body.comment}</p>}
      {signatures.flatMap((item) =>
        item.body.provisional.map((code) => (
          <p key={`${item.id} ${code}`} className="text-lg">
            {several && `${nameOf(item.stageId)}: `}
            {leftWords(reader, code, item.body.record)}.
          </p>
        )),
      )}
      {signatures.map((item) => (
        <p key={item.id} className="text-lg">
          {several && `${nameOf(item.stageId)}: `}
          {item.body.nextDate ? `Next on ${dateWords(reader, item.body.nextDate)}.` : "No next date was set."}
        </p>
      ))}
      {corrections.map((entry) => (
        <p key={entry.id} className="text-lg border-l-4 border-ink pl-3">
          Corrected {day(reader, entry.madeAt)}: {entry.body.text}
        </p>
      ))}
      {!waits && <Countersign />}
      {!waits && <Exports path={`/jobs/${data.job.id}/record`} />}
      <div className="flex flex-wrap gap-3">
        <Link to={`/machines/${data.machine.id}`} className={buttonClass("now", true)}>
          To the machine's logbook
        </Link>
        {!waits && (
          <Link to={`/jobs/${data.job.id}/beside`} className={buttonClass("line", true)}>
            Beside another job
          </Link>
        )}
        {data.stages.map((stage) => (
          <Link key={stage.id} to={`/stages/${stage.id}`} className={buttonClass("line", true)}>
            {several ? `Trend of ${stage.name}` : "To the stage's trend"}
          </Link>
        ))}
      </div>
    </section>
  );
}
