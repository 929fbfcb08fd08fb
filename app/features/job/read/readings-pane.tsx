import { type KeyboardEvent, type ReactNode, type RefObject, useEffect, useState } from "react";
import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { parseQuantity, type Refusal, unitById } from "~/core/quantity";
import { type Frame, type MeasuredQuantity, measuredUnit, placeAngle } from "~/core/stages";
import type { RoundDraft } from "~/operations/draft-body";
import { Button } from "~/ui/button";
import { capital } from "../../words/count";
import { placeWords } from "../../words/quantity";
import { refusalWords } from "../../words/refusal";
import { spoken } from "../../words/spoken";
import { Keypad } from "./keypad";
import { bareUnits } from "./method-form";
import { ReadingList } from "./reading-list";
import {
  type ReadingPlan,
  type ReadingProblem,
  type ReadingStep,
  readingNow,
  readingStep,
  typedAs,
} from "./reading-steps";
import type { RoundView, ViewReading } from "./round-view";

type Props = {
  round: RoundDraft;
  change: (how: (round: RoundDraft) => RoundDraft) => void;
  /** Places in the order of reading. */
  positions: readonly number[];
  frame: Frame;
  quantity: MeasuredQuantity;
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
  const reader = useWords();
  const { round, change, positions, frame, view, field } = props;
  const unit = measuredUnit[props.quantity];
  const named = (place: number) => placeWords(frame, place);
  const [aside, setAside] = useState<{ asks: number | null; problem: ReadingProblem | null }>(nothingAside);
  const plan: ReadingPlan = { ...props, unit };
  const { place: tooth, counted, enough, complete } = readingNow(round, plan);

  // Without scrolling: on a phone the sentence above the field may be the thing to look at.
  useEffect(() => field.current?.focus({ preventScroll: true }), [field]);

  const take = (step: ReadingStep) => {
    const { asks, problem, done } = readingStep({ round, ...aside, done: false }, step, plan);
    setAside({ asks, problem });
    change((was) => readingStep({ round: was, ...aside, done: false }, step, plan).round);
    if (done) props.onDone();
    else field.current?.focus();
  };

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    const step = stepOfKey[event.key]?.(round.field === "");
    if (!step) return;
    event.preventDefault();
    take(step);
  };

  const { questioned } = props;
  const said = understood(reader, round.field, plan);
  const last = aside.asks === null ? undefined : round.readings[aside.asks];
  const problem = aside.problem && problemWords(reader, aside.problem, props.quantity);
  return (
    <section aria-label="Readings" className="flex flex-col gap-1.5 grow min-h-0 max-lg:contents">
      <div className="bg-panel border-2 border-ink flex items-center max-lg:order-2 has-focus-visible:outline-3 has-focus-visible:outline-now outline-offset-2">
        <input
          ref={field}
          value={round.field}
          onChange={(event) => take({ do: "type", text: event.target.value })}
          onKeyDown={onKeyDown}
          inputMode="none"
          data-reading=""
          data-place={tooth ?? undefined}
          autoComplete="off"
          spellCheck={false}
          aria-label={tooth === null ? "Every place is read" : `Reading at ${named(tooth)}`}
          aria-describedby="reading-said"
          aria-invalid={problem ? true : undefined}
          className="figure w-0 grow min-h-16 px-3 text-4xl font-semibold bg-transparent outline-none"
        />
        <p className="pr-3 text-right leading-tight shrink-0">
          <span className={`block font-bold ${props.asking ? "text-now" : "text-mid"}`}>
            {tooth === null ? "all read" : named(tooth)}
          </span>
          <span className="block figure text-mid">
            {tooth === null
              ? `${counted.length}`
              : `${formatNumber(reader, placeAngle(frame, { tooth, turn: 1 }), 0)}°`}
          </span>
        </p>
      </div>
      <p
        id="reading-said"
        role="status"
        className={`min-h-6 max-lg:order-2 ${problem || props.problem ? "text-outside font-semibold" : "text-mid"}`}
      >
        {problem ?? (props.problem ? refusalWords(reader, props.problem) : said)}
      </p>
      {questioned && !last && (
        <div className="border-2 border-near bg-panel p-3 grid gap-2 max-lg:order-2" role="alert">
          <p>
            <b className="figure">{round.readings[questioned.index]?.typed}</b> at {named(questioned.tooth)} stands off
            from the others. Read it again to be sure.
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
      {last && (
        <div
          className="border-2 border-now bg-panel p-3 grid gap-2 max-lg:order-2"
          role="alertdialog"
          aria-label="Read here before"
        >
          <p>
            {capital(named(tooth ?? 1))} already reads <b className="figure">{last.typed}</b>.
          </p>
          <Button kind="now" onClick={() => take({ do: "keep-as-repeat" })}>
            Keep {round.field} as a repeat
          </Button>
          <Button onClick={() => take({ do: "keep-instead" })}>
            Strike out {last.typed}, keep {round.field}
          </Button>
        </div>
      )}
      <Keypad onKey={(key) => take({ do: "key", key })} onBack={() => take({ do: "rub-out" })} />
      <div className="grid grid-cols-[auto_1fr] gap-1.5 max-lg:order-4">
        <UnitKey value={props.bareUnit} units={bareUnits(props.quantity)} onChange={props.onBareUnit} field={field} />
        {complete && round.field === "" ? (
          <Button kind="now" large onClick={props.onDone}>
            {props.doneWord}
          </Button>
        ) : (
          <Button kind="solid" large onClick={() => take({ do: "enter" })}>
            Next {frame.word}
          </Button>
        )}
      </div>
      {enough && !complete && (
        <Button kind="quiet" className="max-lg:order-4" onClick={props.onDone}>
          {props.doneWord} with {counted.length} of {positions.length}
        </Button>
      )}
      <ReadingList
        frame={frame}
        readings={view?.readings ?? []}
        round={round}
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

const nothingAside = { asks: null, problem: null };

/** What a key does besides typing; on an empty field some do more. */
const stepOfKey: Record<string, (isEmpty: boolean) => ReadingStep | null> = {
  Enter: () => ({ do: "enter" }),
  Backspace: (isEmpty) => (isEmpty ? { do: "step-back" } : null),
  Delete: (isEmpty) => (isEmpty ? { do: "strike-last-here" } : null),
  Escape: () => ({ do: "leave-asking" }),
};

function problemWords(reader: Reader, problem: ReadingProblem, quantity: MeasuredQuantity): string {
  switch (problem) {
    case "every-place-read":
      return "Every place is read. Choose one in the list to read it again, or finish the round.";
    case "too-long":
      return "That is too long for a reading.";
    case "below-nothing":
      return quantity === "circumferential-backlash"
        ? "Backlash is not below nothing. Zero it between the flanks and read again."
        : "That is below nothing. Read it again.";
    default:
      return refusalWords(reader, problem);
  }
}

/** What the app understood, while one types. */
function understood(reader: Reader, field: string, plan: Pick<ReadingPlan, "bareUnit" | "unit">): string {
  if (field.trim() === "") return "";
  const { unit } = plan;
  const parsed = parseQuantity(typedAs(field, plan), unit.dimension, unit.bare);
  return parsed.ok ? spoken(reader, unit.unit, 3).said(parsed.value.value * unit.factor) : "…";
}

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
