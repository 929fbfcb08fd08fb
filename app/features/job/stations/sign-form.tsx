import { useState } from "react";
import { useRouteLoaderData } from "react-router";
import { v7 } from "uuid";
import { wordsOf } from "~/app/features/kinds";
import { useWords } from "~/app/features/words/use-words";
import type { loader as rootLoader } from "~/app/root";
import { signedRecord } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { dayIn } from "~/operations/day-in";
import { Button } from "~/ui/button";
import { DateField, isDay } from "~/ui/date-field";
import { Field, TextArea } from "~/ui/field";
import { Tick } from "~/ui/tick";
import { leftWords } from "../../words/provisional";
import { refusalWords } from "../../words/refusal";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";

/** Each thing left provisional acknowledged, the next date, a remark, the name. */
export function SignForm() {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const [ticked, setTicked] = useState<string[]>([]);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const [secret, setSecret] = useState("");
  const signer = useRouteLoaderData<typeof rootLoader>("root")?.person;
  const texts = useTexts();
  const parts = data.stages.map((stage) => {
    const record = job.recordOf(stage);
    return { stage, provisional: record.provisional, left: signedRecord(record, stage) };
  });
  const items = parts.flatMap(({ stage, provisional, left }) =>
    provisional.map((code) => ({ key: `${stage.id} ${code}`, code, stage, left })),
  );
  const several = data.stages.length > 1;
  const nextName = (stage: Stage) => (stage === data.stages[0] ? "sign.next" : `sign.next.${stage.id}`);
  const sign = async (event: React.FormEvent) => {
    event.preventDefault();
    if (items.some((item) => !ticked.includes(item.key)))
      return setRefusal({ code: "not-acknowledged", path: ["provisional"], facts: {} });
    const noDay = parts.findIndex(({ stage }) => {
      const typed = texts[nextName(stage)] ?? "";
      return typed !== "" && !isDay(typed);
    });
    if (noDay >= 0) return setRefusal({ code: "not-understood", path: ["stages", noDay, "nextDate"], facts: {} });
    setBusy(true);
    // The same id again if the answer gets lost, so that a second press signs nothing twice.
    const id = texts["sign.id"] || v7();
    job.changeText("sign.id", id);
    const result = await job.sign(
      {
        id,
        saw: job.entries.map(({ id }) => id),
        stages: parts.map(({ stage, provisional }) => ({
          stageId: stage.id,
          provisional,
          nextDate: texts[nextName(stage)] || null,
        })),
        comment: texts["sign.comment"] ?? "",
      },
      secret || undefined,
    );
    setSecret("");
    setBusy(false);
    setRefusal(result.ok ? null : result.refusal);
  };
  return (
    <form onSubmit={sign} className="grid gap-4 content-start" aria-label="Sign">
      {items.length > 0 && (
        <fieldset>
          <legend className="text-lg font-bold">Left provisional: acknowledge each</legend>
          {items.map(({ key, code, stage, left }) => (
            <Tick
              key={key}
              label={`${several ? `${stage.name}: ` : ""}${leftWords(reader, code, left)}`}
              checked={ticked.includes(key)}
              onChange={(checked) => {
                setRefusal(null);
                setTicked((was) => (checked ? [...was, key] : was.filter((other) => other !== key)));
              }}
            />
          ))}
          <p className="text-mid">Each stays on the list of open points until it is done.</p>
        </fieldset>
      )}
      {data.stages.map((stage, i) => (
        <div key={stage.id} className="grid gap-2">
          <DateField
            label={several ? `Next date, ${stage.name}` : "Next date"}
            hint={wordsOf(stage.geometry.element).lookAgain}
            value={texts[nextName(stage)] ?? ""}
            onChange={(date) => {
              setRefusal(null);
              job.changeText(nextName(stage), date);
            }}
            error={isAt(refusal, i) && refusal ? refusalWords(reader, refusal) : undefined}
          />
          <RunIn
            days={wordsOf(stage.geometry.element).runInDays}
            onPlan={(days) => {
              setRefusal(null);
              job.changeText(nextName(stage), dayIn(new Date(Date.now() + days * 86_400_000), reader.zone));
            }}
          />
        </div>
      ))}
      <TextArea
        label="Remark"
        rows={2}
        value={texts["sign.comment"] ?? ""}
        onChange={(event) => {
          setRefusal(null);
          job.changeText("sign.comment", event.target.value);
        }}
        error={refusal?.path[0] === "comment" ? refusalWords(reader, refusal) : undefined}
      />
      {(signer?.asksToSign || refusal?.path[0] === "secret") && (
        <Field
          label={signer?.hasPin ? "Your PIN or password" : "Your password"}
          type="password"
          autoComplete="off"
          value={secret}
          onChange={(event) => setSecret(event.target.value)}
          hint="Without a network it is asked for later"
          error={refusal?.path[0] === "secret" ? refusalWords(reader, refusal) : undefined}
        />
      )}
      {refusal && !["comment", "secret"].includes(String(refusal.path[0])) && refusal.path[2] !== "nextDate" && (
        <p role="alert" className="text-outside font-semibold text-lg">
          {refusalWords(reader, refusal)}
        </p>
      )}
      <Button kind="now" large type="submit" disabled={busy || !job.allHere}>
        Sign as {data.person.name}
      </Button>
      <p className="text-mid">Signed, nothing of it can be changed. A correction is a new entry beside it.</p>
    </form>
  );
}

/** What was fitted new settles while it runs in: a key that plans the look after that. */
function RunIn({ days, onPlan }: { days: number | undefined; onPlan: (days: number) => void }) {
  return days === undefined ? null : (
    <div>
      <Button kind="quiet" onClick={() => onPlan(days)}>
        New: look again after run-in, in {days} days
      </Button>
    </div>
  );
}

/** Whether what was refused is the next date of the stage at this place. */
const isAt = (refusal: Refusal | null, place: number): boolean =>
  refusal?.path[0] === "stages" && refusal.path[1] === place && refusal.path[2] === "nextDate";
