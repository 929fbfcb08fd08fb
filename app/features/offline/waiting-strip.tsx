import { Link } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import { Button } from "~/ui/button";
import { refusalWords } from "../words/refusal";
import { ConfirmSignature } from "./confirm-signature";
import { FollowUp } from "./follow-up";
import { claimNobodys, putAside, sendAgain, useOutbox } from "./outbox-state";
import { contentWords } from "./waiting-words";

const whyWords = {
  "no-network": "There is no network.",
  server: "The server is away.",
  database: "The logbook is away.",
  "signed-out": "Sign in again to send it.",
  "other-person": "Somebody else is signed in now; it stays here for who made it.",
} as const;

/** What this tablet still holds, on every page: how much waits and why, and what was refused, in words. */
export function WaitingStrip() {
  const reader = useWords();
  const { items, stopped, nobodys, others, unkept } = useOutbox();
  const refused = items.filter((item) => item.refusal);
  const unproven = items.filter((item) => item.unproven && !item.refusal);
  const waiting = items.filter((item) => !item.refusal && !item.unproven);
  if (items.length + nobodys.length + others === 0) return <ClockStrip />;
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

/** What the tablet has no room for is only in this page: said in red, until the server has it. */
export function UnkeptStrip() {
  const { unkept, stopped } = useOutbox();
  if (unkept.length === 0) return null;
  return (
    <p role="alert" className="px-5 max-sm:px-3.5 py-2 text-lg bg-outside text-panel font-semibold shrink-0">
      Not kept: this tablet has no room left. Keep this page open until {unkept.length === 1 ? "it is" : "all of it is"}{" "}
      sent{stopped ? `. ${whyWords[stopped]}` : "."}
    </p>
  );
}
