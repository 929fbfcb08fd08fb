import { useState } from "react";
import { v7 } from "uuid";
import type { ProofPlan, ProofPlanFields } from "~/core/proving";
import { FormEnd } from "../form/form-end";
import { OrderedRowsField } from "../form/ordered-rows-field";
import { RowsField } from "../form/rows-field";
import { SavedForm } from "../form/saved-form";
import { TextField } from "../form/text-field";
import { TextReader } from "../form/text-reader";
import { useFormTexts } from "../form/use-form-texts";
import { useSavedForm } from "../form/use-saved-form";
import { MoreFields } from "../kinds/form-parts";
import { quantityOfRun, runName } from "../words/run";
import { useWords } from "../words/use-words";
import { limitColumns, metered, meterName, planTexts, readPlan, runColumns } from "./plan-texts";

/** What proves a stage, or a machine: runs in their order, and the limits that each has to keep. */
export function PlanForm({
  of,
  plan,
  proposed,
  gears,
  back,
}: {
  /** The stage's id, or the machine's. */
  of: string;
  /** null: there is none yet. */
  plan: ProofPlan | null;
  proposed: ProofPlanFields;
  gears: readonly string[];
  back: string;
}) {
  const reader = useWords();
  const [ids] = useState(() => ({ entryId: v7(), revisionId: v7() }));
  const saved = useSavedForm({
    key: `proof plan ${of} ${plan?.revision ?? 0}`,
    initial: planTexts(reader, plan ?? proposed),
    read: (texts) => {
      const read = readPlan(texts, v7);
      return read.value ? { value: { plan: read.value, text: texts.why ?? "" }, problems: null } : read;
    },
    send: (said) => ({ ...ids, seenRevision: plan?.revision ?? 0, ...said }),
    fieldOf: (path) => fieldOf(path.map(String)),
  });
  return (
    <SavedForm of={saved} label="What proves it" className="grid gap-6">
      <div className="overflow-x-auto">
        <OrderedRowsField
          name="runs"
          legend="Runs, in the order in which they are done"
          hint="A name of one’s own is only needed where the rest does not say it. Loaded with: 8 kg; 12 N at 150 mm of a brake arm on a scale; or words."
          one="Run"
          columns={runColumns(gears)}
          most={40}
          fresh={() => ({ id: v7() })}
        />
      </div>
      <div className="overflow-x-auto">
        <Limits />
      </div>
      <div className="grid sm:grid-cols-2 gap-4 max-w-3xl">
        <TextField name="supply" label="The supply gives at most" hint="A; a reading there hides the rest" />
        <TextField
          name="asymmetry"
          label="Both directions may differ by"
          hint="% of the current; empty: said, not judged"
        />
      </div>
      <MoreFields title="How well it is read, and what the motor turns at">
        <div className="grid grid-cols-2 sm:grid-cols-3 gap-4 max-w-3xl">
          {metered.map((quantity) => (
            <TextField
              key={quantity}
              name={meterName(quantity)}
              label={`${quantityOfRun[quantity].name} is read to ±`}
              hint={`${quantityOfRun[quantity].unit}, k = 2; empty: not known`}
            />
          ))}
          {(["slow", "working", "fast"] as const).map((speed) => (
            <TextField
              key={speed}
              name={speed}
              label={`Motor, ${speed}`}
              hint={`turns a minute${speed === "working" ? "; empty: as in the drive line" : ""}`}
            />
          ))}
        </div>
      </MoreFields>
      <TextField name="why" label="Why, or from what" hint="stands in the logbook" className="max-w-3xl" />
      <FormEnd save="Keep the plan" busy={saved.busy} back={back} />
    </SavedForm>
  );
}

/** Limits name the runs above them, as those stand there now. */
function Limits() {
  const reader = useWords();
  const texts = useFormTexts();
  const { value } = readPlan(texts, () => "");
  const rows = new TextReader(texts).rows("runs", ["id"]);
  const runs = rows.flatMap((row, i) => {
    const id = texts[`${row}.id`] ?? "";
    const run = value?.runs.find((one) => one.id === id);
    return [{ value: id, label: run ? runName(reader, run) : `Run ${i + 1}` }];
  });
  return (
    <RowsField
      name="limits"
      legend="Limits"
      hint="As last time: 10 % of what the same run read when it last went well, or so much of its own unit."
      one="Limit"
      columns={limitColumns(runs)}
      most={80}
    />
  );
}

/** The field that a refusal speaks of. */
function fieldOf([, ...path]: string[]): string {
  const [first, second, third] = path;
  if (first === "runs" && second !== undefined) return `runs.${second}.${third === "gear" ? "gear" : "name"}`;
  if (first === "limits" && second !== undefined) return `limits.${second}.${third === "run" ? "run" : "hi"}`;
  if (first === "supplyLimitA") return "supply";
  return first ?? "runs";
}
