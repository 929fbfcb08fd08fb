import { useWords } from "~/app/features/words/use-words";
import { carryAcross, type DrawerStage, type Piece, type Pieces, type StackOutcome } from "~/core/advice";
import type { LaidStack, MovedStack } from "~/core/logbook";
import type { Stage } from "~/core/records";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { StackPicture } from "../../stacks/stack-picture";
import { piecesKept, piecesText, readPieces } from "../../stacks/stack-words";
import { stageUnit } from "../../words/quantity";
import { refusalWords } from "../../words/refusal";
import { lengthWords } from "../../words/spoken";
import { useJobScreen } from "../entries/job-context";
import { useLaidPieces } from "../entries/laid-shims";

/** A part between two stacks is moved by carrying shims from one side to the other: their sum, and the end float, stay. */
export function BothSides({
  stage,
  of,
  known,
  wantedMm,
  measured,
  then,
  onTake,
}: {
  stage: Stage;
  of: DrawerStage;
  /** What lies on the other side, as it was last said. */
  known: LaidStack | null;
  /** How much thicker this side should become. */
  wantedMm: number;
  /** Pieces as the drawer's are measured. */
  measured: (pieces: Pieces) => Piece[];
  /** What will be read of it. */
  then: (outcome: { min: number; max: number }) => { min: number; max: number };
  onTake: (outcome: StackOutcome, stack: MovedStack) => void;
}) {
  const reader = useWords();
  const { job } = useJobScreen();
  const { field, text } = useLaidPieces(stage).other;
  const other = readPieces(reader, text);
  const carried = other && text !== "" ? carryAcross(of, measured(other), wantedMm) : null;
  const { unit, range } = stageUnit(reader, stage.geometry.element);
  return (
    <details open={known !== null}>
      <summary className="min-h-11 content-center cursor-pointer underline">
        It lies between shims on both sides
      </summary>
      <div className="grid gap-3 py-2">
        <Field
          label="What lies on the other side"
          value={text}
          autoComplete="off"
          onChange={(event) => job.changeText(field, event.target.value)}
          onBlur={() => job.changeText(field, piecesKept(reader, text))}
          hint="0.3 + 0.1; the sum of both sides stays"
          error={other === null ? refusalWords(reader, { code: "not-pieces", path: [], facts: {} }) : undefined}
        />
        {carried && carried.outcome.amount === 0 && (
          <p className="text-lg" role="status">
            No piece that could be carried over comes nearer than leaving it.
          </p>
        )}
        {carried && carried.outcome.amount !== 0 && (
          <>
            <div className="grid gap-3">
              {(
                [
                  ["This side", carried.stack],
                  ["Other side", carried.stack.other],
                ] as const
              ).map(([name, side]) => (
                <figure key={name}>
                  <figcaption className="font-semibold">{name}, then</figcaption>
                  <StackPicture name={name} shims={side.now} />
                </figure>
              ))}
            </div>
            <p className="text-lg" role="status">
              {carried.toOther.length > 0 && <>Carry {piecesText(reader, carried.toOther)} to the other side. </>}
              {carried.toHere.length > 0 && <>Bring {piecesText(reader, carried.toHere)} to this side. </>}
              That makes this side <b className="figure">{lengthWords(reader, Math.abs(carried.outcome.amount), 3)}</b>{" "}
              {carried.outcome.amount < 0 ? "thinner" : "thicker"}
              {Math.abs(carried.errorMm) > 0.0005 && (
                <>
                  , <span className="figure">{lengthWords(reader, Math.abs(carried.errorMm), 3)}</span> off what is
                  wanted
                </>
              )}
              . The end float stays. It should then read{" "}
              <b className="figure">{range(then(carried.outcome).min, then(carried.outcome).max)}</b> {unit}.
            </p>
            <div>
              <Button kind="line" large onClick={() => onTake(carried.outcome, carried.stack)}>
                Carry these over, and log it
              </Button>
            </div>
          </>
        )}
      </div>
    </details>
  );
}
