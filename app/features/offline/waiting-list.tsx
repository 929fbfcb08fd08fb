import { Link } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import { Button } from "~/ui/button";
import { refusalWords } from "../words/refusal";
import { ClockStrip, UnkeptStrip } from "./clock-strip";
import { ConfirmSignature } from "./confirm-signature";
import { FollowUp } from "./follow-up";
import { claimNobodys, putAside, sendAgain, useOutbox } from "./outbox-state";
import { contentWords } from "./waiting-words";
import { whyWords } from "./why-words";

/** How much waits and why, and what was refused, in words. */
export function WaitingList() {
  const reader = useWords();
  const { items, stopped, nobodys, others, unkept } = useOutbox();
  const refused = items.filter((item) => item.refusal);
  const unproven = items.filter((item) => item.unproven && !item.refusal);
  const waiting = items.filter((item) => !item.refusal && !item.unproven);
  const jobs = [...new Set(waiting.map((item) => item.jobId))].filter(Boolean);
  const entries = (count: number, verb: string) => `${count} ${count === 1 ? `entry ${verb}s` : `entries ${verb}`}`;
  return (
    <section aria-label="Kept on this tablet" className="bg-panel border-b-2 border-near">
      <ClockStrip />
      <UnkeptStrip />
      {others > 0 && (
        <p className="px-5 max-sm:px-3.5 py-2 text-lg" role="status">
          {entries(others, "wait")} here for somebody else, until they sign in on this tablet again.
        </p>
      )}
      {nobodys.length > 0 && (
        <div className="px-5 max-sm:px-3.5 py-2 flex flex-wrap gap-x-4 gap-y-2 items-center" role="status">
          <p className="grow text-lg">
            <b>{entries(nobodys.length, "wait")} here without a name.</b> Whose are they?{" "}
            {nobodys.map((item) => contentWords(item.payload)).join("; ")}
          </p>
          <Button onClick={claimNobodys}>They are mine</Button>
        </div>
      )}
      {unproven.map((item) => (
        <div
          key={item.id}
          role="status"
          className="px-5 max-sm:px-3.5 py-2 flex flex-wrap gap-x-4 gap-y-2 items-center"
        >
          <p className="grow text-lg">
            <b>Signed, not confirmed.</b> Show that it is you, and the signature goes into the logbook.
          </p>
          <ConfirmSignature waiting={item} />
        </div>
      ))}
      {waiting.length > 0 && (
        <div className="px-5 max-sm:px-3.5 py-2 flex flex-wrap gap-x-4 items-center" role="status">
          <p className="text-lg">
            <b>{entries(waiting.length, "wait")} on this tablet.</b>{" "}
            {stopped ? whyWords[stopped] : "They are being sent."} {unkept.length === 0 && "Nothing is lost."}
          </p>
          {jobs.map((id) => (
            <Link key={id} to={`/jobs/${id}`} className="min-h-11 inline-flex items-center">
              To the job
            </Link>
          ))}
          <details className="w-full">
            <summary className="min-h-11 content-center cursor-pointer underline">What waits</summary>
            <ol className="list-decimal pl-6 pb-2">
              {waiting.map((item) => (
                <li key={item.id}>{contentWords(item.payload)}</li>
              ))}
            </ol>
          </details>
        </div>
      )}
      {refused.map((item) => (
        <div
          key={item.id}
          role="alert"
          className="px-5 max-sm:px-3.5 py-2 flex flex-wrap gap-x-4 gap-y-2 items-center border-t-2 border-outside"
        >
          <p className="grow text-lg">
            <b>Not taken into the logbook:</b> {item.refusal && refusalWords(reader, item.refusal)}{" "}
            <span className="select-all">{contentWords(item.payload)}</span>
          </p>
          {item.refusal?.code === "job-signed" ? (
            <FollowUp jobId={item.jobId} />
          ) : (
            <Button onClick={() => sendAgain(item)}>Send again</Button>
          )}
          <Button kind="quiet" onClick={() => putAside(item.id)}>
            Put aside
          </Button>
        </div>
      ))}
    </section>
  );
}
