import type { Stage } from "~/core/records";
import { Button } from "~/ui/button";
import { FollowUp } from "../../offline/follow-up";
import { putAside, sendAgain } from "../../offline/outbox-state";
import type { Waiting } from "../../offline/waiting-store";
import { contentWords } from "../../offline/waiting-words";
import { Refused } from "../../words/refused";

/** An entry that the server would not take: why, what was in it, and what can be done with it. Nothing goes by itself. */
export function RefusedStrip({ waiting, stages }: { waiting: Waiting; stages: readonly Stage[] }) {
  const { refusal } = waiting;
  return (
    <div
      role="alert"
      className="bg-panel border-b-2 border-outside px-5 max-sm:px-3.5 py-2 flex flex-wrap gap-x-4 gap-y-2 items-center shrink-0"
    >
      <p className="grow">
        <b>Not taken into the logbook:</b> {refusal && <Refused refusal={refusal} />}{" "}
        <span className="select-all">{contentWords(waiting.payload, stages)}</span>
      </p>
      {refusal?.code === "job-signed" ? (
        <FollowUp jobId={waiting.jobId} />
      ) : (
        <Button kind="line" onClick={() => sendAgain(waiting)}>
          Send again
        </Button>
      )}
      <Button kind="quiet" onClick={() => putAside(waiting.id)}>
        Put aside
      </Button>
    </div>
  );
}
