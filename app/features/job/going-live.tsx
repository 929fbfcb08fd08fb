import { useState } from "react";
import { isSlack } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Dialog } from "~/ui/dialog";
import { Tick } from "~/ui/field";
import { refusalWords } from "../words/refusal";
import { liveQuestions } from "../words/state";
import { useJobScreen } from "./job-context";

/** Asked before power comes on. The app says what it saw and keeps it; it refuses nothing a competent person may do. */
export function GoingLive({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const { data, job } = useJobScreen();
  const [ticked, setTicked] = useState<string[]>([]);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const several = data.stages.length > 1;
  const loose = data.stages.flatMap((stage) =>
    job
      .recordOf(stage)
      .clamps.flatMap((clamp, i) => (isSlack(clamp) ? [`${several ? `${stage.name} ` : ""}${i + 1}`] : [])),
  );
  const { things } = job.record;
  const goLive = async () => {
    const result = await job.put({ kind: "live", acknowledged: ticked });
    if (!result.ok) return setRefusal(result.refusal);
    setTicked([]);
    setRefusal(null);
    onOpenChange(false);
  };
  return (
    <Dialog title="Before power comes on" open={open} onOpenChange={onOpenChange}>
      {loose.length + things.length > 0 ? (
        <ul className="border-l-4 border-outside pl-3 mb-3 text-lg font-semibold">
          {things.length > 0 && <li>By the ledger still in: {things.map(({ thing }) => thing).join(", ")}.</li>}
          {loose.length > 0 && (
            <li>
              By the tape, {loose.length === 1 ? `clamp ${loose[0]} is` : `clamps ${loose.join(", ")} are`} not firm.
            </li>
          )}
        </ul>
      ) : (
        <p className="border-l-4 border-inside pl-3 mb-3 text-lg font-semibold">
          By the ledger: all out, no clamp slack.
        </p>
      )}
      <p className="mb-2">Local rules and licensed trades come first.</p>
      {liveQuestions.map((question) => (
        <Tick
          key={question.key}
          label={question.text}
          checked={ticked.includes(question.key)}
          onChange={(event) =>
            setTicked((was) =>
              event.target.checked ? [...was, question.key] : was.filter((key) => key !== question.key),
            )
          }
        />
      ))}
      {refusal && (
        <p role="alert" className="text-outside font-semibold mt-2">
          {refusalWords(refusal)}
        </p>
      )}
      <div className="flex gap-3 mt-4">
        <Button kind="now" large onClick={goLive}>
          Go live
        </Button>
        <Button large onClick={() => onOpenChange(false)}>
          Stay isolated
        </Button>
      </div>
    </Dialog>
  );
}
