import type { Pieces } from "~/core/advice";
import { twoSides } from "~/core/stacks";
import { Field } from "~/ui/field";
import { piecesText, readPieces } from "../stacks/stack-words";
import { refusalWords } from "../words/refusal";
import { lengthWords } from "../words/spoken";
import { useJobScreen } from "./job-context";

/** A part between two stacks is moved by carrying shims from one side to the other: their sum, and the end float, stay. */
export function BothSides({ present, moveMm }: { present: Pieces; moveMm: number }) {
  const { job } = useJobScreen();
  const text = job.draft.texts["stack.other"] ?? "";
  const other = readPieces(text);
  const carried = other && text !== "" ? twoSides({ left: present, right: other, moveMm: -moveMm }) : null;
  return (
    <details>
      <summary className="min-h-11 content-center cursor-pointer underline">
        It lies between shims on both sides
      </summary>
      <div className="grid gap-3 py-2">
        <Field
          label="What lies on the other side"
          value={text}
          autoComplete="off"
          onChange={(event) => job.changeText("stack.other", event.target.value)}
          hint="0.3 + 0.1; the sum of both sides stays"
          error={other === null ? refusalWords({ code: "not-pieces", path: [], facts: {} }) : undefined}
        />
        {carried && (
          <p className="text-lg" role="status">
            {carried.toRight.length + carried.toLeft.length === 0 ? (
              "No piece that could be carried over comes nearer than leaving it."
            ) : (
              <>
                {carried.toRight.length > 0 && <>Carry {piecesText(carried.toRight)} to the other side. </>}
                {carried.toLeft.length > 0 && <>Bring {piecesText(carried.toLeft)} to this side. </>}
                That makes this side <b className="figure">{lengthWords(Math.abs(carried.movedMm), 3)}</b>{" "}
                {carried.movedMm > 0 ? "thinner" : "thicker"}
                {Math.abs(carried.errorMm) > 0.0005 && (
                  <>
                    , <span className="figure">{lengthWords(Math.abs(carried.errorMm), 3)}</span> off what is wanted
                  </>
                )}
                . The end float stays. Log it under “Did otherwise”.
              </>
            )}
          </p>
        )}
      </div>
    </details>
  );
}
