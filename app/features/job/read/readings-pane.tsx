import { memo, type ReactNode, type RefObject, useCallback, useEffect, useState } from "react";
import type { RoundPhase } from "~/core/logbook";
import { type Refusal, unitById } from "~/core/quantity";
import { type Frame, type MeasuredQuantity, measuredUnit } from "~/core/stages";
import type { RoundDraft } from "~/operations/draft-body";
import { Button } from "~/ui/button";
import { useHandler } from "~/ui/use-handler";
import { capital } from "../../words/count";
import { placeWords } from "../../words/quantity";
import { useJobScreen } from "../entries/job-context";
import { useTyped } from "../entries/use-draft";
import { Keypad } from "./keypad";
import { bareUnits } from "./method";
import { ReadingField } from "./reading-field";
import { ReadingList } from "./reading-list";
import { type ReadingPlan, type ReadingProblem, type ReadingStep, readingNow, readingStep } from "./reading-steps";
import type { RoundView, ViewReading } from "./round-view";

type Props = {
  phase: RoundPhase;
  change: (how: (round: RoundDraft) => RoundDraft) => void;
  /** Places in the order of reading. */
  positions: readonly number[];
  frame: Frame;
  quantity: MeasuredQuantity;
  /** Of the readings that were taken. */
  view: RoundView | null;
  bareUnit: string;
  onBareUnit: (unit: string) => void;
  least: number;
  /** Enough is enough: the tight spot alone ends it, the rest is there for who doubts. */
  stopsEarly: boolean;
  doneWord: string;
  onDone: () => void;
  method: ReactNode;
  /** What can be done instead of typing numbers. */
  instead: ReactNode;
  /** Why the round was not taken. */
  problem: Refusal | null;
  /** Reading is the thing to do now. */
  asking: boolean;
  /** A reading to be questioned that nobody has answered for. */
  questioned: ViewReading | null;
  onKeepQuestioned: (index: number) => void;
  /** Where readings are typed. */
  field: RefObject<HTMLInputElement | null>;
};

/** Readings taken blind: the field keeps the focus, Enter goes on, Backspace on an empty field steps back (`readingStep`). */
export function ReadingsPane(props: Props) {
  const { phase, change, positions, frame, view, field } = props;
  const { draft } = useJobScreen();
  const readings = useTyped(({ rounds }) => rounds[phase].readings);
  const at = useTyped(({ rounds }) => rounds[phase].at);
  const named = (place: number) => placeWords(frame, place);
  const [aside, setAside] = useState<{ asks: number | null; problem: ReadingProblem | null }>(nothingAside);
  const plan: ReadingPlan = { ...props, unit: measuredUnit[props.quantity] };
  const { place: tooth, counted, enough, complete } = readingNow({ readings, at }, plan);

  // Without scrolling: on a phone the sentence above the field may be the thing to look at.
  useEffect(() => field.current?.focus({ preventScroll: true }), [field]);

  const take = useHandler((step: ReadingStep) => {
    const now = readingStep({ round: draft.body.rounds[phase], ...aside, done: false }, step, plan);
    if (now.asks !== aside.asks || now.problem !== aside.problem) setAside({ asks: now.asks, problem: now.problem });
    change(() => now.round);
    if (now.done) props.onDone();
    else field.current?.focus();
  });
  const onKey = useCallback((key: string) => take({ do: "key", key }), [take]);
  const onBack = useCallback(() => take({ do: "rub-out" }), [take]);

  const { questioned } = props;
  const last = aside.asks === null ? undefined : readings[aside.asks];
  return (
    <section aria-label="Readings" className="flex flex-col gap-1.5 grow min-h-0 max-lg:contents">
      <ReadingField
        phase={phase}
        field={field}
        frame={frame}
        quantity={props.quantity}
        bareUnit={props.bareUnit}
        place={tooth}
        count={counted.length}
        problem={aside.problem}
        refused={props.problem}
        asking={props.asking}
        take={take}
      />
      {questioned && !last && (
        <div className="border-2 border-near bg-panel p-3 grid gap-2 max-lg:order-2" role="alert">
          <p>
            <b className="figure">{readings[questioned.index]?.typed}</b> at {named(questioned.tooth)} stands off from
            the others. Read it again to be sure.
          </p>
          <div className="flex gap-2">
            <Button onClick={() => take({ do: "strike", index: questioned.index })}>Strike it out</Button>
            <Button
              kind="quiet"
              onClick={() => {
                props.onKeepQuestioned(questioned.index);
                field.current?.focus();
              }}
            >
              Keep it
            </Button>
          </div>
        </div>
      )}
      {last && <ReadBefore phase={phase} at={capital(named(tooth ?? 1))} typed={last.typed} take={take} />}
      <Keypad onKey={onKey} onBack={onBack} />
      <div className="grid grid-cols-[auto_1fr] gap-1.5 max-lg:order-4">
        <UnitKey value={props.bareUnit} units={bareUnits(props.quantity)} onChange={props.onBareUnit} field={field} />
        <NextKey
          phase={phase}
          complete={complete}
          doneWord={props.doneWord}
          place={frame.word}
          onDone={props.onDone}
          take={take}
        />
      </div>
      {enough && !complete && (
        <Button kind="quiet" className="max-lg:order-4" onClick={props.onDone}>
          {props.doneWord} with {counted.length} of {positions.length}
        </Button>
      )}
      <ReadingList
        frame={frame}
        seen={view?.readings ?? []}
        readings={readings}
        tooth={tooth}
        onGo={(place) => take({ do: "go", to: positions.indexOf(place) })}
        onStrike={(index) => take({ do: "strike", index })}
      />
      <div className="max-lg:order-7 shrink-0">
        {props.instead}
        {props.method}
      </div>
    </section>
  );
}

/** The key under the thumb: takes the reading and goes on, or ends the round where all is read. */
const NextKey = memo(function NextKey({
  phase,
  complete,
  doneWord,
  place,
  onDone,
  take,
}: {
  phase: RoundPhase;
  complete: boolean;
  doneWord: string;
  place: string;
  onDone: () => void;
  take: (step: ReadingStep) => void;
}) {
  const isEmpty = useTyped(({ rounds }) => rounds[phase].field === "");
  return complete && isEmpty ? (
    <Button kind="now" large onClick={onDone}>
      {doneWord}
    </Button>
  ) : (
    <Button kind="solid" large onClick={() => take({ do: "enter" })}>
      Next {place}
    </Button>
  );
});

/** Asked where the place was read before. */
function ReadBefore({
  phase,
  at,
  typed,
  take,
}: {
  phase: RoundPhase;
  at: string;
  typed: string;
  take: (step: ReadingStep) => void;
}) {
  const field = useTyped(({ rounds }) => rounds[phase].field);
  return (
    <div
      className="border-2 border-now bg-panel p-3 grid gap-2 max-lg:order-2"
      role="alertdialog"
      aria-label="Read here before"
    >
      <p>
        {at} already reads <b className="figure">{typed}</b>.
      </p>
      <Button kind="now" onClick={() => take({ do: "keep-as-repeat" })}>
        Keep {field} as a repeat
      </Button>
      <Button onClick={() => take({ do: "keep-instead" })}>
        Strike out {typed}, keep {field}
      </Button>
    </div>
  );
}

const nothingAside = { asks: null, problem: null };

function UnitKey({
  value,
  units,
  onChange,
  field,
}: {
  value: string;
  units: readonly string[];
  onChange: (unit: string) => void;
  field: RefObject<HTMLInputElement | null>;
}) {
  const next = units[(units.indexOf(value) + 1) % units.length] ?? value;
  const symbol = unitById(value).symbol;
  return (
    <Button
      kind="quiet"
      large
      className="px-3 min-w-18"
      disabled={units.length === 1}
      aria-label={
        units.length === 1
          ? `A bare number is ${symbol}`
          : `A bare number is ${symbol}; change to ${unitById(next).symbol}`
      }
      onClick={() => {
        onChange(next);
        field.current?.focus();
      }}
    >
      {symbol}
    </Button>
  );
}
