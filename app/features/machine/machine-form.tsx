import { type ReactNode, useState } from "react";
import { v7 } from "uuid";
import { ChoiceField } from "../form/choice-field";
import { FormEnd } from "../form/form-end";
import { SavedForm } from "../form/saved-form";
import { TextField } from "../form/text-field";
import { type Read, TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";
import { useSavedForm } from "../form/use-saved-form";
import { PlaceHead } from "../shell/head";

/** Of a machine's fields all are texts but the mass. */
function readMachine(texts: Texts): Read<object> {
  const read = new TextReader(texts);
  const heaviestKg = read.has("heaviestKg") ? read.number("heaviestKg") : null;
  return read.done({ ...texts, heaviestKg });
}

/** Name, tag, place, model of a machine, typed anew, changed, or for a copy. What is typed stays on the tablet until it is saved. */
export function MachineForm({
  title,
  lead,
  draftKey,
  initial,
  ofOwn,
  extra = null,
  saveWord,
  back,
}: {
  title: string;
  lead: string;
  draftKey: string;
  initial: Texts;
  /** What a copy takes from the machine it is copied from. */
  ofOwn: boolean;
  extra?: ReactNode;
  saveWord: string;
  back: string;
}) {
  const [ids] = useState(() => ({ id: v7(), entryId: v7() }));
  const saved = useSavedForm({
    key: draftKey,
    initial: { usageUnit: "hours", units: "metric", air: "unknown", heaviestKg: "", ...initial },
    read: readMachine,
    schema: async () => (await import("~/core/records/machine")).machineFields,
    send: (texts) => ({ ...texts, ...ids }),
  });
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-4xl">
        <h1 className="text-3xl font-bold mb-1">{title}</h1>
        <p className="text-mid mb-5">{lead}</p>
        <SavedForm of={saved}>
          {extra}
          <div className="grid sm:grid-cols-2 gap-4">
            <TextField name="name" label="Name" hint="as people here call it" />
            <TextField name="tag" label="Tag" hint="the number on its plate; every machine has its own" />
            <TextField name="site" label="Site" />
            <TextField name="hall" label="Hall" />
            <TextField name="place" label="Place" hint="bay, line, column" />
            <TextField name="model" label="Model" hint="twins have the same" />
            <TextField name="serial" label="Serial number" />
          </div>
          {ofOwn && (
            <div className="grid sm:grid-cols-2 gap-4">
              <ChoiceField
                name="usageUnit"
                legend="Meter reads in"
                usual="hours"
                options={[
                  { value: "hours", label: "hours" },
                  { value: "cycles", label: "cycles" },
                  { value: "starts", label: "starts" },
                ]}
              />
              <ChoiceField
                name="units"
                legend="Units"
                usual="metric"
                options={[
                  { value: "metric", label: "mm and N" },
                  { value: "inch", label: "inches and lbf" },
                ]}
              />
            </div>
          )}
          {ofOwn && (
            <fieldset className="grid sm:grid-cols-2 gap-4">
              <legend className="font-bold text-lg mb-1">What Make safe has to ask</legend>
              <ChoiceField
                name="air"
                legend="Compressed air on it"
                usual="unknown"
                options={[
                  { value: "yes", label: "yes" },
                  { value: "no", label: "no" },
                  { value: "unknown", label: "not known" },
                ]}
              />
              <TextField
                name="heaviestKg"
                label="Heaviest part that is lifted for the work"
                hint="kg; empty: not known"
                inputMode="decimal"
              />
            </fieldset>
          )}
          <FormEnd save={saveWord} busy={saved.busy} back={back} />
        </SavedForm>
      </main>
    </>
  );
}
