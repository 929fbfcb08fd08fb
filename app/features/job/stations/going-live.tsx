import { useRef, useState } from "react";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import { seenBeforePower } from "~/operations/entries/seen-before-power";
import { Button } from "~/ui/button";
import { Dialog } from "~/ui/dialog";
import { refusalWords } from "../../words/refusal";
import { liveQuestions } from "../../words/state";
import { useJobScreen } from "../entries/job-context";
import { PressList, saidOf } from "./press-list";

/** Asked before power comes on. The app says what it saw and what nobody told it, and keeps both; it refuses nothing a competent person may do. */
export function GoingLive({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const [pressed, setPressed] = useState<string[]>([]);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const go = useRef<HTMLButtonElement>(null);
  const several = data.stages.length > 1;
  const { saw, notKnown } = seenBeforePower(
    data.stages.map((stage) => ({ name: several ? stage.name : "", record: job.recordOf(stage) })),
  );
  const goLive = async () => {
    const { acknowledged } = saidOf(liveQuestions, pressed);
    const result = await job.put({ kind: "live", acknowledged });
    if (!result.ok) return setRefusal(result.refusal);
    setPressed([]);
    setRefusal(null);
    onOpenChange(false);
  };
  return (
    <Dialog title="Before power comes on" open={open} onOpenChange={onOpenChange}>
      {saw.length > 0 && (
        <p className="border-l-4 border-outside pl-3 mb-3 text-lg font-semibold">Logged: {saw.join(", ")}.</p>
      )}
      {notKnown.length > 0 && (
        <p className="border-l-4 border-near pl-3 mb-3 text-lg">
          <b>Not known:</b> {notKnown.join(", ")}. Look at {notKnown.length === 1 ? "it" : "them"}.
        </p>
      )}
      {saw.length + notKnown.length === 0 && (
        <p className="border-l-4 border-inside pl-3 mb-3 text-lg font-semibold">
          Logged: nothing left in, no loose clamp.
        </p>
      )}
      <p className="mb-2">Local rules and licensed trades come first.</p>
      <PressList
        label="Acknowledge each"
        items={liveQuestions}
        pressed={pressed}
        firstFocus
        onPress={(keys) => {
          setRefusal(null);
          setPressed(keys);
        }}
        after={() => go.current?.focus()}
      />
      {refusal && (
        <p role="alert" className="text-outside font-semibold mt-2">
          {refusalWords(reader, refusal)}
        </p>
      )}
      <div className="flex gap-3 mt-4">
        <Button ref={go} kind="now" large onClick={goLive}>
          Go live
        </Button>
        <Button large onClick={() => onOpenChange(false)}>
          Stay isolated
        </Button>
      </div>
    </Dialog>
  );
}
