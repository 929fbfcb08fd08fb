import { useState } from "react";
import { useRevalidator } from "react-router";
import { PlaceHead } from "~/app/features/shell/head";
import { readNews } from "~/app/features/stores/read-news";
import { SheetFates } from "~/app/features/stores/sheet-fates";
import { StoresNav } from "~/app/features/stores/stores-nav";
import { refusalWords } from "~/app/features/words/refusal";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Refusal } from "~/core/quantity";
import { type SheetReport, sheets } from "~/operations/sheets";
import { Button, buttonClass } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { FileField } from "~/ui/file-field";
import { Progress } from "~/ui/progress";
import type { Route } from "./+types/sheets";

export const meta: Route.MetaFunction = () => [{ title: "CSV in and out, Harmostat" }];

export const loader = ({ context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, async ({ person }) => ({
    role: person.role,
    sheets: sheets.map(({ name, columns, most }) => ({ name, columns, most })),
  }));

type State =
  | { is: "nothing" }
  | { is: "working"; share: number }
  | { is: "refused"; refusal: Refusal }
  | { is: "seen"; report: SheetReport };

export default function Sheets({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { role } = loaderData;
  const [name, setName] = useState("stores");
  const sheet = loaderData.sheets.find((one) => one.name === name) ?? loaderData.sheets[0];
  const [text, setText] = useState("");
  const [state, setState] = useState<State>({ is: "nothing" });
  const { revalidate } = useRevalidator();
  if (!sheet) return null;
  const send = async (content: string, save: boolean) => {
    setState({ is: "working", share: 0 });
    const end = await readNews(`/stores/sheets/${sheet.name}${save ? "?save=yes" : ""}`, content, (share) =>
      setState({ is: "working", share }),
    );
    setState("report" in end ? { is: "seen", report: end.report } : { is: "refused", refusal: end.refusal });
    if ("report" in end && end.report.saved) revalidate();
  };
  const take = async (file: File | undefined) => {
    if (!file) return;
    const content = await file.text();
    setText(content);
    await send(content, false);
  };
  const change = (content: string) => {
    setText(content);
    setState({ is: "nothing" });
  };
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5">
        <StoresNav here="sheets" />
        <h1 className="text-3xl max-sm:text-2xl font-bold mb-1">
          {role === "lead" ? "Lists in and out, as CSV" : "Lists out, as CSV"}
        </h1>
        <p className="text-mid mb-5 max-w-3xl">
          A list that goes out comes in again: change it in a spreadsheet, and only what differs is changed here. A
          column that is left out stays as it is.
        </p>
        <Choice
          legend="Which list?"
          name="sheet"
          value={name}
          onChange={(next) => {
            setName(next);
            setState({ is: "nothing" });
          }}
          options={loaderData.sheets.map((one) => ({ value: one.name, label: one.name }))}
        />
        <div className="grid xl:grid-cols-[minmax(0,28rem)_minmax(0,1fr)] gap-x-12 gap-y-8 mt-6">
          <div className="grid gap-6 content-start">
            <section aria-labelledby="out" className="grid gap-2">
              <h2 id="out" className="text-xl font-bold">
                Out
              </h2>
              <p>
                <a href={`/stores/sheets/${sheet.name}`} className={buttonClass("line", true)} download>
                  {sheet.name}.csv
                </a>
              </p>
            </section>
            {role === "lead" && (
              <section aria-labelledby="in" className="grid gap-3">
                <h2 id="in" className="text-xl font-bold">
                  In
                </h2>
                <p className="text-mid">
                  Columns in any order:{" "}
                  {sheet.columns.map((c) => (c.needed ? `${c.name} (needed)` : c.name)).join(", ")}. Up to {sheet.most}{" "}
                  lines; all of them, or none.
                </p>
                <FileField
                  label="CSV file"
                  accept=".csv,.txt,text/csv"
                  onChange={(event) => take(event.target.files?.[0])}
                />
                <label className="block">
                  <span className="block font-semibold mb-1">Or the lines themselves</span>
                  <textarea
                    rows={6}
                    value={text.length > 200_000 ? "" : text}
                    placeholder={text.length > 200_000 ? "The file is too long to be shown here" : undefined}
                    onChange={(event) => change(event.target.value)}
                    className="w-full px-3 py-2 bg-panel border-2 border-ink figure"
                  />
                </label>
                <div>
                  <Button
                    kind="solid"
                    large
                    disabled={text.trim() === "" || state.is === "working"}
                    onClick={() => send(text, false)}
                  >
                    Look what it would do
                  </Button>
                </div>
              </section>
            )}
          </div>
          <section aria-label="What comes of it" className="min-w-0 grid gap-4 content-start">
            {state.is === "working" && (
              <div role="status" className="grid gap-2 text-lg">
                Going through the lines …
                <Progress share={state.share} label="How far it is" />
              </div>
            )}
            {state.is === "refused" && (
              <p role="alert" className="text-lg text-outside font-semibold border-l-4 border-outside pl-4">
                {refusalWords(reader, state.refusal)} Nothing was changed.
              </p>
            )}
            {state.is === "seen" && <SheetFates report={state.report} onSave={() => send(text, true)} />}
          </section>
        </div>
      </main>
    </>
  );
}
