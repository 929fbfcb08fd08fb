import { useWords } from "~/app/features/words/use-words";
import { type FeelerStack, feelerFromSet, unitOf } from "~/core/advice";
import type { Instrument, Stage } from "~/core/records";
import { judgedBy, rockedWheel } from "~/core/stages";
import { leavesText } from "../../stacks/stack-words";
import { lengthWords } from "../../words/spoken";
import type { RoundView } from "../read/round-view";

/** Every leaf that the workshop's feeler sets have, each once. */
const leavesOf = (instruments: readonly Instrument[]): number[] => [
  ...new Set(instruments.flatMap((instrument) => instrument.leavesMm)),
];

/** The leaves that lie between the flanks at the tight spot when the move is made; null where no set has them. */
export function feelerFor(
  { stage, instruments }: { stage: Stage; instruments: readonly Instrument[] },
  view: RoundView,
): FeelerStack | null {
  if (!view.move) return null;
  const { element } = stage.geometry;
  const then = view.move.at ?? view.move.min;
  const gap = judgedBy(element) === "gap" ? then : then * normalOf(element);
  return gap > 0 ? feelerFromSet(gap, leavesOf(instruments)) : null;
}

/** Between the flanks a feeler finds the normal backlash. */
function normalOf(element: Stage["geometry"]["element"]): number {
  const wheel = rockedWheel(element);
  return wheel.ok && wheel.value ? wheel.value.normalPerCircumferential : 0;
}

/** Where the adjuster has no scale, the move ends in something hands can do. */
export function FeelerWay({ stage, view, stack }: { stage: Stage; view: RoundView; stack: FeelerStack | null }) {
  const reader = useWords();
  const amount = Math.abs(view.move?.amount ?? 0);
  const unit = stage.adjuster.adjuster && unitOf(stage.adjuster.adjuster);
  if (!stack)
    return (
      <p className="text-lg mt-2">
        No feeler set is kept in this workshop that could give the amount; move a little and read again.
      </p>
    );
  return (
    <>
      <ol className="list-decimal pl-6 mt-2 text-lg" aria-label="By feeler">
        <li>
          Feeler of <b className="text-now figure">{leavesText(reader, stack.leavesMm)}</b> between the flanks there
          {Math.abs(stack.missMm) > 0.004 &&
            ` (${lengthWords(reader, Math.abs(stack.missMm), 2)} ${stack.missMm > 0 ? "more" : "less"} than wanted, the nearest there is)`}
          .
        </li>
        <li>Push home until it is just held. Clamp.</li>
        <li>Take the feeler out.</li>
      </ol>
      {unit === "mm" && (
        <p className="mt-2">
          Or against a stop: clamp a stop <span className="figure">{lengthWords(reader, amount, 2)}</span> off the part,
          on the side to which it shall go, by a feeler of that; feeler out, push the part home against it, clamp.
        </p>
      )}
    </>
  );
}
