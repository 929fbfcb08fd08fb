import { useEffect, useMemo, useState } from "react";
import { FormProvider, useWatch } from "react-hook-form";
import { useWords } from "~/app/features/words/use-words";
import { isOverdue, type MeasuredCheck, type MeasuredTool, measuredBefore, measuredWhens } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { widthUncertainty } from "~/operations/entries/parts";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field, Select } from "~/ui/field";
import { Tick } from "~/ui/tick";
import { useLater } from "~/ui/use-later";
import type { BenchTool } from "../../bench/bench-tool";
import { numberText } from "../../form/number-text";
import { flatTexts, type Texts } from "../../form/texts";
import { useTextForm } from "../../form/use-text-form";
import { piecesText } from "../../stacks/stack-words";
import { capital } from "../../words/count";
import { measuredCheckWords, measuredToolWords, measuredWords } from "../../words/measured";
import { Refused } from "../../words/refused";
import { lengthWords } from "../../words/spoken";
import { takingsOf } from "../advise/drawer-items";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { shimsAsked, shimsFound } from "./shims-asked";

/** What is to be seen to beside what each tool measures. Common practice. */
const checks: Partial<Record<MeasuredTool, readonly MeasuredCheck[]>> = {
  "fit-series": ["sample-first", "dust-blown-out", "bush-turns-on-shaft", "push-out-holes"],
  flatness: ["bolted-as-it-stands"],
  "frame-pull": ["read-under-load"],
  coupling: ["gap-for-heat"],
};

const called: Record<MeasuredTool, string> = {
  "part-runout": "Which part",
  "fit-series": "Which fit",
  "housing-line": "Which housings",
  flatness: "Which frame",
  "wheel-align": "Which wheels",
  "frame-pull": "Which frame",
  coupling: "Which coupling",
  "shaft-align": "Which shafts",
  closure: "Which drive",
};

/** Something measured with a tool of the calculation: its fields, its answer drawn, the shims that it asks from the drawers, and the entry. */
export function MeasurePane({ tool, bench }: { tool: MeasuredTool; bench: BenchTool }) {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const draft = useTexts();
  const text = (what: string) => draft[`m.${tool}.${what}`] ?? "";
  const [problem, setProblem] = useState<Refusal | null>(null);
  const change = (what: string, value: string) => {
    setProblem(null);
    job.changeText(`m.${tool}.${what}`, value);
  };
  const [initial] = useState((): Texts => ({ ...emptied(bench.example), ...kept(text("fields")) }));
  const form = useTextForm(initial, { read: (typed) => wrongSoFar(bench, typed) }, true);
  const values = useWatch({ control: form.control });
  const texts = useMemo(() => flatTexts(values), [values]);
  const { changeText } = job;
  useEffect(() => {
    const filled = Object.fromEntries(Object.entries(texts).filter(([, value]) => value !== ""));
    changeText(`m.${tool}.fields`, Object.keys(filled).length > 0 ? JSON.stringify(filled) : "");
  }, [changeText, tool, texts]);
  const compute = useLater(bench.compute, true);
  const read = useMemo(() => bench.read(texts), [bench, texts]);
  const answer = useMemo(() => (read.input ? (compute?.(read.input) ?? null) : null), [compute, read.input]);
  const output = answer?.ok ? answer.result : null;
  const instruments = data.instruments.filter(({ dimension }) => dimension === "length");
  const instrument = instruments.find(({ id }) => id === text("with")) ?? null;
  const of = text("of").trim();
  const before = of ? measuredBefore(job.record.measured, tool, of) : null;
  const items = data.stock ?? [];
  const found = output === null ? [] : shimsFound(shimsAsked(tool, output), items);
  const shimmed = found.flatMap(({ at, stack }) => (stack ? [{ at, shims: stack.shims }] : []));
  const log = async (laid: typeof shimmed) => {
    if (!read.input || output === null) return;
    const when = measuredWhens.find((word) => word === text("when")) ?? null;
    const result = await job.put({
      kind: "measured",
      tool,
      of,
      when,
      input: JSON.parse(JSON.stringify(read.input)),
      said: bench.say(reader, output, texts).slice(0, 400),
      instrumentId: instrument?.id ?? null,
      laid,
      seenTo: (checks[tool] ?? []).map((what) => ({ what, done: text(`s.${what}`) === "yes" })),
      note: text("note"),
      stock: takingsOf(
        [],
        laid.flatMap(({ shims }) => shims),
        items,
      ),
    });
    setProblem(result.ok ? null : result.refusal);
    if (!result.ok) return;
    for (const what of ["note", ...(checks[tool] ?? []).map((check) => `s.${check}`)]) change(what, "");
    change("when", when === "before" ? "after" : "");
  };
  const withInstrument = (id: string) => {
    change("with", id);
    const chosen = instruments.find((one) => one.id === id);
    if (chosen && form.getValues("u") !== undefined && texts.unit !== "arcmin")
      form.setValue("u", numberText(reader, Number(widthUncertainty(chosen).toFixed(4))));
  };
  return (
    <FormProvider {...form}>
      <div className="grid lg:grid-cols-[minmax(0,28rem)_minmax(0,1fr)] gap-x-10 gap-y-6 items-start">
        <form
          className="grid gap-4 content-start"
          onSubmit={(event) => event.preventDefault()}
          aria-label={measuredToolWords[tool]}
        >
          <Field
            label={called[tool]}
            autoComplete="off"
            value={text("of")}
            onChange={(event) => change("of", event.target.value)}
            error={problem?.path[0] === "of" ? <Refused refusal={problem} /> : undefined}
          />
          <Choice
            legend="Read"
            name={`when-${tool}`}
            value={measuredWhens.find((word) => word === text("when")) ?? "once"}
            onChange={(value) => change("when", value === "once" ? "" : value)}
            options={[
              { value: "once", label: "As it is" },
              { value: "before", label: "Before the work" },
              { value: "after", label: "After it" },
            ]}
          />
          <Select label="Read with" value={text("with")} onChange={(event) => withInstrument(event.target.value)}>
            <option value="">not said</option>
            {instruments.map(({ id, name, dueOn }) => (
              <option key={id} value={id}>
                {name}
                {isOverdue(dueOn, data.now.slice(0, 10)) ? ", overdue" : ""}
              </option>
            ))}
          </Select>
          <bench.Fields />
        </form>
        <section aria-label="What it says" className="grid gap-4 content-start min-w-0">
          {output !== null && read.input ? (
            <>
              <p className="text-2xl font-bold" role="status">
                {bench.say(reader, output, texts)}
              </p>
              {bench.show(output, texts)}
            </>
          ) : (
            <p className="text-lg text-mid" role="status">
              {answer && !answer.ok
                ? `There is no answer to this: ${answer.refused.error.message}.`
                : "The answer stands here as soon as the fields can be read."}
            </p>
          )}
          {output !== null && "u" in texts && !/[1-9]/.test(texts.u ?? "") && (
            <p className="text-lg text-near">
              Without its uncertainty nothing is proven: it is logged as not to be told. Say what it was read with.
            </p>
          )}
          {found.length > 0 && (
            <div>
              <h3 className="font-bold text-lg">Shims, from the drawers</h3>
              <ul className="text-lg">
                {found.map(({ at, mm, stack }) => (
                  <li key={at} className="border-t border-rule py-1.5">
                    <b>{at}</b>: {mm > 0 ? "" : "take out "}
                    {lengthWords(reader, Math.abs(mm), 2)}
                    {mm > 0 &&
                      (stack ? (
                        <>
                          , lay in <b>{piecesText(reader, stack.shims)}</b>
                        </>
                      ) : (
                        ", and no shims in the drawers come near it"
                      ))}
                  </li>
                ))}
              </ul>
            </div>
          )}
          {before && (
            <p className="text-lg text-mid">
              Read before: {measuredWords(reader, before.body).title.replace(/^[^:]*: /, "")}
            </p>
          )}
          {(checks[tool] ?? []).map((what) => (
            <Tick
              key={what}
              label={measuredCheckWords[what]}
              checked={text(`s.${what}`) === "yes"}
              onChange={(checked) => change(`s.${what}`, checked ? "yes" : "")}
            />
          ))}
          <Field
            label="Remark on it"
            autoComplete="off"
            value={text("note")}
            onChange={(event) => change("note", event.target.value)}
          />
          {problem && problem.path[0] !== "of" && (
            <p role="alert" className="text-outside font-semibold">
              <Refused refusal={problem} />
            </p>
          )}
          <div className="flex flex-wrap gap-3">
            {shimmed.length > 0 && (
              <Button large kind="now" disabled={of === ""} onClick={() => log(shimmed)}>
                Log it, these shims laid in
              </Button>
            )}
            <Button
              large
              kind={shimmed.length > 0 ? "line" : "now"}
              disabled={output === null || of === ""}
              onClick={() => log([])}
            >
              {shimmed.length > 0 ? "Log it, nothing laid in" : "Log it"}
            </Button>
          </div>
          {of === "" && output !== null && (
            <p className="text-mid">{capital(called[tool].toLowerCase())} it is, is wanted first.</p>
          )}
        </section>
      </div>
    </FormProvider>
  );
}

/** What is wrong with what was typed: that something is still wanting is no fault while one types. */
function wrongSoFar(bench: BenchTool, typed: Texts) {
  const { input, problems } = bench.read(typed);
  if (problems === null) return { value: input, problems };
  const wrong = Object.entries(problems).filter(([name]) => (typed[name] ?? "") !== "");
  return { value: null, problems: Object.fromEntries(wrong) };
}

/** A tool's fields with nothing in them; of lists one row, to begin with. */
const emptied = (example: Texts): Texts =>
  Object.fromEntries(Object.keys(example).flatMap((name) => (/\.[1-9]\d*\./.test(name) ? [] : [[name, ""]])));

function kept(text: string): Texts {
  if (text === "") return {};
  try {
    const found: unknown = JSON.parse(text);
    return found && typeof found === "object" ? (found as Texts) : {};
  } catch {
    return {};
  }
}
