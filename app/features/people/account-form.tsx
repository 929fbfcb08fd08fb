import { type ReactNode, useEffect, useState } from "react";
import { useFetcher } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { refusalWords } from "../words/refusal";

export type Answer = { refusal?: Refusal; done?: string };

/**
 * A small form that stays on its page: what was refused is said at its field, what was done under the button. Nothing of it is kept in
 * the browser, for it may hold a password.
 */
export function AccountForm({
  label,
  hidden,
  word,
  kind = "solid",
  children,
}: {
  label: string;
  hidden: Record<string, string>;
  word: string;
  kind?: "solid" | "line" | "quiet" | "now";
  children?: (error: (field: string) => string | undefined) => ReactNode;
}) {
  const reader = useWords();
  const fetcher = useFetcher<Answer>();
  const answer = fetcher.state === "idle" ? fetcher.data : undefined;
  const [times, setTimes] = useState(0);
  useEffect(() => {
    if (answer?.done) setTimes((count) => count + 1);
  }, [answer]);
  const refusal = answer?.refusal;
  const at = String(refusal?.path[0] ?? "");
  const error = (field: string) => (refusal && at === field ? refusalWords(reader, refusal) : undefined);
  return (
    <fetcher.Form
      method="post"
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
    </fetcher.Form>
  );
}
