import { useState } from "react";
import { Link } from "react-router";
import type { RunOutcome, RunWay } from "~/core/logbook";
import { clunkNoise, runOutcomes, whineNoise } from "~/core/logbook";
import { type PlanLimit, ranMs } from "~/core/proving";
import type { Refusal } from "~/core/quantity";
import { frameOf } from "~/core/stages";
import { buildProof, motorRpm, proofInput } from "~/operations/entries/proof";
import { Button, buttonClass } from "~/ui/button";
import { Field } from "~/ui/field";
import { Fold } from "~/ui/fold";
import { later } from "~/ui/use-later";
import { UsualWords } from "~/ui/usual-words";
import { WhenHere } from "~/ui/when-here";
import { capital } from "../../words/count";
import { outcomeWords } from "../../words/entry";
import { formatNumber } from "../../words/figure";
import { refusalWords } from "../../words/refusal";
import { quantityOfRun, speedWords } from "../../words/run";
import { useWords } from "../../words/use-words";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { AxisRun } from "./axis-run";
import { choiceName, type RunChoice } from "./run-choice";
import { type ProofWork, proofWork, typedOfRun } from "./run-input";
import { RunFigures } from "./run-judged";
import { RunMore, SlowestField, SpeedFields, supplyFields } from "./run-more";
import { RunTimer, timerIn } from "./run-timer";

const noises = ["quiet", "even hum", "growl", whineNoise, "knock once a turn", clunkNoise];
const drags = ["same drag all round", "stiffer once a turn", "stiff all round", "catches"];

/** The run that was touched: run it, note what it does, and how it ended. */
export function RunForm({ choice, way }: { choice: RunChoice; way: RunWay }) {
  const reader = useWords();
  const { job, stage, stationPath, before } = useJobScreen();
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const texts = useTexts();
  const { element } = stage.geometry;
  const plan = choice.planned?.plan ?? null;
  const run = choice.planned?.run ?? null;
  const limits = plan && run ? limitsOf(plan.limits, run.id, choice.way) : [];
  const asked = new Set(limits.map(({ of }) => of));
  const placed = limits.filter(({ of, place }) => of === "temperature" && place !== "");
  const problem = (...path: (string | number)[]) =>
    refusal && path.join(" ") === refusal.path.join(" ") ? refusalWords(reader, refusal) : undefined;
  const field = (name: string, ...path: string[]) => ({
    value: texts[`proof.${name}`] ?? "",
    onChange: (event: React.ChangeEvent<HTMLInputElement>) => {
      setRefusal(null);
      job.changeText(`proof.${name}`, event.target.value);
    },
    error: problem(...(path.length > 0 ? path : [name])),
    autoComplete: "off",
  });
  const put = async (outcome: RunOutcome) => {
    const result = await job.put(proofWork(choice, choice.way, outcome, element, texts));
    if (!result.ok) return setRefusal(result.refusal);
    setRefusal(null);
    for (const name of typedOfRun(texts)) job.changeText(name, "");
    // The same run again until it goes well.
    job.changeText("proof.run", outcome === "ran" ? "" : choice.key);
  };
  const live = way === "powered";
  const powered = choice.way === "powered";
  const can = choice.way === way;
  const ahead = can
    ? aheadOf(proofWork(choice, choice.way, "ran", element, texts), job.record.power, element, {
        plans: stage.plans ?? [],
        proofs: before.proofs,
        turns: before.turns ?? null,
      })
    : null;
  const ends = frameOf(element).ends;
  const rpm = motorRpm(plan, choice.speed, before.turns ?? null);
  const turn = before.turns?.outputs.find(({ gear }) => gear === choice.gear);
  const outputRpm = rpm === null || !turn ? null : Math.abs(rpm / turn.ratio);
  const timer = timerIn(texts["proof.timer"] ?? "");
  const minutesNow = () => (timer ? ranMs(timer, Date.now()) / 60_000 : null);
  const clock = (
    <RunTimer
      minutes={run?.minutes ?? null}
      outputRpm={outputRpm}
      wholeTurn={run?.move === "full-turn"}
      error={(name) => (name === "minutes" ? problem("ran", "minutes") : problem(name))}
    />
  );
  const timed = run?.minutes != null || run?.move === "full-turn" || asked.has("minutes") || timer !== null;
  return (
    <form
      aria-label="This run"
      onSubmit={(event) => {
        event.preventDefault();
        void put("ran");
      }}
      className="grid gap-4"
    >
      <h3 className="text-2xl font-bold">
        {choiceName(reader, choice)}
        {outputRpm !== null && powered && (
          <span className="text-lg font-normal text-mid">
            {" "}
            the train gives {formatNumber(reader, outputRpm, outputRpm < 10 ? 2 : 0)} turns a minute at the output
          </span>
        )}
      </h3>
      {timed && clock}
      {ends && choice.direction && <AxisRun element={element} direction={choice.direction} field={field} />}
      <div className="grid sm:grid-cols-2 gap-4">
        {powered && <Field label="Current" hint="A, or mA" {...field("current")} />}
        {powered && placed.length === 0 && (
          <Field label="Temperature" hint="°C, or with °F" {...field("temperature")} />
        )}
        {supplyFields
          .filter(({ of }) => asked.has(of))
          .map(({ of, name, unit }) => (
            <Field key={of} label={quantityOfRun[of].name} hint={unit} {...field(name)} />
          ))}
        {(asked.has("slowest-speed") || run?.move === "slowed-down") && <SlowestField field={field} />}
        {placed.map(({ place }, i) => (
          <Field
            key={place}
            label={`Temperature, ${place}`}
            hint="°C"
            autoComplete="off"
            value={texts[`proof.temps.${askedRow + i}.temp`] ?? ""}
            onChange={(event) => {
              setRefusal(null);
              job.changeText(`proof.temps.${askedRow + i}.place`, event.target.value === "" ? "" : place);
              job.changeText(`proof.temps.${askedRow + i}.temp`, event.target.value);
            }}
          />
        ))}
      </div>
      {asked.has("speed-off") && <SpeedFields field={field} />}
      <div>
        <Field label={powered ? "Noise, in words" : "Felt or heard, in words"} {...field("noise")} />
        <UsualWords
          label={powered ? "Noises" : "Felt"}
          words={powered ? noises : drags}
          value={texts["proof.noise"] ?? ""}
          onPick={(noise) => job.changeText("proof.noise", noise)}
        />
      </div>
      {ahead?.judged && <RunFigures judged={ahead.judged} label="Against its limits" />}
      {ahead?.speedRead && <p className="text-lg">{speedWords(reader, ahead.speedRead)}.</p>}
      {before.beside && before.beside.length > 0 && (
        <WhenHere part={elsewhere} props={{ choice, beside: before.beside }} />
      )}
      {refusal && !atItsField.has(String(refusal.path[0])) && (
        <p role="alert" className="text-outside font-semibold">
          {refusalWords(reader, refusal)}
        </p>
      )}
      <p className="font-semibold -mb-2">
        {can
          ? live
            ? "Log this run: how did it end?"
            : "Log this turn by hand: how did it end?"
          : live
            ? "By hand it is turned isolated: make it safe first."
            : "It runs under power: go live first."}
      </p>
      <div className="flex flex-wrap gap-3">
        <Button kind={live && can ? "now" : "line"} large type="submit" disabled={!can}>
          {capital(outcomeWords.ran)}
        </Button>
        {runOutcomes
          .filter((outcome) => outcome !== "ran")
          .map((outcome) => (
            <Button key={outcome} kind="line" large disabled={!can} onClick={() => put(outcome)}>
              {capital(outcomeWords[outcome])}
            </Button>
          ))}
        {job.record.proofs.length > 0 && (
          <Link to={stationPath("sign-off")} replace className={buttonClass("line", true)}>
            Sign off
          </Link>
        )}
      </div>
      {powered && (
        <RunMore
          problem={problem}
          asked={asked}
          limitOf={(place) => hottestAllowed(limits, place)}
          minutesNow={minutesNow}
        />
      )}
      {powered && !timed && <Fold summary="By the clock">{clock}</Fold>}
    </form>
  );
}

/** Fields that are always there, and say themselves what is wrong with them. */
const atItsField: ReadonlySet<string> = new Set(["current", "temperature", "noise", "leftToBuffer", "overshoot"]);

/** What would be logged of it, while it is typed; null where that cannot be read yet. */
function aheadOf(work: ProofWork, ...known: Tail<Parameters<typeof buildProof>>) {
  const input = proofInput.safeParse(work);
  const built = input.success ? buildProof(input.data, ...known) : null;
  return built?.ok ? built.value : null;
}
type Tail<T extends readonly unknown[]> = T extends readonly [unknown, ...infer Rest] ? Rest : never;

const elsewhere = later(async () => (await import("./runs-elsewhere")).RunsElsewhere);

/** Rows of temperatures that a plan asks for stand apart from those that were added. */
const askedRow = 100;

const limitsOf = (limits: readonly PlanLimit[], runId: string, way: RunWay): PlanLimit[] =>
  limits.filter((limit) => (limit.run === null ? way === "powered" : limit.run === runId));

const hottestAllowed = (limits: readonly PlanLimit[], place: string): number | null =>
  limits.find((limit) => limit.of === "temperature" && (limit.place === "" || limit.place === place))?.hi ?? null;
