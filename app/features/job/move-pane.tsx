import { type ReactNode, type RefObject, useState } from "react";
import { formatNumber } from "~/app/features/words/figure";
import { centreChange, type LearntResponse, moveSteps, unitOf, wholeSteps } from "~/core/advice";
import { bevelPair } from "~/core/bevels";
import type { Refusal } from "~/core/quantity";
import { frameOf, judgedBy, leastPlaces } from "~/core/stages";
import type { Instrument } from "~/data/queries/instruments";
import type { Stage } from "~/data/queries/stages";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { Button } from "~/ui/button";
import { Choice, Field } from "~/ui/field";
import { StateMark } from "~/ui/state-mark";
import { amountWords, asTyped, parseAmount, unitHint } from "../words/amount";
import { placeOf, readIn, stageUnit } from "../words/quantity";
import { refusalWords } from "../words/refusal";
import { lengthWords } from "../words/spoken";
import { turnedWords } from "../words/turned";
import { AlsoMoves } from "./also-moves";
import { type ChosenStack, DrawerPane } from "./drawer-pane";
import { FeelerWay, feelerFor } from "./feeler-way";
import { beforeReading, nothingToAdjust, notRound, standWords } from "./how-to-read";
import type { RoundView } from "./round-view";
import { SagPicture } from "./sag-picture";
import { WhyMove } from "./why-move";

type Props = {
  stage: Stage;
  instrument: Instrument;
  view: RoundView | null;
  learnt: LearntResponse | null;
  texts: Record<string, string>;
  onText: (name: string, text: string) => void;
  instruments: readonly Instrument[];
  /** The leaves with which it was set, where the adjuster has no scale. */
  onSo: (feelerMm?: number[]) => void;
  onOtherwise: (amount: number, note: string) => Refusal | null;
  /** A reading that stands off and that nobody has answered for: to be looked at before anything is moved. */
  questioned: { tooth: number; typed: string } | null;
  /** A stack from the drawer; left out where none can be taken. */
  onTake?: (chosen: ChosenStack) => void;
  /** What to do where no move is asked for. */
  onward: ReactNode;
  soButton?: RefObject<HTMLButtonElement | null>;
};

/** A sentence with a number: where to stand the gear, which way, how much, what it will read then, how sure, and why. */
export function MovePane(props: Props) {
  const { stage, instrument, view } = props;
  const [otherwise, setOtherwise] = useState(false);
  const { element } = stage.geometry;
  const unit = stageUnit(element);
  const read = readIn(element, instrument);
  if (!view || view.standTooth === null) {
    return (
      <section aria-label="Next move">
        <p className="text-mid font-semibold mb-1">Next move</p>
        <p className="text-2xl font-semibold">{howManyWords(stage)}</p>
        <p className="text-lg text-mid mt-2">{beforeReading(element)}</p>
        {element.kind === "chain" && unit.quantity === "sag" && (
          <SagPicture chain={element} limits={stage.limits} now={null} then={null} />
        )}
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
            Look at <span className="text-now">{placeOf(element, props.questioned.tooth)}</span> first:{" "}
            {props.questioned.typed} stands off from the others. Read it again, strike it out, or keep it.
          </p>
        ) : (
          <Sentence {...props} view={view} />
        )}
      </div>
      {move && (
        <p className="text-lg" aria-live="polite">
          It should then read{" "}
          {leastPlaces(frameOf(element)) > 1 && (
            <>
              <b className="figure">{read.figure(move.at ?? move.min)}</b> there, and{" "}
            </>
          )}
          <b className="figure">{read.range(move.min, move.max)}</b> {unit.unit}
          {leastPlaces(frameOf(element)) > 1 && " all round"}, give or take{" "}
          <span className="figure">{unit.figure(view.advice.expectedUncertainty ?? view.expandedUncertainty, 1)}</span>.
        </p>
      )}
      <BandGauge
        lo={limits.lo}
        hi={limits.hi}
        aim={limits.aim ?? (limits.lo + limits.hi) / 2}
        now={view.now}
        then={move ? { min: move.min, max: move.max } : null}
        state={view.state}
        unit={unit.unit}
        figure={unit.figure}
        per={unit.per}
        label={`Limits ${unit.figure(limits.lo)} to ${unit.figure(limits.hi)}, now ${read.range(view.now.min, view.now.max)}`}
      />
      {element.kind === "chain" && unit.quantity === "sag" && (
        <SagPicture
          chain={element}
          limits={limits}
          now={view.now}
          then={move ? { min: move.min, max: move.max } : null}
        />
      )}
      {move && <AlsoMoves stage={stage} changeMm={centreWay(stage, move.amount)} />}
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
          {stage.adjuster.adjuster && (
            <Button large aria-expanded={otherwise} onClick={() => setOtherwise(!otherwise)}>
              Moved it all the same
            </Button>
          )}
        </div>
      )}
      {otherwise && <Otherwise {...props} onDone={() => setOtherwise(false)} />}
      {!props.questioned && props.onTake && move && stage.adjuster.adjuster?.type === "shims" && (
        <DrawerPane stage={stage} view={view} onTake={props.onTake} />
      )}
      {!props.questioned && (
        <WhyMove
          stage={stage}
          instrument={instrument}
          instruments={props.instruments}
          view={view}
          learnt={props.learnt}
        />
      )}
    </section>
  );
}

/** How far the adjuster moves its part by an amount, mm. */
const centreWay = ({ adjuster: { adjuster } }: Stage, amount: number): number =>
  adjuster ? centreChange(adjuster, amount) : 0;

/** How many places have to be read before anything can be said. */
function howManyWords({ geometry: { element } }: Stage): string {
  const frame = frameOf(element);
  const least = leastPlaces(frame);
  if (frame.belts > 1) return `Read each of the ${frame.belts} belts at ${frame.places} places.`;
  if (least === 1) return "Read the gap.";
  if (frame.word === "link")
    return judgedBy(element) === "sag"
      ? "Read the sag at two places of the chain or more."
      : "Measure the counted pitches at two places of the chain or more.";
  return `Read at least ${least === 3 ? "three" : least} places round the turn.`;
}

const counted = (view: RoundView): number => view.readings.filter((reading) => !reading.struck).length;

function Sentence({ stage, view, instruments }: Props & { view: RoundView }) {
  const { adjuster } = stage;
  const words = "text-2xl font-semibold leading-snug";
  const band = stage.limits.hi - stage.limits.lo;
  const { element } = stage.geometry;
  if (!view.move || view.move.amount === 0 || !adjuster.adjuster)
    return <p className={words}>{leaveWords(stage, view, band)}</p>;
  const unit = unitOf(adjuster.adjuster);
  const steps = wholeSteps(moveSteps(adjuster.adjuster, view.move.amount), adjuster.step);
  return (
    <>
      {view.advice.spread > band && (
        <p className={`${words} mb-2`}>No setting can hold it: {notRound(element)}. For now:</p>
      )}
      <p className={words}>
        {standWords(element, view.standTooth)}
        {adjuster.name}{" "}
        <span className="text-now">{amountWords(view.move.amount, unit, adjuster.step, adjuster.means)}</span>{" "}
        {view.move.amount > 0 ? adjuster.positiveWord : adjuster.negativeWord}.
      </p>
      {!adjuster.hasScale && <FeelerWay stage={stage} view={view} stack={feelerFor({ stage, instruments }, view)} />}
      {steps.length > 1 && (
        <ol className="list-decimal pl-6 mt-2 text-lg">
          {steps.map((step, i) => (
            <li key={`${step.kind}-${i}`}>
              {step.kind === "draw-back"
                ? "Bring the part back against the screw by hand; slackening alone moves nothing."
                : `${step.kind === "slacken" ? "Slacken" : "Push"} ${amountWords(step.amount, unit, adjuster.step, adjuster.means)}${step.kind === "push" ? ", then read again" : ""}.`}
            </li>
          ))}
          {element.kind === "worm" && (
            <li>
              After every part release the drive and turn the output a turn by hand: it must run free, with no tight
              spot.
            </li>
          )}
        </ol>
      )}
      <OtherMember stage={stage} amount={view.move.amount} />
    </>
  );
}

/** On a bevel pair the same can be had by the shims of the other member, at another contact. */
function OtherMember({ stage, amount }: { stage: Stage; amount: number }) {
  const { element } = stage.geometry;
  if (element.kind !== "bevel") return null;
  const perAxial = bevelPair(element.bevel).backlashPerAxialMm;
  const [own, other] = element.shimmed === "pinion" ? [0, 1] : [1, 0];
  const way = (centreWay(stage, amount) * (perAxial[own] ?? 0)) / (perAxial[other] ?? 1);
  return (
    <p className="text-lg mt-2">
      Or move the {other === 0 ? "pinion" : "gear"} {lengthWords(Math.abs(way), 2)} {way < 0 ? "into" : "out of"} the
      mesh by its shims: the same backlash, with the contact shifted along the teeth.
    </p>
  );
}

/** What is said where no move is asked for. */
function leaveWords({ adjuster, geometry: { element } }: Stage, view: RoundView, band: number): string {
  const { advice, state } = view;
  if (!adjuster.adjuster || view.assessment.sensitivity === null)
    return `${nothingToAdjust(element)} ${state === "inside" ? "It reads inside all the way round." : state === "near" ? "It reads near the edge: watch it." : "It reads outside: the parts have to be seen to."}`;
  if (advice.spread > band)
    return `No setting can hold it: ${notRound(element)}. Leave it at this, and get it seen to.`;
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
  const unit = adjuster.adjuster ? unitOf(adjuster.adjuster) : "mm";
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
        hint={unitHint(unit)}
        onBlur={() => onText("move.amount", asTyped(texts["move.amount"] ?? "", unit))}
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
