import { useState } from "react";
import { useWords } from "~/app/features/words/use-words";
import { unitOf } from "~/core/advice";
import type { Refusal } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { asTyped, parseAmount, unitHint, wayWords } from "../../words/amount";
import { refusalWords } from "../../words/refusal";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";

/** What the technician did instead, logged as it was; the app learns from what was really done. */
export function Otherwise({
  stage,
  onOtherwise,
  onDone,
}: {
  stage: Stage;
  onOtherwise: (amount: number, note: string) => Refusal | null;
  onDone: () => void;
}) {
  const reader = useWords();
  const texts = useTexts();
  const onText = useJobScreen().job.changeText;
  const { adjuster } = stage;
  const unit = adjuster.adjuster ? unitOf(adjuster.adjuster) : "mm";
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const way = texts["move.way"] === "minus" ? "minus" : "plus";
  const submit = (event: React.FormEvent) => {
    event.preventDefault();
    const amount = parseAmount(reader, texts["move.amount"] ?? "", unit);
    if (!amount.ok) return setRefusal({ ...amount.refusal, path: ["amount"] });
    const refused = onOtherwise(way === "minus" ? -amount.value : amount.value, texts["move.note"] ?? "");
    setRefusal(refused);
    if (!refused) onDone();
  };
  return (
    <form onSubmit={submit} className="border-l-4 border-ink pl-4 grid gap-3">
      <Field
        autoFocus
        label={`${adjuster.name}: how much?`}
        value={texts["move.amount"] ?? ""}
        onChange={(event) => onText("move.amount", event.target.value)}
        hint={unitHint(reader, unit)}
        onBlur={() => onText("move.amount", asTyped(reader, texts["move.amount"] ?? "", unit))}
        error={refusal?.path[0] === "amount" ? refusalWords(reader, refusal) : undefined}
      />
      <Choice
        legend="Which way?"
        name="way"
        value={way}
        onChange={(value) => onText("move.way", value)}
        options={[
          { value: "plus", label: wayWords(adjuster, 1) },
          { value: "minus", label: wayWords(adjuster, -1) },
        ]}
      />
      <Field
        label="Why"
        value={texts["move.note"] ?? ""}
        onChange={(event) => onText("move.note", event.target.value)}
        error={refusal && refusal.path[0] !== "amount" ? refusalWords(reader, refusal) : undefined}
      />
      <Button kind="solid" large type="submit">
        Log this move
      </Button>
    </form>
  );
}
