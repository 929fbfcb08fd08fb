import { useMemo, useRef, useState } from "react";
import { FormProvider, useWatch } from "react-hook-form";
import { data, Link, redirect } from "react-router";
import { Running } from "~/app/features/calculation/running";
import { useWorker } from "~/app/features/calculation/use-worker";
import { ChoiceField } from "~/app/features/form/choice-field";
import { TextField } from "~/app/features/form/text-field";
import type { Read } from "~/app/features/form/text-reader";
import { flatTexts, type Texts } from "~/app/features/form/texts";
import { TickField } from "~/app/features/form/tick-field";
import { useTextForm } from "~/app/features/form/use-text-form";
import { PlaceHead } from "~/app/features/shell/head";
import { ExchangeForm } from "~/app/features/swap/exchange-form";
import { KeptOptions } from "~/app/features/swap/kept-options";
import { swapQuestion } from "~/app/features/swap/question";
import { SwapTable } from "~/app/features/swap/swap-table";
import { formatNumber } from "~/app/features/words/figure";
import { lengthWords, spoken } from "~/app/features/words/spoken";
import { useWords } from "~/app/features/words/use-words";
import { jsonObject } from "~/app/session/json-object";
import { asPerson, everyRole } from "~/app/session/session.server";
import { centreChange } from "~/core/advice";
import { gearPair, type SwapAnswer, type SwapOption } from "~/core/gears";
import type { Stage } from "~/core/records";
import { asGearPair } from "~/core/stages";
import { mayWork } from "~/operations/context";
import { exchangeGear } from "~/operations/exchange-gear";
import { dropOption, keepOption } from "~/operations/swap";
import type { Route } from "./+types/route";
import { loadSwap } from "./load-swap.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Other gears for ${loaderData?.stage.name ?? "a stage"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) =>
    loadSwap(asked, params.stageId, new URL(request.url).searchParams.get("job")),
  );

/** A pair kept beside the present one, or put away again; or, within a job, gears that went in. */
export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    if (input && "exchange" in input) {
      const of = { ...(input.exchange as object), stageId: params.stageId };
      const exchanged = await exchangeGear(asked, of);
      if (!exchanged.ok) return data({ refusal: exchanged.refusal }, { status: 400 });
      const { job } = await loadSwap(asked, params.stageId, exchanged.value.jobId);
      return redirect(job?.back ?? `/stages/${params.stageId}`);
    }
    const of = { ...input, stageId: params.stageId };
    const done =
      input && "drop" in input ? await dropOption(asked, { ...of, id: input.drop }) : await keepOption(asked, of);
    return done.ok ? data({ done: done.value.id }) : data({ refusal: done.refusal }, { status: 400 });
  });
}

/** The slot's travel as the adjuster has it, where it is known. */
function slotTexts({ adjuster: { adjuster } }: Stage): Texts {
  if (!adjuster?.travel) return {};
  const { min, max } = adjuster.travel;
  const changes = [min, max].map((amount) => centreChange(adjuster, amount));
  const figure = (mm: number) => String(Math.round(1000 * mm) / 1000);
  return { out: figure(Math.max(0, ...changes)), in: figure(Math.max(0, -Math.min(...changes))) };
}

const start = () => new Worker(new URL("../../../workers/swap.ts", import.meta.url), { type: "module" });

function swapNews(answer: SwapAnswer | null): string {
  if (!answer) return "Looking what fits in this place …";
  const others = answer.options.length - 1;
  if (others <= 0) return "No other pair fits";
  return `${others} other ${others === 1 ? "pair fits" : "pairs fit"} in this place`;
}

export default function Swap({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { stage, machine, stock, kept, job } = loaderData;
  const [goesIn, setGoesIn] = useState<SwapOption | null>(null);
  const top = useRef<HTMLDivElement>(null);
  const onExchange = useMemo(
    () =>
      job && loaderData.mayWork
        ? (option: SwapOption) => {
            setGoesIn(option);
            requestAnimationFrame(() => top.current?.scrollIntoView({ block: "start" }));
          }
        : null,
    [job, loaderData.mayWork],
  );
  const read = (typed: Texts) => swapQuestion(stage, stock, typed);
  const form = useTextForm(
    { from: "stores", ...slotTexts(stage) },
    { read: (typed): Read<object> => read(typed) ?? { value: typed, problems: null } },
    true,
  );
  const values = useWatch({ control: form.control });
  const texts = useMemo(() => flatTexts(values), [values]);
  const asked = read(texts);
  const search = useWorker<SwapAnswer>(start, asked?.value?.question ?? null);
  const { element } = stage.geometry;
  const pair = asGearPair(element)?.pair;
  const present = pair && gearPair(pair);
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-6">
        <div>
          <p>
            <Link to={job?.back ?? `/stages/${stage.id}`} className="min-h-11 inline-flex items-center">
              {job ? `Back to the job on the ${stage.name.toLowerCase()}` : `${stage.name}, ${machine.name}`}
            </Link>
          </p>
          <h1 className="text-3xl font-bold">
            {!stage.limits
              ? "Other gears can be looked for once its limits are known"
              : asked?.value
                ? swapNews(search.answer)
                : "What is looked for is not clear yet"}
          </h1>
          {pair && present?.ok && (
            <p className="text-lg">
              Now <b className="figure">{pair.teeth.join(" : ")}</b>, module {formatNumber(reader, pair.moduleMm, 3)},
              at <span className="figure">{lengthWords(reader, present.value.centreDistanceMm, 2)}</span>
              {stage.limits && (
                <>
                  ; wanted is a backlash of{" "}
                  <span className="figure">
                    {spoken(reader, "mm", 2).range(stage.limits.lo, stage.limits.hi)} {spoken(reader, "mm", 2).unit}
                  </span>
                  , {stage.limits.source}
                </>
              )}
              .
            </p>
          )}
        </div>
        {job && goesIn && (
          <div ref={top}>
            <ExchangeForm
              key={goesIn.gears.map((gear) => gear?.id ?? "").join()}
              stage={stage}
              option={goesIn}
              stock={stock}
              jobId={job.id}
              onBack={() => setGoesIn(null)}
            />
          </div>
        )}
        <FormProvider {...form}>
          <form className="grid gap-4" onSubmit={(event) => event.preventDefault()} aria-label="What is looked for">
            <ChoiceField
              legend="Gears"
              name="from"
              usual="stores"
              options={[
                { value: "stores", label: "from the stores" },
                { value: "range", label: "to be made, of a range of teeth" },
              ]}
            />
            <div className="grid grid-cols-2 md:grid-cols-4 gap-4 max-w-5xl">
              {texts.from === "range" && <TextField name="least" label="Teeth from" inputMode="numeric" />}
              {texts.from === "range" && <TextField name="most" label="to" inputMode="numeric" />}
              <TextField name="out" label="Slot lets them part by" hint="mm; empty: they stand still" />
              <TextField name="in" label="and come together by" hint="mm" />
              <TextField name="rpm" label="Turns a minute of the driver" hint="tells the speeds" />
              <TextField name="torque" label="Torque there" hint="N·m" />
            </div>
            <TickField
              name="reversed"
              value="1"
              label="Also pairs that turn a reduction into a step up, or the reverse"
            />
          </form>
        </FormProvider>
        <Running of={search} />
        {search.answer && (
          <SwapTable
            answer={search.answer}
            names={stock}
            rpm={asked?.value?.rpm ?? null}
            torqueNm={asked?.value?.torque ?? null}
            mayKeep={loaderData.mayWork}
            onExchange={onExchange}
            empty={
              texts.from === "range"
                ? "No gears of this range mesh here with the backlash that is wanted. Widen the range, or give the slot its travel."
                : "No two gears in the stores mesh here with the backlash that is wanted. Give the slot its travel, or look what could be made."
            }
          />
        )}
        <KeptOptions kept={kept} mayDrop={loaderData.mayWork} />
      </main>
    </>
  );
}
