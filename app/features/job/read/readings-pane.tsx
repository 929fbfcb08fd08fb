import { type KeyboardEvent, type ReactNode, type RefObject, useEffect, useRef, useState } from "react";
import { formatNumber } from "~/app/features/words/figure";
import { parseQuantity, type Refusal, unitById } from "~/core/quantity";
import { type Frame, type MeasuredQuantity, measuredUnit, placeAngle, type QuantityUnit } from "~/core/stages";
import type { RoundDraft } from "~/operations/draft-body";
import { Button } from "~/ui/button";
import { capital } from "../../words/count";
import { placeWords } from "../../words/quantity";
import { refusalWords } from "../../words/refusal";
import { spoken, withUnit } from "../../words/spoken";
import { Keypad } from "./keypad";
import { bareUnits } from "./method-form";
import { ReadingList } from "./reading-list";
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
};

/** Readings taken blind: the field keeps the focus, Enter goes on, Backspace on an empty field steps back. */
export function ReadingsPane(props: Props) {
  const { round, change, positions, frame, view } = props;
  const unit = measuredUnit[props.quantity];
  const named = (place: number) => placeWords(frame, place);
  const field = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [repeatOf, setRepeatOf] = useState<number | null>(null);
  const at = Math.min(round.at, positions.length);
  const tooth = positions[at] ?? null;
  const counted = round.readings.filter((reading) => !reading.struck);
  const unread = (from: number) =>
    positions.findIndex((p, i) => i >= from && !counted.some((reading) => reading.tooth === p));
  const here = round.readings.flatMap((reading, i) => (reading.tooth === tooth && !reading.struck ? [i] : []));
  const enough = new Set(counted.map((reading) => reading.tooth)).size >= props.least;

  const complete = enough && (props.stopsEarly || unread(0) === -1);

  // Without scrolling: on a phone the sentence above the field may be the thing to look at.
  useEffect(() => field.current?.focus({ preventScroll: true }), []);

  const type = (text: string) => {
    setProblem(null);
    setRepeatOf(null);
    change((was) => ({ ...was, field: text }));
    field.current?.focus();
  };

  const goTo = (position: number) => {
    setProblem(null);
    setRepeatOf(null);
    change((was) => ({ ...was, at: Math.max(0, Math.min(positions.length, position)) }));
    field.current?.focus();
  };

  const keepReading = (repeats: number | null) => {
    if (tooth === null) return;
    const reading = { tooth, turn: 1, typed: withUnit(round.field, props.bareUnit, unit.bare), struck: false, repeats };
    const next = positions.findIndex((p, i) => i > at && !counted.some((other) => other.tooth === p));
    const first = positions.findIndex((p) => p !== tooth && !counted.some((other) => other.tooth === p));
    setRepeatOf(null);
    change((was) => ({
      field: "",
      at: next >= 0 ? next : first >= 0 ? first : positions.length,
      readings: [...was.readings, reading],
    }));
    field.current?.focus();
  };

  const enter = () => {
    if (round.field.trim() === "") {
      if (complete) props.onDone();
      else if (at < positions.length) goTo(at + 1);
      else goTo(unread(0) === -1 ? 0 : unread(0));
      return;
    }
    if (tooth === null)
      return setProblem("Every place is read. Choose one in the list to read it again, or finish the round.");
    if (repeatOf !== null) return keepReading(repeatOf);
    const parsed = parseQuantity(withUnit(round.field, props.bareUnit, unit.bare), unit.dimension, unit.bare);
    if (!parsed.ok) return setProblem(refusalWords(parsed.refusal));
    if (round.field.trim().length > 34) return setProblem("That is too long for a reading.");
    if (parsed.value.value < 0)
      return setProblem(
        props.quantity === "circumferential-backlash"
          ? "Backlash is not below nothing. Zero it between the flanks and read again."
          : "That is below nothing. Read it again.",
      );
    const first = here[0];
    if (first !== undefined) return setRepeatOf(first);
    keepReading(null);
  };

  const strike = (index: number) => {
    setRepeatOf(null);
    change((was) => {
      const readings = was.readings.map((reading, i) =>
        i === index ? { ...reading, struck: !reading.struck } : reading,
      );
      const place = positions.indexOf(was.readings[index]?.tooth ?? -1);
      return { ...was, readings, at: readings[index]?.struck && place >= 0 ? place : was.at };
    });
    field.current?.focus();
  };

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === "Enter") {
      event.preventDefault();
      enter();
    } else if (event.key === "Backspace" && round.field === "") {
      event.preventDefault();
      goTo(at - 1);
    } else if (event.key === "Delete" && round.field === "" && here.length > 0) {
      event.preventDefault();
      strike(here[here.length - 1] as number);
    } else if (event.key === "Escape") setRepeatOf(null);
  };

  const { questioned } = props;
  const said = understood(round.field, props.bareUnit, unit);
  const last = repeatOf === null ? undefined : round.readings[repeatOf];
  return (
    <section aria-label="Readings" className="flex flex-col gap-1.5 grow min-h-0 max-lg:contents">
      <div className="bg-panel border-2 border-ink flex items-center max-lg:order-2 has-focus-visible:outline-3 has-focus-visible:outline-now outline-offset-2">
        <input
          ref={field}
          value={round.field}
          onChange={(event) => type(event.target.value)}
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
            {tooth === null ? `${counted.length}` : `${formatNumber(placeAngle(frame, { tooth, turn: 1 }), 0)}°`}
          </span>
        </p>
      </div>
      <p
        id="reading-said"
        role="status"
        className={`min-h-6 max-lg:order-2 ${problem || props.problem ? "text-outside font-semibold" : "text-mid"}`}
      >
        {problem ?? (props.problem ? refusalWords(props.problem) : said)}
      </p>
      {questioned && !last && (
        <div className="border-2 border-near bg-panel p-3 grid gap-2 max-lg:order-2" role="alert">
          <p>
            <b className="figure">{round.readings[questioned.index]?.typed}</b> at {named(questioned.tooth)} stands off
            from the others. Read it again to be sure.
          </p>
          <div className="flex gap-2">
            <Button onClick={() => strike(questioned.index)}>Strike it out</Button>
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
          <Button kind="now" onClick={() => keepReading(repeatOf)}>
            Keep {round.field} as a repeat
          </Button>
          <Button
            onClick={() => {
              strike(repeatOf as number);
              keepReading(null);
            }}
          >
            Strike out {last.typed}, keep {round.field}
          </Button>
        </div>
      )}
      <Keypad
        onKey={(key) => type(round.field + key)}
        onBack={() => (round.field === "" ? goTo(at - 1) : type(round.field.slice(0, -1)))}
      />
      <div className="grid grid-cols-[auto_1fr] gap-1.5 max-lg:order-4">
        <UnitKey value={props.bareUnit} units={bareUnits[props.quantity]} onChange={props.onBareUnit} field={field} />
        {complete && round.field === "" ? (
          <Button kind="now" large onClick={props.onDone}>
            {props.doneWord}
          </Button>
        ) : (
          <Button kind="solid" large onClick={enter}>
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
        onGo={(t) => goTo(positions.indexOf(t))}
        onStrike={strike}
      />
      <div className="max-lg:order-7 shrink-0">
        {props.instead}
        {props.method}
      </div>
    </section>
  );
}

/** What the app understood, while one types. */
function understood(field: string, bare: string, unit: QuantityUnit): string {
  if (field.trim() === "") return "";
  const parsed = parseQuantity(withUnit(field, bare, unit.bare), unit.dimension, unit.bare);
  return parsed.ok ? spoken(unit.unit, 3).said(parsed.value.value * unit.factor) : "…";
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
