import { memo, type ReactNode, type RefObject, useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { RoundPhase } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { type Frame, type MeasuredQuantity, measuredUnit } from "~/core/stages";
import type { RoundDraft } from "~/operations/draft-body";
import { Button } from "~/ui/button";
import { useHandler } from "~/ui/use-handler";
import { capital } from "../../words/count";
import { nextPlaceWord, placeWords } from "../../words/quantity";
import { useJobScreen } from "../entries/job-context";
import { useTyped } from "../entries/use-draft";
import { Keypad } from "./keypad";
import { bareUnits } from "./method";
import { ReadingField } from "./reading-field";
import { ReadingList } from "./reading-list";
import { type ReadingPlan, type ReadingProblem, type ReadingStep, readingNow, readingStep } from "./reading-steps";
import type { RoundView, ViewReading } from "./round-view";
import { UnitKeys } from "./unit-keys";

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
  canRead: (measured: number) => boolean;
  onBareUnit: (unit: string) => void;
  least: number;
  /** Enough is enough: the tight spot alone ends it, the rest is there for who doubts. */
  stopsEarly: boolean;
  doneWord: string;
  onDone: () => void;
  method: ReactNode;
  /** How it is read by ear, at the place of that name; null: it cannot be. */
  listen: ((place: string | null, onTake: (typed: string[]) => void) => ReactNode) | null;
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
  const units = useMemo(() => bareUnits(props.quantity), [props.quantity]);
  const plan: ReadingPlan = { ...props, unit: measuredUnit[props.quantity] };
  const { place: tooth, counted, enough, complete } = readingNow({ readings, at }, plan);

  // Where reading is the thing to do; without scrolling, for on a phone the sentence above it may be what to look at.
  const arrived = useRef(props.asking);
  useEffect(() => {
    if (arrived.current) field.current?.focus({ preventScroll: true });
  }, [field]);

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
      <div
        className={`flex flex-col gap-1.5 max-lg:order-8 ${props.asking ? "max-lg:sticky max-lg:bottom-0 max-lg:z-10 max-lg:bg-ground max-lg:-mx-3.5 max-lg:px-3.5 max-lg:py-2 max-lg:border-t-2 max-lg:border-ink" : ""}`}
      >
        {questioned && !last && (
          <div className="border-2 border-near bg-panel p-3 grid gap-2" role="alert">
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
        <div>
          <UnitKeys value={props.bareUnit} units={units} onChange={props.onBareUnit} field={field} />
          <ReadingField
            phase={phase}
            field={field}
            frame={frame}
            quantity={props.quantity}
            bareUnit={props.bareUnit}
            place={tooth}
            way={wayWords(frame, positions, tooth)}
            count={counted.length}
            problem={aside.problem}
            refused={props.problem}
            asking={props.asking}
            take={take}
          />
        </div>
        {props.listen?.(tooth === null ? null : named(tooth), (texts) => take({ do: "several", texts }))}
        <Keypad onKey={onKey} onBack={onBack} minus={measuredUnit[props.quantity].signed === true} />
        <NextKey
          phase={phase}
          complete={complete}
          doneWord={props.doneWord}
          place={nextPlaceWord[frame.word]}
          onDone={props.onDone}
          take={take}
        />
      </div>
      <ReadingList
        frame={frame}
        seen={view?.readings ?? []}
        readings={readings}
        tooth={tooth}
        onGo={(place) => take({ do: "go", to: positions.indexOf(place) })}
        onStrike={(index) => take({ do: "strike", index })}
      />
      <div className="max-lg:order-7 shrink-0">
        {enough && !complete && (
          <Button kind="quiet" className="mb-1.5" onClick={props.onDone}>
            {props.doneWord} with {counted.length} of {positions.length}
          </Button>
        )}
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
    <div className="border-2 border-now bg-panel p-3 grid gap-2" role="alertdialog" aria-label="Read here before">
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

/** How one gets there from the place before, and how many there are: "10 teeth on, 2 of 12". */
function wayWords(frame: Frame, positions: readonly number[], place: number | null): string {
  const at = place === null ? -1 : positions.indexOf(place);
  if (place === null || at < 0) return "";
  const of = `${at + 1} of ${positions.length}`;
  const before = positions[at - 1];
  if (frame.belts > 1 || !frame.wave) return of;
  if (place === 1 && frame.word !== "turn") return `witness mark, ${of}`;
  const on = before === undefined ? null : (place - before + frame.places) % frame.places;
  if (on === null) return of;
  // How far round it is, is its name already.
  if (frame.word === "turn" || frame.word === "round") return of;
  const many = { tooth: "teeth", place: "places", link: "links" }[frame.word];
  return `${on} ${on === 1 ? frame.word : many} on, ${of}`;
}
