import { type ReactNode, useState } from "react";
import { Link } from "react-router";
import { v7 } from "uuid";
import { useWords } from "~/app/features/words/use-words";
import { Button, buttonClass } from "~/ui/button";
import { ChoiceField, FormProvider, TextField } from "../form/text-field";
import type { Texts } from "../form/text-reader";
import { useSavedForm } from "../form/use-saved-form";
import { PlaceHead } from "../shell/head";
import { refusalWords } from "../words/refusal";

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
  const reader = useWords();
  const { fields, refusal, busy, send } = useSavedForm(draftKey, initial);
  const [ids] = useState(() => ({ id: v7(), entryId: v7() }));
  const save = (event: React.FormEvent) => {
    event.preventDefault();
    send({ ...fields.texts, ...ids });
  };
  const problems = refusal && refusal.path.length > 0 ? { [String(refusal.path[0])]: refusal } : {};
  const named = Object.keys(problems)[0];
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-4xl">
        <h1 className="text-3xl font-bold mb-1">{title}</h1>
        <p className="text-mid mb-5">{lead}</p>
        <FormProvider value={{ fields, problems }}>
          <form onSubmit={save} className="grid gap-5" noValidate>
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
                  legend="Its meter counts"
                  usual="hours"
                  options={[
                    { value: "hours", label: "hours" },
                    { value: "cycles", label: "cycles" },
                    { value: "starts", label: "starts" },
                  ]}
                />
                <ChoiceField
                  name="units"
                  legend="It is spoken of in"
                  usual="metric"
                  options={[
                    { value: "metric", label: "mm and N" },
                    { value: "inch", label: "inches and lbf" },
                  ]}
                />
              </div>
            )}
            <div className="border-t border-rule pt-4 flex flex-wrap gap-4 items-center">
              <Button kind="now" large type="submit" disabled={busy}>
                {saveWord}
              </Button>
              <Link to={back} className={buttonClass("quiet", true)}>
                Back, and keep what is typed
              </Link>
              {refusal && (
                <p role="alert" className="text-outside font-semibold text-lg">
                  {named === "name" || named === "tag" || !named
                    ? refusalWords(reader, refusal)
                    : "Look at the marked field."}
                </p>
              )}
            </div>
          </form>
        </FormProvider>
      </main>
    </>
  );
}
