import { useState } from "react";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { Fold } from "~/ui/fold";
import { Tick } from "~/ui/tick";
import { parseAmount } from "../../words/amount";
import { refusalWords } from "../../words/refusal";
import { useWords } from "../../words/use-words";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { onlyPushes } from "./only-pushes";

/** What is done to get back, in this order; each is ticked as it is done. */
const steps = [
  { key: "landed", text: "Isolated; whatever it holds is landed or propped: opened, it holds nothing" },
  { key: "seen", text: "What has to come off, and what hides the screws of it, looked at and photographed" },
  { key: "cables", text: "Cables and hoses unclipped, with slack enough; where they ran is noted" },
  { key: "slack", text: "The screw slackened well clear; that alone moves nothing" },
  { key: "drawn", text: "The part drawn back by hand, never levered; the output turns free all the way round" },
  { key: "closed", text: "Closed again, cables clear, the screw just touching" },
] as const;

/** The guided way back where a screw that only pushes went too far; nothing where it can be turned back. */
export function GoneTooFar() {
  const reader = useWords();
  const { stage, job } = useJobScreen();
  const texts = useTexts();
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  if (!onlyPushes(stage)) return null;
  const ticked = (texts["back.done"] ?? "").split(" ").filter(Boolean);
  const tick = (key: string) =>
    job.changeText(
      "back.done",
      (ticked.includes(key) ? ticked.filter((other) => other !== key) : [...ticked, key]).join(" "),
    );
  const log = async () => {
    const turns = parseAmount(reader, texts["back.turns"] ?? "", "turns");
    if (!turns.ok) return setRefusal({ ...turns.refusal, path: ["amount"] });
    if (turns.value <= 0) return setRefusal({ code: "too-small", path: ["amount"], facts: {} });
    const done = steps.filter(({ key }) => ticked.includes(key)).map(({ text }) => text.split(/[;:]/)[0]);
    const opened = (texts["back.opened"] ?? "").trim();
    const note = [
      "Gone too far, and brought back by hand",
      opened ? `taken off for it: ${opened}` : "",
      done.length > 0 ? `done: ${done.join("; ")}` : "",
      done.length < steps.length ? "the rest was not ticked" : "",
    ];
    const result = await job.put({
      kind: "move",
      amount: -turns.value,
      did: "otherwise",
      advised: null,
      reasons: [],
      note: note.filter(Boolean).join(". "),
      adjusterId: stage.adjuster.id,
    });
    setRefusal(result.ok ? null : result.refusal);
    if (result.ok) for (const name of ["done", "turns", "opened"]) job.changeText(`back.${name}`, "");
  };
  const off = () => {
    const thing = (texts["back.opened"] ?? "").trim();
    if (thing)
      void job.put({ kind: "loose-thing", state: "in", thing: `off: ${thing}`, where: "taken off to get back" });
  };
  return (
    <Fold summary="Gone too far?" className="border-t border-rule pt-1">
      <section aria-label="Gone too far" className="grid gap-3 py-2">
        <p className="text-lg">
          The screw only pushes: turning it back leaves the part where it is. The unit has to be opened, the part drawn
          back by hand, and all of it begun anew in small steps at the tight spot.
        </p>
        <Field
          label="What has to come off"
          hint="cover, 6 screws; the motor plate hides two of them"
          value={texts["back.opened"] ?? ""}
          autoComplete="off"
          onChange={(event) => job.changeText("back.opened", event.target.value)}
        />
        {(texts["back.opened"] ?? "").trim() !== "" && (
          <div>
            <Button kind="quiet" onClick={off}>
              It is off: note it in the ledger
            </Button>
          </div>
        )}
        <ul className="grid gap-1">
          {steps.map(({ key, text }) => (
            <li key={key}>
              <Tick label={text} checked={ticked.includes(key)} onChange={() => tick(key)} />
            </li>
          ))}
        </ul>
        <Field
          label="The screw was slackened by"
          hint="turns: 2, 1 1/2"
          value={texts["back.turns"] ?? ""}
          autoComplete="off"
          onChange={(event) => {
            setRefusal(null);
            job.changeText("back.turns", event.target.value);
          }}
          error={refusal?.path[0] === "amount" ? refusalWords(reader, refusal) : undefined}
        />
        {refusal && refusal.path[0] !== "amount" && (
          <p role="alert" className="text-outside font-semibold">
            {refusalWords(reader, refusal)}
          </p>
        )}
        <div>
          <Button large onClick={log}>
            It is back: log it
          </Button>
        </div>
      </section>
    </Fold>
  );
}
