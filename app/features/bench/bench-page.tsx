import { useEffect, useMemo, useRef, useState } from "react";
import { FormProvider, useWatch } from "react-hook-form";
import { useLoaderData, useOutletContext, useSearchParams } from "react-router";
import type { CalcAnswer } from "~/calc/call";
import { Button } from "~/ui/button";
import { useLater } from "~/ui/use-later";
import { Running } from "../calculation/running";
import { useCalc } from "../calculation/use-calc";
import { SavePicture } from "../export/save-picture";
import { flatTexts, nestedTexts, type Texts } from "../form/texts";
import { useTextForm } from "../form/use-text-form";
import { useWords } from "../words/use-words";
import type { BenchInput, BenchTool } from "./bench-tool";
import { Keep } from "./keep";
import { textsIn } from "./texts-in";

/** What stands round a tool's page: its name, and whether who looks may keep an answer on a stage. */
export type BenchFrame = { name: string; mayKeep: boolean };

const settleMs = 300;

/** The page of one tool: fields at the left, the answer with its drawing at the right, computed while one types. */
export function BenchPage({ bench }: { bench: BenchTool }) {
  const { name: tool } = bench;
  const { name, mayKeep } = useOutletContext<BenchFrame>();
  const reader = useWords();
  const [search, setSearch] = useSearchParams();
  const [initial] = useState(() => textsIn(search, bench));
  const form = useTextForm(initial, { read: (typed) => asRead(bench.read(typed)) }, true);
  const values = useWatch({ control: form.control });
  const texts = useMemo(() => flatTexts(values), [values]);
  const drawing = useRef<HTMLDivElement>(null);
  // The address follows when one has stopped typing: it carries the inputs to whom it is sent.
  useEffect(() => {
    const timer = setTimeout(() => {
      const filled = Object.entries(texts).filter(([, value]) => value !== "");
      setSearch(new URLSearchParams(filled), { replace: true, preventScrollReset: true });
    }, settleMs);
    return () => clearTimeout(timer);
  }, [texts, setSearch]);
  const read = useMemo(() => bench.read(texts), [bench, texts]);
  const asked = useRef(JSON.stringify(read.input));
  const first = useLoaderData<CalcAnswer | null>();
  const brought = JSON.stringify(read.input) === asked.current ? first : null;
  const compute = useLater(bench.compute, !brought);
  const here = useMemo(() => {
    if (bench.beside || !read.input) return null;
    return brought ?? compute?.(read.input) ?? null;
  }, [bench, read.input, brought, compute]);
  const beside = useCalc(tool, bench.beside ? read.input : null);
  const answer = bench.beside ? beside.answer : here;
  const output = answer?.ok ? answer.result : null;
  return (
    <FormProvider {...form}>
      <div className="grid lg:grid-cols-[minmax(0,32rem)_minmax(0,1fr)] gap-x-12 gap-y-8">
        <form className="grid gap-5 content-start" onSubmit={(event) => event.preventDefault()} aria-label={name}>
          <bench.Fields />
          <div>
            <Button kind="quiet" onClick={() => form.reset(emptied(texts))}>
              Empty every field
            </Button>
          </div>
        </form>
        <section aria-label="Answer" className="grid gap-5 content-start min-w-0">
          <Running of={beside} />
          {output !== null && read.input ? (
            <>
              <p className="text-2xl font-bold" role="status">
                {bench.say(reader, output, texts)}
              </p>
              <div ref={drawing}>{bench.show(output, texts)}</div>
              <SavePicture of={drawing} name={name.replace(/\?$/, "")} />
              <Json tool={tool} input={read.input} output={output} />
              {mayKeep && (
                <Keep
                  tool={tool}
                  input={read.input}
                  said={bench.say(reader, output, texts)}
                  part={bench.part(reader, output, texts)}
                />
              )}
            </>
          ) : (
            <p className="text-lg text-mid" role="status">
              {answer && !answer.ok
                ? `There is no answer to this: ${answer.refused.error.message}.`
                : read.input
                  ? "Working it out …"
                  : "The answer stands here as soon as the fields can be read."}
            </p>
          )}
        </section>
      </div>
    </FormProvider>
  );
}

const asRead = ({ input, problems }: BenchInput) =>
  problems === null ? { value: input, problems } : { value: null, problems };

/** Every field with nothing in it; of lists no row is left. */
const emptied = (texts: Texts) =>
  Object.fromEntries(
    Object.entries(nestedTexts(texts)).map(([name, value]) => [
      name,
      Array.isArray(value) ? [] : typeof value === "string" ? "" : nestedTexts(blank(flatTexts(value))),
    ]),
  );
const blank = (texts: Texts): Texts => Object.fromEntries(Object.keys(texts).map((name) => [name, ""]));

/** The same objects that the calc command takes and gives. */
function Json({ tool, input, output }: { tool: string; input: unknown; output: unknown }) {
  return (
    <details>
      <summary className="min-h-11 content-center cursor-pointer underline">Export inputs</summary>
      <p className="figure mb-2">npm run --silent calc -- {tool}</p>
      <div className="grid sm:grid-cols-2 gap-4">
        {Object.entries({ Input: input, Output: output }).map(([name, value]) => (
          <figure key={name}>
            <figcaption className="font-semibold">{name}</figcaption>
            <pre className="bg-panel p-3 overflow-x-auto text-sm">{JSON.stringify(value, null, 2)}</pre>
          </figure>
        ))}
      </div>
    </details>
  );
}
