import { usePanes } from "../../kinds/panes";
import { findingWords, printEnds, printMoveWords, printWords } from "../../words/print";
import { useWords } from "../../words/use-words";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { ByHandMove } from "./by-hand-move";

/** What the last print says to do, each move in a sentence, and what was then done. */
export function PrintMoves() {
  const reader = useWords();
  const { stage, job, data } = useJobScreen();
  const texts = useTexts();
  const { element } = stage.geometry;
  const Members = usePanes(element)?.byPrint;
  const print = job.record.lastFeel?.body.print;
  if (!print) return null;
  const moved = (amount: number, note: string) =>
    void (amount === 0
      ? job.put({ kind: "note", text: note })
      : job.put({
          kind: "move",
          amount,
          did: "so",
          advised: null,
          reasons: [],
          note,
          adjusterId: stage.adjuster.id,
        }));
  const ok = print.findings.every((finding) => finding === "short");
  return (
    <div className="grid gap-3 text-lg">
      <p>{printWords(print.findings, ok)}</p>
      {print.findings.slice(1).map((finding) => (
        <p key={finding}>{findingWords[finding]}</p>
      ))}
      {print.moves.length > 0 && (
        <ol className="list-decimal pl-6 grid gap-2" aria-label="What to do">
          {print.moves.map((move) => (
            <li key={move.what}>{printMoveWords(reader, move, printEnds[print.kind])}</li>
          ))}
        </ol>
      )}
      {Members && (
        <Members
          stage={stage}
          element={element}
          moves={print.moves.map(({ what }) => what)}
          backlashMm={job.record.changedSinceRound ? null : (job.record.lastRound?.body.result.mean ?? null)}
          stock={data.stock ?? []}
          texts={texts}
          onText={job.changeText}
          onMoved={moved}
        />
      )}
      {!ok && <ByHandMove label="Log what was moved" />}
    </div>
  );
}
