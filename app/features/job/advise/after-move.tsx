import { Link } from "react-router";
import { tightWords } from "~/app/features/kinds";
import type { Stage } from "~/core/records";
import { frameOf, placeCount } from "~/core/stages";
import { Button, buttonClass } from "~/ui/button";
import { placeOf } from "../../words/quantity";

/** What is asked for after a move, before the next reading. */
export function ReadAgain({ stage, tooth }: { stage: Stage; tooth: number | null }) {
  const { element } = stage.geometry;
  const one = placeCount(frameOf(element)) === 1;
  return (
    <section aria-label="Next move">
      <p className="text-mid font-semibold mb-1">Moved</p>
      <p className="text-2xl font-semibold leading-snug">
        Clamp at full torque and read{" "}
        {one || tooth === null ? (
          "again."
        ) : (
          <>
            <span className="text-copper">{placeOf(element, tooth)}</span>, {tightWords(element)}, again.
          </>
        )}
      </p>
      {!one && (
        <p className="text-lg text-mid mt-2">
          The rest of the round is carried over from it; read more places if you doubt it.
        </p>
      )}
    </section>
  );
}

/** After a move the reading went the other way than it should have: nothing more is advised until somebody has looked why. */
export function OtherWay({ stage, onGoOn }: { stage: Stage; onGoOn: () => void }) {
  const { adjuster } = stage;
  return (
    <section aria-label="Next move" className="grid gap-3">
      <p className="text-mid font-semibold">Stop and look</p>
      <p className="text-2xl font-semibold leading-snug">
        The reading went the other way than this move should send it.
      </p>
      <p className="text-lg">
        Either it was moved the other way than it was logged, a clamp slipped, or the sense of the{" "}
        {adjuster.name.toLowerCase()} was entered the wrong way round: + is said to be {adjuster.positiveWord}
        {adjuster.seenFrom && `, seen from ${adjuster.seenFrom}`}.
      </p>
      <div className="flex flex-wrap gap-3">
        <Link to={`/stages/${stage.id}/adjuster`} className={buttonClass("now", true)}>
          Set its sense right
        </Link>
        <Button large onClick={onGoOn}>
          The sense is right: go on
        </Button>
      </div>
    </section>
  );
}
