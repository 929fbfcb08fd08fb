import { useState } from "react";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { TextArea } from "~/ui/field";
import { refusalWords } from "../../words/refusal";
import { useJobScreen } from "../entries/job-context";
import { useTyped } from "../entries/use-draft";

/** A note on the tape. */
export function NoteForm() {
  const reader = useWords();
  const { job } = useJobScreen();
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const text = useTyped(({ texts }) => texts.note ?? "");
  const put = async (event: React.FormEvent) => {
    event.preventDefault();
    const result = await job.put({ kind: "note", text });
    if (!result.ok) return setRefusal(result.refusal);
    job.changeText("note", "");
  };
  return (
    <form onSubmit={put} className="grid gap-2 content-start">
      <TextArea
        label="Note for the logbook"
        value={text}
        onChange={(event) => {
          setRefusal(null);
          job.changeText("note", event.target.value);
        }}
        error={refusal ? refusalWords(reader, refusal) : undefined}
      />
      <div>
        <Button type="submit">Add to log</Button>
      </div>
    </form>
  );
}
