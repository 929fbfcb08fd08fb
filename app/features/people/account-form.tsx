import { type ReactNode, useRef, useState } from "react";
import { useFetcher } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { later, useLater } from "~/ui/use-later";
import { refusalWords } from "../words/refusal";

export type Answer = { refusal?: Refusal; done?: string };

const askBox = later(async () => (await import("~/ui/ask-box")).AskBox);

/**
 * A small form that stays on its page: what was refused is said at its field, what was done under the button. Nothing of it is kept in
 * the browser, for it may hold a password.
 */
export function AccountForm({
  label,
  hidden,
  word,
  kind = "solid",
  asks,
  children,
}: {
  label: string;
  hidden: Record<string, string>;
  word: string;
  kind?: "solid" | "line" | "quiet" | "now";
  /** Asked once more before it is sent, for what cannot be taken back. */
  asks?: { title: string; text: string };
  children?: (error: (field: string) => string | undefined) => ReactNode;
}) {
  const reader = useWords();
  const fetcher = useFetcher<Answer>();
  const answer = fetcher.state === "idle" ? fetcher.data : undefined;
  const [times, setTimes] = useState(0);
  const form = useRef<HTMLFormElement>(null);
  const [asking, setAsking] = useState(false);
  const AskBox = useLater(askBox, asking, () => setAsking(false));
  // In the same breath as the answer is shown: a password stands no moment longer.
  const [taken, setTaken] = useState<Answer | undefined>();
  if (answer?.done && answer !== taken) {
    setTaken(answer);
    setTimes((count) => count + 1);
  }
  const refusal = answer?.refusal;
  const at = String(refusal?.path[0] ?? "");
  const error = (field: string) => (refusal && at === field ? refusalWords(reader, refusal) : undefined);
  return (
    <fetcher.Form
      ref={form}
      method="post"
      onSubmit={(event) => {
        if (!asks) return;
        event.preventDefault();
        setAsking(true);
      }}
      aria-label={label}
      className="grid gap-4"
      // What was taken is gone from the fields; what was refused stays.
      key={times}
    >
      {Object.entries(hidden).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} suppressHydrationWarning />
      ))}
      {children?.(error)}
      <div className="flex flex-wrap gap-4 items-center">
        <Button kind={kind} large={kind !== "quiet"} type="submit" disabled={fetcher.state !== "idle"}>
          {word}
        </Button>
        {answer?.done && <p role="status">{answer.done}</p>}
        {refusal && (!children || at === "") && (
          <p role="alert" className="text-outside font-semibold">
            {refusalWords(reader, refusal)}
          </p>
        )}
      </div>
      {asks && asking && AskBox && (
        <AskBox title={asks.title} word={word} onOpenChange={setAsking} onSo={() => fetcher.submit(form.current)}>
          {asks.text}
        </AskBox>
      )}
    </fetcher.Form>
  );
}
