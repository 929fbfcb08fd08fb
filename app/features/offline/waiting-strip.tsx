import { Link } from "react-router";
import { Button } from "~/ui/button";
import { refusalWords } from "../words/refusal";
import { FollowUp } from "./follow-up";
import { putAside, sendAgain, useOutbox } from "./outbox-state";
import { contentWords } from "./waiting-words";

const whyWords = {
  "no-network": "There is no network.",
  server: "The server is away.",
  database: "The logbook is away.",
  "signed-out": "Sign in again to send it.",
} as const;

/** What this tablet still holds, on every page: how much waits and why, and what was refused, in words. */
export function WaitingStrip() {
  const { items, stopped } = useOutbox();
  const refused = items.filter((item) => item.refusal);
  const waiting = items.filter((item) => !item.refusal);
  if (items.length === 0) return <ClockStrip />;
  const jobs = [...new Set(waiting.map((item) => item.jobId))];
  return (
    <section aria-label="Kept on this tablet" className="bg-panel border-b-2 border-near">
      <ClockStrip />
      {waiting.length > 0 && (
        <div className="px-5 max-sm:px-3.5 py-2 flex flex-wrap gap-x-4 items-center" role="status">
          <p className="text-lg">
            <b>
              {waiting.length} {waiting.length === 1 ? "entry waits" : "entries wait"} on this tablet.
            </b>{" "}
            {stopped ? whyWords[stopped] : "They are being sent."} Nothing is lost.
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
            <b>Not taken into the logbook:</b> {item.refusal && refusalWords(item.refusal)}{" "}
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

/** A clock that is wrong is told of, once it is known. */
export function ClockStrip() {
  const { clockAhead } = useOutbox();
  if (clockAhead === 0) return null;
  const size = Math.abs(clockAhead);
  const words =
    size < 120 ? `${size} minutes` : size < 2880 ? `${Math.round(size / 60)} hours` : `${Math.round(size / 1440)} days`;
  return (
    <p role="status" className="bg-panel border-b-2 border-near px-5 max-sm:px-3.5 py-2 shrink-0">
      <b>
        This tablet's clock is {words} {clockAhead > 0 ? "ahead" : "behind"}.
      </b>{" "}
      What is logged gets the right time from the server. Set the clock right before working without a network.
    </p>
  );
}
