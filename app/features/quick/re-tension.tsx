import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { wordsOf } from "~/app/features/kinds";
import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { Kit } from "~/app/routes/machine/load-kit.server";
import { centreChange, unitOf } from "~/core/advice";
import type { HeldFor } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { stoodAdjuster } from "~/operations/stood-adjuster";
import { DateField } from "~/ui/date-field";
import { Field } from "~/ui/field";
import { amountWords, unitHint } from "../words/amount";
import { refusalWords } from "../words/refusal";
import { lengthUnit } from "../words/spoken";
import { day } from "../words/times";
import { FeltKeys, PressedKey } from "./felt-keys";
import { QuickEnd } from "./quick-end";
import { doQuickJob, quickProvisional } from "./quick-job";
import { SafeFirst } from "./quick-questions";
import {
  nothingDone,
  type ReTensionTyped,
  reTensionFault,
  reTensionWork,
  type TensionStep,
  tensionSteps,
} from "./re-tension-work";

/** Fields that are folded away until they are wanted, or wrong. */
const inFold = ["foundWay", "leftWay", "push", "nextDate"];
const stepWords: Record<TensionStep, string> = { loosened: "Loosened", pushed: "Pushed", tightened: "Tightened" };

/** A strand taken up between two runs, on one screen: safe, how it was, loosen, push, tighten, how it is, signed. */
export function ReTension({ kit, stage: entered, held }: { kit: Kit; stage: Stage; held: HeldFor | null }) {
  const reader = useWords();
  const navigate = useNavigate();
  const moved = kit.before.find(({ stageId }) => stageId === entered.id)?.moved ?? 0;
  const stage = useMemo(() => ({ ...entered, adjuster: stoodAdjuster(entered, moved) }), [entered, moved]);
  const [typed, setTyped] = useState(nothingDone);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const change = (what: Partial<ReTensionTyped>) => {
    setRefusal(null);
    setTyped((was) => ({ ...was, ...what }));
  };
  const problem = (field: string) => (refusal?.path[0] === field ? refusalWords(reader, refusal) : undefined);
  const work = () => reTensionWork(reader, { machine: kit.machine, stage }, typed);
  const { adjuster } = stage;
  const finish = async (event: React.FormEvent) => {
    event.preventDefault();
    const fault = reTensionFault(reader, stage, typed);
    if (fault) return setRefusal(fault);
    setBusy(true);
    const done = await doQuickJob(kit, {
      stage: entered,
      reason: "Re-tensioned",
      work: work(),
      comment: "",
      nextDate: typed.nextDate || null,
    });
    setBusy(false);
    if (!done.ok) return setRefusal(done.refusal);
    navigate(`/jobs/${done.value}/sign-off`);
  };
  const provisional =
    typed.found === null && typed.foundWay.trim() === "" ? [] : quickProvisional(kit, entered, work());
  const fields = ["safe", "lock", "found", ...inFold];
  const general = refusal && !fields.includes(String(refusal.path[0])) ? refusalWords(reader, refusal) : null;
  return (
    <form onSubmit={finish} className="grid lg:grid-cols-2 gap-x-10 gap-y-5 max-w-6xl content-start" noValidate>
      <div className="grid gap-4 content-start">
        <SafeFirst kit={kit} typed={typed} change={change} problem={problem} />
        <p className="border-l-4 border-ink pl-3">{wordsOf(stage.geometry.element).caution}</p>
        {held && <HeldSoFar held={held} usageUnit={kit.machine.usageUnit} stage={stage} />}
      </div>
      <div className="grid gap-4 content-start">
        <FeltKeys stage={stage} legend="As it was" word={typed.found} onWord={(found) => change({ found })} />
        {problem("found") && (
          <p role="alert" className="text-outside font-semibold">
            {problem("found")}
          </p>
        )}
        <fieldset>
          <legend className="font-semibold mb-1">{adjuster.adjuster ? adjuster.name : "Taken up"}</legend>
          <div className="grid grid-cols-3 gap-2">
            {tensionSteps.map((step) => (
              <PressedKey
                key={step}
                pressed={typed.done.includes(step)}
                onPress={() =>
                  change({
                    done: typed.done.includes(step) ? typed.done.filter((one) => one !== step) : [...typed.done, step],
                  })
                }
              >
                {stepWords[step]}
              </PressedKey>
            ))}
          </div>
        </fieldset>
        <FeltKeys stage={stage} legend="As it is now" word={typed.left} onWord={(left) => change({ left })} />
        <details open={inFold.some((field) => refusal?.path[0] === field) || undefined}>
          <summary className="min-h-11 content-center cursor-pointer underline">Measured, and the next date</summary>
          <div className="grid sm:grid-cols-2 gap-4 pt-2">
            <WayField label="Moved to and fro before, in all" name="foundWay" {...{ typed, change, problem, reader }} />
            <WayField label="Moves to and fro now, in all" name="leftWay" {...{ typed, change, problem, reader }} />
            {adjuster.adjuster && (
              <Field
                label="Pushed by"
                hint={`${unitHint(reader, unitOf(adjuster.adjuster))}; empty: not measured`}
                value={typed.push}
                onChange={(event) => change({ push: event.target.value })}
                autoComplete="off"
                error={problem("push")}
              />
            )}
            <DateField
              label="Next date"
              value={typed.nextDate}
              onChange={(nextDate) => change({ nextDate })}
              error={problem("nextDate")}
            />
          </div>
        </details>
      </div>
      <QuickEnd done="Tensioned" {...{ kit, provisional, general, busy }} />
    </form>
  );
}

function WayField({
  label,
  name,
  typed,
  change,
  problem,
  reader,
}: {
  label: string;
  name: "foundWay" | "leftWay";
  typed: ReTensionTyped;
  change: (what: Partial<ReTensionTyped>) => void;
  problem: (field: string) => string | undefined;
  reader: Reader;
}) {
  return (
    <Field
      label={label}
      hint={`${lengthUnit(reader)}, in mid-span; empty: felt only`}
      inputMode="decimal"
      value={typed[name]}
      onChange={(event) => change({ [name]: event.target.value })}
      autoComplete="off"
      error={problem(name)}
    />
  );
}

const timesWords = (count: number): string => (count === 1 ? "once" : count === 2 ? "twice" : `${count} times`);

/** How long it held so far, and how it stretches. */
export function HeldSoFar({ held, usageUnit, stage }: { held: HeldFor; usageUnit: string; stage: Stage }) {
  const reader = useWords();
  const { times, slackAfterDays, slackAfterUsage, takenUpPerUsage } = held;
  const last = times.at(-1);
  const n = (value: number) => formatNumber(reader, value, 0);
  const { adjuster, step, means } = stage.adjuster;
  return (
    <p className="text-lg text-mid" role="note">
      {slackAfterDays === null
        ? last
          ? `It held from ${day(reader, last.fromIso)} to ${day(reader, last.toIso)} at least; it was never found slack since it was set.`
          : "How long it holds is not known yet: the second time tells."
        : `Slack again after about ${n(slackAfterDays)} days${slackAfterUsage === null ? "" : `, ${n(slackAfterUsage)} ${usageUnit}`}, as it was found ${timesWords(times.filter(({ slackAgain }) => slackAgain).length)}.`}
      {takenUpPerUsage !== null && adjuster && centreChange(adjuster, takenUpPerUsage) > 0
        ? ` It takes ${amountWords(reader, Math.abs(1000 * takenUpPerUsage), unitOf(adjuster), step, means)} of the adjuster in ${n(1000)} ${usageUnit}.`
        : ""}
    </p>
  );
}
