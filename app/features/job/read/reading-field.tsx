import type { KeyboardEvent, ReactNode, RefObject } from "react";
import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { RoundPhase } from "~/core/logbook";
import { parseQuantity, type Refusal } from "~/core/quantity";
import { type Frame, type MeasuredQuantity, measuredUnit, placeAngle } from "~/core/stages";
import { placeWords } from "../../words/quantity";
import { Refused } from "../../words/refused";
import { spoken } from "../../words/spoken";
import { useTyped } from "../entries/use-draft";
import { type ReadingPlan, type ReadingProblem, type ReadingStep, typedAs } from "./reading-steps";

/** Where a reading is typed: for which place, and what was understood of it. The one part that every key changes at once. */
export function ReadingField({
  phase,
  field,
  frame,
  quantity,
  bareUnit,
  place,
  way,
  count,
  problem,
  refused,
  asking,
  take,
}: {
  phase: RoundPhase;
  field: RefObject<HTMLInputElement | null>;
  frame: Frame;
  quantity: MeasuredQuantity;
  bareUnit: string;
  /** null: every place is read. */
  place: number | null;
  /** From the place before, and how many there are. */
  way: string;
  count: number;
  /** Why what stands in the field was not taken. */
  problem: ReadingProblem | null;
  /** Why the round was not taken. */
  refused: Refusal | null;
  asking: boolean;
  take: (step: ReadingStep) => void;
}) {
  const reader = useWords();
  const text = useTyped(({ rounds }) => rounds[phase].field);
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    const step = stepOfKey[event.key]?.(text === "");
    if (!step) return;
    event.preventDefault();
    take(step);
  };
  const said = understood(reader, text, { bareUnit, unit: measuredUnit[quantity] });
  const wrong = problem && problemWords(problem, quantity);
  return (
    <>
      <div className="bg-panel border-2 border-ink flex items-center has-focus-visible:outline-3 has-focus-visible:outline-now outline-offset-2">
        <input
          ref={field}
          value={text}
          onChange={(event) => take({ do: "type", text: event.target.value })}
          onKeyDown={onKeyDown}
          inputMode="none"
          data-reading=""
          data-place={place ?? undefined}
          autoComplete="off"
          spellCheck={false}
          aria-label={place === null ? "Every place is read" : `Reading at ${placeWords(frame, place)}`}
          aria-describedby="reading-said"
          aria-invalid={wrong ? true : undefined}
          className="figure w-0 grow min-h-16 px-3 text-4xl font-semibold bg-transparent outline-none"
        />
        <p className="pr-3 text-right leading-tight shrink-0">
          <span className={`block font-bold ${asking ? "text-now" : "text-mid"}`}>
            {place === null ? "all read" : placeWords(frame, place)}
          </span>
          <span className="block text-mid">
            {place === null
              ? `${count}`
              : way || `${formatNumber(reader, placeAngle(frame, { tooth: place, turn: 1 }), 0)}°`}
          </span>
        </p>
      </div>
      <p
        id="reading-said"
        role="status"
        className={`min-h-6 max-lg:min-h-0 ${wrong || refused ? "text-outside font-semibold" : "text-mid"}`}
      >
        {wrong ?? (refused ? <Refused refusal={refused} /> : said)}
      </p>
    </>
  );
}

/** What a key does besides typing; on an empty field some do more. */
const stepOfKey: Record<string, (isEmpty: boolean) => ReadingStep | null> = {
  Enter: () => ({ do: "enter" }),
  Backspace: (isEmpty) => (isEmpty ? { do: "step-back" } : null),
  Delete: (isEmpty) => (isEmpty ? { do: "strike-last-here" } : null),
  Escape: () => ({ do: "leave-asking" }),
};

function problemWords(problem: ReadingProblem, quantity: MeasuredQuantity): ReactNode {
  switch (problem) {
    case "every-place-read":
      return "Every place is read. Choose one in the list to read it again, or finish the round.";
    case "too-long":
      return "That is too long for a reading.";
    case "below-nothing":
      return quantity === "circumferential-backlash"
        ? "Backlash is not below nothing. Zero it between the flanks and read again."
        : "That is below nothing. Read it again.";
    case "cannot-read-so":
      return quantity === "elongation"
        ? "So many pitches are never so short. Count them, and read from the first pin to the last."
        : "This stage cannot read so. Look at the way it is read, and read it again.";
    default:
      return <Refused refusal={problem} />;
  }
}

/** What the app understood, while one types. */
function understood(reader: Reader, field: string, plan: Pick<ReadingPlan, "bareUnit" | "unit">): string {
  if (field.trim() === "") return "";
  const { unit } = plan;
  const parsed = parseQuantity(typedAs(field, plan), unit.dimension, unit.bare);
  return parsed.ok ? spoken(reader, unit.unit, 3).said(parsed.value.value * unit.factor) : "…";
}
