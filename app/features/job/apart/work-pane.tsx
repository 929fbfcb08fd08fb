import { useState } from "react";
import { useWords } from "~/app/features/words/use-words";
import { type PartWork, partWorks } from "~/core/guides";
import { isKind, voidedBy } from "~/core/logbook";
import { fitWords } from "~/core/making";
import type { Refusal } from "~/core/quantity";
import { checksOf } from "~/operations/entries/part-work";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field, Select } from "~/ui/field";
import { Tick } from "~/ui/tick";
import { UsualWords } from "~/ui/usual-words";
import { capital } from "../../words/count";
import { partWorkWords } from "../../words/parts";
import { Refused } from "../../words/refused";
import { lengthUnit, withUnit } from "../../words/spoken";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";

const fields = ["before", "after", "runoutBefore", "runoutAfter"] as const;
type Sized = (typeof fields)[number];

/** What each of them is called, by the work. */
const labels: Record<PartWork, Partial<Record<Sized, string>>> = {
  drill: { before: "Drilled small first", after: "Then to size" },
  bore: { before: "Bore before", after: "Bore after", runoutBefore: "Runout before", runoutAfter: "Runout after" },
  ream: { before: "Size before", after: "Size after" },
  file: { after: "Size after" },
  "cut to length": { before: "Length before", after: "Length after" },
  "file a flat": {},
};

const advice: Record<PartWork, string> = {
  drill: "Through a guide, small first, then to size.",
  bore: "Its runout is read before and after: boring a hub off centre builds the error in.",
  ream: "In small tries, each felt; stop before slop. Blow the dust out.",
  file: "In small tries, each felt; stop before slop. Blow the dust out.",
  "cut to length": "Square, and the burr off before it is measured.",
  "file a flat": "Where it lies to the other flat, or to the mark.",
};

/** Work on a part as a step with its check: sizes, runout, how it felt, and the tries so far. */
export function WorkPane() {
  const reader = useWords();
  const { job } = useJobScreen();
  const texts = useTexts();
  const [problem, setProblem] = useState<Refusal | null>(null);
  const { parts } = job.record.apart;
  const part = parts.find(({ key }) => key === texts["work.of"]) ?? parts[0];
  const work = partWorks.find((word) => word === texts["work.what"]) ?? "drill";
  if (!part) return null;
  const typed = (key: string) => texts[`work.${key}`] ?? "";
  const change = (key: string, value: string) => {
    setProblem(null);
    job.changeText(`work.${key}`, value);
  };
  const bare = lengthUnit(reader);
  const wants = checksOf[work];
  const log = async () => {
    const said = (key: Sized) => (labels[work][key] === undefined ? "" : withUnit(typed(key), bare, "mm"));
    const result = await job.put({
      kind: "part-work",
      key: part.key,
      name: part.name,
      work,
      guided: work === "drill" && typed("guided") === "yes",
      before: said("before"),
      after: said("after"),
      runoutBefore: said("runoutBefore"),
      runoutAfter: said("runoutAfter"),
      felt: wants.includes("felt") ? (fitWords.find((word) => word === typed("felt")) ?? null) : null,
      clocking: wants.includes("clocking") ? typed("clocking") : "",
      note: typed("note"),
    });
    setProblem(result.ok ? null : result.refusal);
    if (result.ok)
      for (const key of [...fields, "felt", "clocking", "note", "guided"]) job.changeText(`work.${key}`, "");
  };
  const at = (field: string) => (problem?.path[0] === field ? <Refused refusal={problem} /> : undefined);
  const voided = voidedBy(job.entries);
  const tries = job.entries
    .filter(isKind("part-work"))
    .filter(({ id }) => !voided.has(id))
    .filter(({ body }) => body.part.key === part.key);
  const shown = fields.filter((field) => labels[work][field] !== undefined);
  return (
    <section aria-label="Work on a part" className="grid gap-3 py-2">
      <Select label="Part worked on" value={part.key} onChange={(event) => change("of", event.target.value)}>
        {parts.map(({ key, name }) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
      </Select>
      <Choice
        legend="Work"
        name="part-work"
        value={work}
        onChange={(value) => change("what", value)}
        options={partWorks.map((value) => ({ value, label: capital(value) }))}
      />
      <p className="text-lg text-mid">{advice[work]}</p>
      {work === "drill" && (
        <Tick
          label="Through a guide"
          checked={typed("guided") === "yes"}
          onChange={(checked) => change("guided", checked ? "yes" : "")}
        />
      )}
      <div className="grid sm:grid-cols-2 gap-3">
        {shown.map((field) => (
          <Field
            key={field}
            label={`${labels[work][field]}, ${bare}`}
            hint={wants.includes(field) ? undefined : "empty: not read"}
            inputMode="decimal"
            autoComplete="off"
            value={typed(field)}
            onChange={(event) => change(field, event.target.value)}
            error={at(field)}
          />
        ))}
        {wants.includes("clocking") && (
          <Field
            label="Where it lies"
            hint="square to the other flat; at the dot"
            autoComplete="off"
            value={typed("clocking")}
            onChange={(event) => change("clocking", event.target.value)}
            error={at("clocking")}
          />
        )}
      </div>
      {wants.includes("felt") && (
        <div>
          <p className="font-semibold">How it goes now</p>
          <UsualWords
            label="How it goes now"
            words={fitWords}
            value={typed("felt")}
            onPick={(word) => change("felt", word)}
          />
          {at("felt") && (
            <p role="alert" className="text-outside font-semibold">
              {at("felt")}
            </p>
          )}
        </div>
      )}
      <Field
        label="Remark on the work"
        autoComplete="off"
        value={typed("note")}
        onChange={(event) => change("note", event.target.value)}
      />
      <div>
        <Button large onClick={log}>
          Log this work
        </Button>
      </div>
      {tries.length > 0 && (
        <ol aria-label={`Work on ${part.name} so far`} className="text-lg">
          {tries.map(({ id, body }) => (
            <li key={id} className="border-t border-rule py-1.5">
              {partWorkWords(reader, body).title}
              <span className="text-mid block">{partWorkWords(reader, body).detail}</span>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
