import { useState } from "react";
import { wordsOf } from "~/app/features/kinds";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Tick } from "~/ui/tick";
import { refusalWords } from "../../words/refusal";
import { useJobScreen } from "../entries/job-context";

/** What is to be seen on a kind of stage before it is closed. What was not ticked is said in the log as not looked at. */
export function LookOver() {
  const reader = useWords();
  const { stage, job } = useJobScreen();
  const [seen, setSeen] = useState<readonly string[]>([]);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const items = wordsOf(stage.geometry.element).lookOver ?? [];
  if (items.length === 0) return null;
  const log = async () => {
    const done = await job.put({ kind: "note", text: lookedWords(items, seen) });
    setRefusal(done.ok ? null : done.refusal);
    if (done.ok) setSeen([]);
  };
  return (
    <details className="border-t border-rule pt-2">
      <summary className="min-h-11 content-center cursor-pointer font-semibold underline">
        Look it over before it is closed
      </summary>
      {items.map((item) => (
        <Tick
          key={item}
          label={item}
          checked={seen.includes(item)}
          onChange={(on) => setSeen((was) => (on ? [...was, item] : was.filter((other) => other !== item)))}
        />
      ))}
      {refusal && (
        <p role="alert" className="text-outside font-semibold">
          {refusalWords(reader, refusal)}
        </p>
      )}
      <Button onClick={log} disabled={seen.length === 0}>
        Log what was looked at
      </Button>
    </details>
  );
}

/** "Looked over: a; b. Not looked at: c." */
export function lookedWords(items: readonly string[], seen: readonly string[]): string {
  const not = items.filter((item) => !seen.includes(item));
  const list = (of: readonly string[]) => of.join("; ");
  return `Looked over: ${list(items.filter((item) => seen.includes(item)))}.${not.length > 0 ? ` Not looked at: ${list(not)}.` : ""}`;
}
