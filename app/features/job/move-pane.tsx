import { type ReactNode, type RefObject, useState } from "react";
import { type LearntResponse, unitOf } from "~/core/advice";
import { type GearPair, gearPair } from "~/core/gears";
import { decimalsFor, formatNumber, mustHold, type Refusal } from "~/core/quantity";
import type { Instrument } from "~/data/queries/instruments";
import type { Stage } from "~/data/queries/stages";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { Button } from "~/ui/button";
import { Choice, Field } from "~/ui/field";
import { StateMark } from "~/ui/state-mark";
import { amountWords, parseAmount, unitHint } from "../words/amount";
import { rangeWords } from "../words/entry";
import { refusalWords } from "../words/refusal";
import { turnedWords } from "../words/turned";
import { FeelerWay, feelerFor } from "./feeler-way";
import type { RoundView } from "./round-view";

type Props = {
  stage: Stage;
  instrument: Instrument;
  view: RoundView | null;
  learnt: LearntResponse;
  texts: Record<string, string>;
  onText: (name: string, text: string) => void;
  instruments: readonly Instrument[];
  /** The leaves with which it was set, where the adjuster has no scale. */
  onSo: (feelerMm?: number[]) => void;
  onOtherwise: (amount: number, note: string) => Refusal | null;
  /** A reading that stands off and that nobody has answered for: to be looked at before anything is moved. */
  questioned: { tooth: number; typed: string } | null;
  /** What to do where no move is asked for. */
  onward: ReactNode;
  soButton?: RefObject<HTMLButtonElement | null>;
};

/** A sentence with a number: where to stand the gear, which way, how much, what it will read then, how sure, and why. */
export function MovePane(props: Props) {
  const { stage, instrument, view } = props;
  const [otherwise, setOtherwise] = useState(false);
  const decimals = decimalsFor(instrument.resolutionMm);
  if (!view || view.standTooth === null) {
    return (
      <section aria-label="Next move">
        <p className="text-mid font-semibold mb-1">Next move</p>
        <p className="text-2xl font-semibold">Read at least three places round the turn.</p>
        <p className="text-lg text-mid mt-2">
          Rock the shafts in their bearings first: play there makes every reading a lie. Read with the clamps at full
          torque.
        </p>
        {stage.geometry.turnedBy !== "either" && (
          <p className="text-lg mt-2 border-l-4 border-ink pl-3">{turnedWords[stage.geometry.turnedBy]}</p>
        )}
        {stage.geometry.arcDeg && (
          <p className="text-lg mt-2">
            It turns only from {formatNumber(stage.geometry.arcDeg[0], 0)}° to{" "}
            {formatNumber(stage.geometry.arcDeg[1], 0)}°: that arc alone is read and judged.
          </p>
        )}
      </section>
    );
  }
  const { limits } = stage;
  const move = !props.questioned && view.move && view.move.amount !== 0 ? view.move : null;
  return (
    <section aria-label="Next move" className="flex flex-col gap-3">
      <div>
        <p className="text-mid font-semibold mb-1 flex gap-3 items-center">
          Next move, from {counted(view)} {counted(view) === 1 ? "reading" : "readings"}{" "}
          <StateMark state={view.state} />
        </p>
        {props.questioned ? (
          <p className="text-2xl font-semibold leading-snug">
            Look at <span className="text-now">tooth {props.questioned.tooth}</span> first: {props.questioned.typed}{" "}
            stands off from the others. Read it again, strike it out, or keep it.
          </p>
        ) : (
          <Sentence {...props} view={view} />
        )}
      </div>
      {move && (
        <p className="text-lg" aria-live="polite">
          It should then read <b className="figure">{formatNumber(move.atMm ?? move.minMm, decimals)}</b> there, and{" "}
          <b className="figure">{rangeWords(move.minMm, move.maxMm, decimals)}</b> mm all round, give or take{" "}
          <span className="figure">
            {formatNumber(view.advice.expectedUncertainty ?? view.expandedUncertaintyMm, 3)}
          </span>
          .
        </p>
      )}
      <BandGauge
        lo={limits.loMm}
        hi={limits.hiMm}
        aim={limits.aimMm ?? (limits.loMm + limits.hiMm) / 2}
        now={view.now}
        then={move ? { min: move.minMm, max: move.maxMm } : null}
        state={view.state}
        unit="mm"
        label={`Limits ${formatNumber(limits.loMm, 2)} to ${formatNumber(limits.hiMm, 2)}, now ${rangeWords(view.now.min, view.now.max, decimals)}`}
      />
      {move ? (
        <div className="flex flex-wrap gap-3">
          <Button
            ref={props.soButton}
            kind="now"
            large
            onClick={() => props.onSo(stage.adjuster.hasScale ? undefined : feelerFor(props, view)?.leavesMm)}
          >
            Did it so
          </Button>
          <Button large aria-expanded={otherwise} onClick={() => setOtherwise(!otherwise)}>
            Did otherwise
          </Button>
        </div>
      ) : (
        <div className="flex flex-wrap gap-3">
          {props.onward}
          <Button large aria-expanded={otherwise} onClick={() => setOtherwise(!otherwise)}>
            Moved it all the same
          </Button>
        </div>
      )}
      {otherwise && <Otherwise {...props} onDone={() => setOtherwise(false)} />}
      {!props.questioned && <Why {...props} view={view} />}
    </section>
  );
}

const counted = (view: RoundView): number => view.readings.filter((reading) => !reading.struck).length;

function Sentence({ stage, view, instruments }: Props & { view: RoundView }) {
  const { adjuster } = stage;
  const words = "text-2xl font-semibold leading-snug";
  const steps = view.advice.steps;
  const band = stage.limits.hiMm - stage.limits.loMm;
  if (!view.move || view.move.amount === 0) return <p className={words}>{leaveWords(view, band)}</p>;
  const unit = unitOf(adjuster.adjuster);
  return (
    <>
      {view.advice.spread > band && (
        <p className={`${words} mb-2`}>No setting can hold it: the gear is not round. For now:</p>
      )}
      <p className={words}>
        Stand the gear with <span className="text-copper">tooth {view.standTooth}</span>, the tight spot, in mesh.{" "}
        {adjuster.name} <span className="text-now">{amountWords(view.move.amount, unit, adjuster.step)}</span>{" "}
        {view.move.amount > 0 ? adjuster.positiveWord : adjuster.negativeWord}.
      </p>
      {!adjuster.hasScale && <FeelerWay stage={stage} view={view} stack={feelerFor({ stage, instruments }, view)} />}
      {steps.length > 1 && (
        <ol className="list-decimal pl-6 mt-2 text-lg">
          {steps.map((step, i) => (
            <li key={`${step.kind}-${i}`}>
              {step.kind === "draw-back"
                ? "Bring the part back against the screw by hand; slackening alone moves nothing."
                : `${step.kind === "slacken" ? "Slacken" : "Push"} ${amountWords(step.amount, unit, adjuster.step)}${step.kind === "push" ? ", then read again" : ""}.`}
            </li>
          ))}
        </ol>
      )}
    </>
  );
}

/** What is said where no move is asked for. */
function leaveWords({ advice, state }: RoundView, band: number): string {
  if (advice.spread > band)
    return "No setting can hold it: the gear is not round. Leave it at this, and get the gear seen to.";
  if (advice.reasons.includes("tight-risk"))
    return "Leave it. Any further push could end too tight, and the screw cannot go back.";
  if (state === "inside") return "It reads inside all the way round. Leave it.";
  if (advice.reasons.includes("best-possible"))
    return "Leave it. A further move would change less than this reading can tell.";
  return "Leave it. What is left to move is less than the adjuster's smallest step.";
}

/** What the technician did instead, logged as it was; the app learns from what was really done. */
function Otherwise({ stage, texts, onText, onOtherwise, onDone }: Props & { onDone: () => void }) {
  const { adjuster } = stage;
  const unit = unitOf(adjuster.adjuster);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const way = texts["move.way"] === "minus" ? "minus" : "plus";
  const submit = (event: React.FormEvent) => {
    event.preventDefault();
    const amount = parseAmount(texts["move.amount"] ?? "", unit);
    if (!amount.ok) return setRefusal({ ...amount.refusal, path: ["amount"] });
    const refused = onOtherwise(way === "minus" ? -amount.value : amount.value, texts["move.note"] ?? "");
    setRefusal(refused);
    if (!refused) onDone();
  };
  return (
    <form onSubmit={submit} className="border-l-4 border-ink pl-4 grid gap-3">
      <Field
        autoFocus
        label={`${adjuster.name}: how much?`}
        value={texts["move.amount"] ?? ""}
        onChange={(event) => onText("move.amount", event.target.value)}
        hint={unitHint[unit]}
        error={refusal?.path[0] === "amount" ? refusalWords(refusal) : undefined}
      />
      <Choice
        legend="Which way?"
        name="way"
        value={way}
        onChange={(value) => onText("move.way", value)}
        options={[
          { value: "plus", label: adjuster.positiveWord },
          { value: "minus", label: adjuster.negativeWord },
        ]}
      />
      <Field
        label="Why"
        value={texts["move.note"] ?? ""}
        onChange={(event) => onText("move.note", event.target.value)}
        error={refusal && refusal.path[0] !== "amount" ? refusalWords(refusal) : undefined}
      />
      <Button kind="solid" large type="submit">
        Log this move
      </Button>
    </form>
  );
}

function Why({ stage, instrument, view, learnt }: Props & { view: RoundView }) {
  const { limits, adjuster } = stage;
  const mesh: GearPair = mustHold(gearPair(stage.geometry.pair));
  const band = limits.hiMm - limits.loMm;
  const { advice } = view;
  const f = (value: number, digits = 3) => formatNumber(value, digits);
  const law =
    adjuster.adjuster.type === "eccentric"
      ? `${f(learnt.perUnit, 2)} of its law`
      : `${f(learnt.perUnit)} mm a ${unitWord(stage)}`;
  return (
    <div className="border-t border-rule pt-3 text-base">
      <p>
        <b>Why.</b>{" "}
        {advice.spread > band
          ? `The round is ${f(advice.spread, 2)} wide and the limits lie ${f(band, 2)} apart: no setting can hold it. The gear is not round; true it, reseat it or replace it. Until then the tight side is kept inside, and the rest stays provisional.`
          : advice.reasons.includes("not-provable")
            ? `The round is ${f(advice.spread, 2)} wide and fits the limits, but leaves no room for the reading's uncertainty of ${f(view.expandedUncertaintyMm)}. A finer instrument could prove it.`
            : `The round is ${f(advice.spread, 2)} wide and the limits lie ${f(band, 2)} apart: one setting holds all of it.`}
        {advice.reasons.includes("provisional") &&
          advice.spread <= band &&
          " The adjuster does not reach far enough; it goes as far as it can."}
      </p>
      <details className="mt-2">
        <summary className="cursor-pointer min-h-11 content-center font-semibold underline">
          Numbers behind this
        </summary>
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 mt-2">
          <Fact name="Limits">
            {f(limits.loMm, 2)} to {f(limits.hiMm, 2)} mm, {limits.source}, revision {limits.revision}
          </Fact>
          <Fact name="Uncertainty of a reading">
            ±{f(view.expandedUncertaintyMm)} mm (k = 2): {instrument.name}, step {f(instrument.resolutionMm)} as r/√6,
            certificate ±{f(instrument.expandedUncertaintyMm)} (JCGM 100)
          </Fact>
          <Fact name="Verdict">Guard bands of that uncertainty at both limits (ISO 14253-1)</Fact>
          <Fact name="Mesh">
            2·tan {f(mesh.workingPressureAngleDeg, 2)}° = {f(mesh.backlashPerCentreMm)} mm of backlash for each mm of
            centre distance (ISO 21771)
          </Fact>
          <Fact name="Response">
            {learnt.moves === 0
              ? `${law}, by calculation; nothing learnt yet, taken as ±20 %`
              : `${law} ± ${f(2 * learnt.sd)}, learnt from ${learnt.moves} of ${learnt.evidence.length} moves`}
          </Fact>
          {view.assessment.fit && (
            <Fact name="Runout found">
              gear {f(view.assessment.fit.gear.eccentricityMm)} mm off centre
              {view.assessment.fit.pinion
                ? `, pinion ${f(view.assessment.fit.pinion.eccentricityMm)} mm`
                : "; pinion not to be told apart"}
              ; rest {f(view.assessment.fit.residualMm)} mm
            </Fact>
          )}
          {view.assessment.fit && (
            <Fact name="Worst over the hunting cycle">
              {f(view.assessment.fit.worstTight.backlashMm)} to {f(view.assessment.fit.worstLoose.backlashMm)} mm, every{" "}
              {view.assessment.fit.worstTight.turnsBetween} gear turns
            </Fact>
          )}
          {advice.move && (
            <Fact name="Move before rounding">
              {f(advice.move.amount)} {advice.move.unit}, centres {f(Math.abs(advice.move.centreDistanceChangeMm))} mm{" "}
              {advice.move.direction}
            </Fact>
          )}
        </dl>
      </details>
    </div>
  );
}

const unitWord = (stage: Stage): string =>
  ({ turns: "turn", mm: "mm", deg: "degree", "mm-at-lever": "mm at the lever", "mm-of-shim": "mm of shim" })[
    unitOf(stage.adjuster.adjuster)
  ];

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-mid">{name}</dt>
      <dd>{children}</dd>
    </>
  );
}
