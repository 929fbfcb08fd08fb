import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { Frame } from "~/core/stages";
import type { RoundDraft } from "~/operations/draft-body";
import { MarkShape, stateText, stateWord } from "~/ui/state-mark";
import { placeWords } from "../../words/quantity";
import type { ViewReading } from "./round-view";

/** Readings so far, newest first; a struck one stays visible and can be restored. */
export function ReadingList({
  frame,
  seen: views,
  readings,
  tooth,
  onGo,
  onStrike,
}: {
  frame: Frame;
  /** How they were judged. */
  seen: readonly ViewReading[];
  readings: RoundDraft["readings"];
  tooth: number | null;
  onGo: (tooth: number) => void;
  onStrike: (index: number) => void;
}) {
  const reader = useWords();
  const rows = readings
    .map((reading, index) => ({ reading, index, seen: views.find((r) => r.index === index) }))
    .reverse();
  return (
    <ol
      aria-label="Readings so far, newest first"
      className="overflow-y-auto grow min-h-24 max-lg:min-h-0 max-lg:order-6 max-lg:max-h-72"
    >
      {rows.map(({ reading, index, seen }) => (
        <li
          key={`${reading.tooth}-${index}`}
          className={`border-b border-rule ${reading.tooth === tooth ? "bg-panel" : ""}`}
        >
          <div className="flex items-center">
            <button
              type="button"
              className="flex items-center grow min-h-11 text-left cursor-pointer px-1"
              onClick={() => onGo(reading.tooth)}
            >
              <span className="figure min-w-9 pr-2">
                {frame.belts > 1 || frame.names || frame.word === "turn" || frame.word === "round"
                  ? placeWords(frame, reading.tooth)
                  : reading.tooth}
              </span>
              {!sideBySide(frame) && (
                <span className="figure w-12 text-mid">
                  {seen ? `${formatNumber(reader, seen.angleDeg % 360, 0)}°` : ""}
                </span>
              )}
              <span
                className={`figure grow text-right text-xl font-semibold pr-2 ${reading.struck ? "line-through text-mid" : seen ? stateText[seen.state] : ""}`}
              >
                {reading.typed}
              </span>
              {seen && (
                <svg
                  width="16"
                  height="16"
                  viewBox="0 0 16 16"
                  role="img"
                  aria-label={reading.struck ? "struck out" : stateWord[seen.state]}
                >
                  <MarkShape state={reading.struck ? "unknown" : seen.state} x={8} y={8} r={5.4} />
                </svg>
              )}
            </button>
            <button
              type="button"
              className="min-h-11 px-2 text-mid underline cursor-pointer"
              aria-label={`${reading.struck ? "Restore" : "Strike out"} ${reading.typed} at ${placeWords(frame, reading.tooth)}`}
              onClick={() => onStrike(index)}
            >
              {reading.struck ? "restore" : "strike"}
            </button>
          </div>
          {reading.repeats !== null && <p className="text-mid px-1 pb-1">repeat</p>}
        </li>
      ))}
    </ol>
  );
}

/** Places that stand beside each other lie at no angle. */
const sideBySide = ({ word, wave }: Frame): boolean => word === "place" && !wave;
