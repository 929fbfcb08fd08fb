import { memo, type ReactNode, type RefObject, useState } from "react";
import { afterEachPart, beforeReading, nothingToAdjust, notRound } from "~/app/features/kinds";
import { traitsOf } from "~/app/features/kinds/traits";
import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import {
  centreChange,
  type LearntResponse,
  moveSteps,
  nearDeadPoint,
  type Setting,
  unitOf,
  wholeSteps,
} from "~/core/advice";
import type { Refusal } from "~/core/quantity";
import type { Instrument, Stage } from "~/core/records";
import { aimOf, frameOf, judgedBy, leastPlaces } from "~/core/stages";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { Button } from "~/ui/button";
import { StateMark, stateWord } from "~/ui/state-mark";
import { useHandler } from "~/ui/use-handler";
import { later } from "~/ui/use-later";
import { WhenHere } from "~/ui/when-here";
import { Term } from "../../shell/term";
import { amountWords, moveParts, moveWords } from "../../words/amount";
import { capital } from "../../words/count";
import { noLimits } from "../../words/limit-words";
import { placeOf, stageUnit } from "../../words/quantity";
import { judgedWords } from "../../words/quantity-names";
import { verdictState } from "../../words/state";
import { turnedWords } from "../../words/turned";
import { useJobScreen } from "../entries/job-context";
import { type RoundView, seenAfter } from "../read/round-view";
import { AlsoMoves } from "./also-moves";
import type { ChosenStack } from "./drawer-pane";
import { EaseFirst } from "./ease-first";
import { FeelerWay, feelerFor } from "./feeler-way";
import { Beside, useOfItsKind } from "./of-its-kind";
import { onlyPushes } from "./only-pushes";
import { standWords } from "./stand-words";
import { WhyMove } from "./why-move";

type Props = {
  /** With the gear in that is read. */
  stage: Stage;
  /** Whose stop is moved; undefined: the stage's own adjuster. */
  gear: string | undefined;
  instrument: Instrument;
  view: RoundView | null;
  learnt: LearntResponse | null;
  /** The leaves with which it was set, where the adjuster has no scale. */
  onSo: (feelerMm?: number[]) => void;
  onOtherwise: (amount: number, note: string) => Refusal | null;
  /** A reading that stands off and that nobody has answered for: to be looked at before anything is moved. */
  questioned: { tooth: number; typed: string } | null;
  /** A stack from the drawer. */
  onTake: (chosen: ChosenStack) => void;
  /** What to do where no move is asked for. */
  onward: ReactNode;
  /** What the instrument shows at the limits, where that is another figure. */
  meter: ReactNode;
  /** Logs a clamp as eased, before the move. */
  onEase: (clamp: number) => void;
  /** A tight spot that was only felt so far. */
  feltTight: number | null;
  soButton: RefObject<HTMLButtonElement | null>;
};

const otherwisePart = later(async () => (await import("./otherwise")).Otherwise);
const drawer = later(async () => (await import("./drawer-pane")).DrawerPane);
const goneTooFar = later(async () => (await import("./gone-too-far")).GoneTooFar);
const stop = later(async () => (await import("./stop-pane")).StopPane);
const roller = later(async () => (await import("./roller-pane")).RollerPane);

/** A sentence with a number: where to stand the gear, which way, how much, what it will read then, how sure, and why. */
export function MovePane(props: Props) {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const { instruments } = data;
  const { stage, instrument, view } = props;
  const [otherwise, setOtherwise] = useState(false);
  const { readPicture } = useOfItsKind(stage);
  const { element } = stage.geometry;
  const unit = stageUnit(reader, element);
  const so = useHandler(() => {
    if (view) props.onSo(stage.adjuster.hasScale ? undefined : feelerFor({ stage, instruments }, view)?.leavesMm);
  });
  if (!view || view.standTooth === null) {
    return (
      <section aria-label="Next move">
        <p className="text-mid font-semibold mb-1">Next move</p>
        <p className="text-2xl font-semibold">{howManyWords(stage)}</p>
        {props.feltTight !== null && (
          <p className="text-lg mt-2">
            By feel the tight spot is <span className="text-copper">{placeOf(element, props.feltTight)}</span>: stand it
            there, and begin reading there.
          </p>
        )}
        <p className="text-lg text-mid mt-2">{beforeReading(element)}</p>
        {readPicture(null, null)}
        {props.meter}
        {stage.geometry.turnedBy !== "either" && (
          <p className="text-lg mt-2 border-l-4 border-ink pl-3">{turnedWords[stage.geometry.turnedBy]}</p>
        )}
        {stage.geometry.arcDeg && (
          <p className="text-lg mt-2">
            It turns only from {formatNumber(reader, stage.geometry.arcDeg[0], 0)}° to{" "}
            {formatNumber(reader, stage.geometry.arcDeg[1], 0)}°: that arc alone is read and judged.
          </p>
        )}
        <Beside stage={stage} judged={view?.judged ?? null} onOtherwise={props.onOtherwise} onEase={props.onEase} />
      </section>
    );
  }
  const { limits } = stage;
  const move = !props.questioned && view.move && view.move.amount !== 0 ? view.move : null;
  const then = move && seenAfter(view, move);
  const all = leastPlaces(frameOf(element)) > 1;
  // Each end is told its own move.
  const { ends } = frameOf(element);
  const beside = <Beside stage={stage} judged={view.judged} onOtherwise={props.onOtherwise} onEase={props.onEase} />;
  return (
    <section aria-label="Next move" className="flex flex-col gap-3">
      <div>
        <p className="text-mid font-semibold mb-1 flex gap-3 items-center">
          Next move, from {counted(view)} {counted(view) === 1 ? "reading" : "readings"}{" "}
          <StateMark state={view.state} word={limits ? undefined : noLimits} />
        </p>
        {props.questioned ? (
          <p className="text-2xl font-semibold leading-snug">
            Look at <span className="text-now">{placeOf(element, props.questioned.tooth)}</span> first:{" "}
            {props.questioned.typed} stands off from the others. Read it again, strike it out, or keep it.
          </p>
        ) : ends ? (
          beside
        ) : (
          <Sentence {...props} view={view} />
        )}
      </div>
      {move && then && (
        <p className="text-lg" aria-live="polite">
          It should then read{" "}
          {all && (
            <>
              <b className="figure">{unit.figure(move.at ?? then.min)}</b> there, and{" "}
            </>
          )}
          <b className="figure">{unit.range(then.min, then.max)}</b> {unit.unit}
          {all && (frameOf(element).wave ? " all round" : " in all")}, <Term name="uncertainty">give or take</Term>{" "}
          <span className="figure">{unit.figure(view.advice?.expectedUncertainty ?? view.expandedUncertainty, 1)}</span>{" "}
          (2 sd){move.verdict === "conforms" ? "." : `: ${stateWord[verdictState[move.verdict]]}.`}
        </p>
      )}
      {limits && (
        <BandGauge
          lo={limits.lo}
          hi={limits.hi}
          aim={aimOf(judgedBy(element), limits)}
          now={view.seen}
          then={then}
          state={view.state}
          unit={unit.unit}
          figure={unit.figure}
          per={unit.per}
          label={`Limits ${unit.figure(limits.lo)} to ${unit.figure(limits.hi)}, now ${unit.range(view.seen.min, view.seen.max)}`}
        />
      )}
      {readPicture(view.seen, then)}
      {props.meter}
      {move && stage.adjuster.alsoMoves.length > 0 && (
        <AlsoMoves stage={stage} changeMm={centreWay(stage, move.amount)} />
      )}
      {move && <Ease clamps={job.record.clamps} onEase={props.onEase} />}
      {move ? (
        <DidIt
          now={stage.adjuster.means !== "stop"}
          soButton={props.soButton}
          onSo={so}
          otherwise={otherwise}
          onOtherwise={setOtherwise}
        />
      ) : (
        <div className="flex flex-wrap gap-3">
          {(!ends || view.state === "inside") && props.onward}
          {stage.adjuster.adjuster && (
            <Button large aria-expanded={otherwise} onClick={() => setOtherwise(!otherwise)}>
              Moved it all the same
            </Button>
          )}
        </div>
      )}
      {otherwise && (
        <WhenHere
          part={otherwisePart}
          props={{ stage, onOtherwise: props.onOtherwise, onDone: () => setOtherwise(false) }}
        />
      )}
      {onlyPushes(stage) && <WhenHere part={goneTooFar} props={{}} />}
      {!props.questioned && move && stage.adjuster.means === "stop" && (
        <WhenHere part={stop} props={{ stage, gear: props.gear, view, onTake: props.onTake }} />
      )}
      {!props.questioned && move && isStack(stage) && (
        <WhenHere part={drawer} props={{ stage, view, onTake: props.onTake }} />
      )}
      {!ends && beside}
      {move && stage.adjuster.means === "roller-holes" && (
        <WhenHere part={roller} props={{ stage, view, onMove: props.onOtherwise }} />
      )}
      {!props.questioned && (
        <WhyMove stage={stage} instrument={instrument} instruments={instruments} view={view} learnt={props.learnt} />
      )}
    </section>
  );
}

const isStack = ({ adjuster: { adjuster, means } }: Stage): boolean => adjuster?.type === "shims" && means !== "stop";

const DidIt = memo(function DidIt({
  now,
  soButton,
  onSo,
  otherwise,
  onOtherwise,
}: {
  /** It is the thing to do; a spacer is chosen first. */
  now: boolean;
  soButton: RefObject<HTMLButtonElement | null>;
  onSo: () => void;
  otherwise: boolean;
  onOtherwise: (open: boolean) => void;
}) {
  return (
    <div className="flex gap-3 max-sm:gap-2">
      <Button ref={soButton} kind={now ? "now" : "line"} large className="max-sm:px-3 max-sm:grow" onClick={onSo}>
        Done as said
      </Button>
      <Button
        large
        className="max-sm:px-3 max-sm:grow"
        aria-expanded={otherwise}
        onClick={() => onOtherwise(!otherwise)}
      >
        Did something else
      </Button>
    </div>
  );
});

const Ease = memo(EaseFirst);

/** How far the adjuster moves its part by an amount, mm. */
const centreWay = ({ adjuster: { adjuster } }: Stage, amount: number): number =>
  adjuster ? centreChange(adjuster, amount) : 0;

/** How many places have to be read before anything can be said. */
function howManyWords({ geometry: { element } }: Stage): string {
  const frame = frameOf(element);
  const least = leastPlaces(frame);
  if (frame.belts > 1) return `Read each of the ${frame.belts} belts at ${frame.places} places.`;
  if (least === 1) return `Read the ${judgedWords[judgedBy(element)]}.`;
  if (frame.word === "round") return "Read the sag at two places of the chain or more.";
  if (frame.word === "link") return "Measure the counted pitches at two places of the chain or more.";
  if (frame.ends) return "Read it at both ends.";
  if (!frame.wave) return `Read it at all ${least} places.`;
  return `Read at least ${least === 3 ? "three" : least} places round the turn.`;
}

const counted = (view: RoundView): number => view.readings.filter((reading) => !reading.struck).length;

function Sentence({ stage, view }: Props & { view: RoundView }) {
  const reader = useWords();
  const { instruments } = useJobScreen().data;
  const { adjuster } = stage;
  const { otherMember } = useOfItsKind(stage);
  const words = "text-2xl font-semibold leading-snug";
  const { element } = stage.geometry;
  const { advice, judged } = view;
  if (!advice || !view.move || view.move.amount === 0 || !adjuster.adjuster)
    return <p className={words}>{stayWords(reader, stage, view)}</p>;
  const unit = unitOf(adjuster.adjuster);
  const steps = wholeSteps(moveSteps(adjuster.adjuster, view.move.amount), adjuster.step);
  const move = moveParts(reader, adjuster, view.move.amount, unit);
  const dead = nearDeadPoint(adjuster.adjuster);
  return (
    <>
      {judged.holds === "too-wide" && (
        <p className={`${words} mb-2`}>No setting can hold it: {notRound(element)}. For now:</p>
      )}
      <p className={words}>
        {standWords(element, view.standTooth)}
        {adjuster.name}
        {move.before ? "" : " "}
        {move.before && ": "}
        {move.before}
        <span className="text-now">{move.size}</span>
        {move.after}
        {advice.reasons.includes("guessed-stiffness") &&
          ": a safe part of the way, because nobody knows how stiff it is. Then read again, and the rest follows"}
        .
      </p>
      {view.move.verdict !== "conforms" && view.move.other && !advice.reasons.includes("guessed-stiffness") && (
        <p className="text-lg mt-2">{nearestWords(reader, stage, view, view.move.other)}</p>
      )}
      {dead !== null && (
        <p className="text-lg mt-2 border-l-4 border-near pl-3">
          The eccentric stands {formatNumber(reader, dead, 0)}° from its dead point: it moves little there, and past it
          the other way.
        </p>
      )}
      {!adjuster.hasScale && <FeelerWay stage={stage} view={view} stack={feelerFor({ stage, instruments }, view)} />}
      {steps.length > 1 && (
        <ol className="list-decimal pl-6 mt-2 text-lg">
          {steps.map((step, i) => (
            <li key={`${step.kind}-${i}`}>
              {step.kind === "draw-back"
                ? "Bring the part back against the screw by hand; slackening alone moves nothing."
                : `${step.kind === "slacken" ? "Slacken" : "Push"} ${amountWords(reader, step.amount, unit, adjuster.step, adjuster.means)}${step.kind === "push" ? ", then read again" : ""}.`}
            </li>
          ))}
          {afterEachPart(reader, element) && <li>{afterEachPart(reader, element)}</li>}
        </ol>
      )}
      {otherMember(centreWay(stage, view.move.amount))}
    </>
  );
}

/** What the setting on the other side of the nearest one would read. */
function nearestWords(reader: Reader, stage: Stage, view: RoundView, other: Setting): string {
  const { adjuster } = stage;
  const { range, unit } = stageUnit(reader, stage.geometry.element);
  const seen = seenAfter(view, other);
  const reads = `${range(seen.min, seen.max)} ${unit}, ${stateWord[verdictState[other.verdict]]}`;
  if (other.amount === 0) return `That is the nearest it can be set. Left where it stands it reads ${reads}.`;
  return `That is the nearest it can be set. ${capital(moveWords(reader, adjuster, other.amount))}: it would read ${reads}.`;
}

/** Of less than half a turn only what was read is known. */
const insideWords = (covered: boolean): string =>
  covered ? "It reads inside all the way round." : "It reads inside where it was read. Read on round the turn.";

/** What is said where no move is asked for; where it is outside it is never said to be left. */
function stayWords(reader: Reader, stage: Stage, view: RoundView): string {
  const { advice, state, judged } = view;
  const { adjuster } = stage;
  const { element } = stage.geometry;
  if (!stage.limits)
    return adjuster.adjuster
      ? "Nobody has said its limits yet: it is not judged, and no move is worked out. What you read and move is kept, and teaches."
      : "Nobody has said its limits yet: it is not judged. What you read is kept, and its trend with it.";
  if (!adjuster.adjuster || !advice)
    return `${nothingToAdjust(element)} ${state === "inside" ? insideWords(judged.covered) : state === "near" ? "It reads near the edge: watch it." : traitsOf(element).setBeside ? "It reads outside." : "It reads outside: the parts have to be seen to."}`;
  if (judged.holds === "too-wide")
    return `No setting can hold it: ${notRound(element)}. It stands as well as it can; get it seen to.`;
  if (state === "inside") return `${insideWords(judged.covered)}${judged.covered ? " Leave it." : ""}`;
  const leave = state === "outside" ? "" : "Leave it. ";
  const out = state === "outside" ? " It stays outside: get it seen to, or read it with a finer instrument." : "";
  if (advice.reasons.includes("tight-risk"))
    return `${leave}Any further push could end too tight, and the screw cannot go back.${out}`;
  if (advice.reasons.includes("best-possible"))
    return `${leave}A further move would change less than this reading can tell.${out}`;
  if (view.move?.other)
    return `${leave}It stands at the nearest setting there is. ${nearestWords(reader, stage, view, view.move.other).replace(/^That is the nearest it can be set. /, "")}`;
  return `${leave}The adjuster has no way left that brings it nearer.${out}`;
}
