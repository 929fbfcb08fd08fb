import { useState } from "react";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { slackMove } from "~/core/advice";
import type { Refusal, Result } from "~/core/quantity";
import { slackByHand } from "~/core/stages";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { moveWords, parseAmount } from "../../words/amount";
import { Refused } from "../../words/refused";
import { lengthWords } from "../../words/spoken";
import type { BesideProps } from "../kind-panes";

/**
 * The slack of a steep chain, moved up and down by hand: how much of its span, how much to take up, and by how much of which adjuster. The rule
 * for its sag does not hold there, its slack is set all the same.
 */
export function SlackByHand({ stage, element, texts, onText, onMove, easeFirst }: BesideProps<"chain">) {
  const reader = useWords();
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const { adjuster } = stage;
  const typed = texts["slack.movement"] ?? "";
  const run = slackByHand(element);
  if (!run || !adjuster.adjuster) return null;
  const read = typed.trim() === "" ? null : parseAmount(reader, typed, "mm");
  const sized: Result<{ movementMm: number }> | null =
    read && (read.ok ? { ok: true, value: { movementMm: Math.abs(read.value) } } : read);
  const found = sized?.ok
    ? slackMove({ ...run, movementMm: sized.value.movementMm, way: "steep" }, adjuster.adjuster, adjuster.step)
    : sized;
  const move = found?.ok ? found.value : null;
  const wrong = found && !found.ok ? found.refusal : refusal;
  const percent = (share: number) => `${formatNumber(reader, share, 1)} %`;
  const amount = move && move.amount !== 0 ? moveWords(reader, adjuster, move.amount) : "";
  const log = () => {
    if (!move || !sized?.ok) return;
    const note = `Slack by hand ${lengthWords(reader, sized.value.movementMm, 1)} in all, ${percent(move.percent)} of the span to each side`;
    const refused = onMove(move.amount, note);
    setRefusal(refused);
    if (!refused) onText("slack.movement", "");
  };
  return (
    <section aria-labelledby="slack" className="border-t border-rule pt-3 mt-3 grid gap-3">
      <h3 id="slack" className="text-lg font-bold">
        Its slack, by hand
      </h3>
      {typed === "" && (
        <p className="text-mid">
          Secure the load first. Move the chain to and fro in the middle of its slack span and read the whole way;
          wanted is 1 to 2 % of the span to each side (common practice, steep and reversing drives).
        </p>
      )}
      <Field
        label="Moves to and fro, in all"
        hint={`mm; wanted about ${lengthWords(reader, 0.03 * run.spanMm, 0)}`}
        inputMode="decimal"
        autoComplete="off"
        value={typed}
        onChange={(event) => onText("slack.movement", event.target.value)}
        error={wrong ? <Refused refusal={wrong} /> : undefined}
      />
      {move && (
        <p className="text-2xl font-semibold leading-snug" aria-live="polite">
          {move.amount === 0 ? (
            move.reaches ? (
              <>It has {percent(move.percent)} of slack: inside. Leave it.</>
            ) : (
              <>
                It has {percent(move.percent)} of slack, which is outside, and the {adjuster.name.toLowerCase()} has no
                step or no way left that brings it nearer: a link has to come out or go in.
              </>
            )
          ) : (
            <>
              It has {percent(move.percent)} of slack. {adjuster.name} <span className="text-now">{amount}</span>: it
              then moves {lengthWords(reader, move.thenMm, 0)} in all, {percent(move.thenPercent)}
              {move.reaches ? "" : ", the nearest it can be set and still outside"}.
            </>
          )}
        </p>
      )}
      {move && move.amount !== 0 && (
        <div>
          <Button kind="now" large onClick={log}>
            Took it up so
          </Button>
        </div>
      )}
      {typed !== "" && easeFirst}
    </section>
  );
}
