import { useWords } from "~/app/features/words/use-words";
import type { LineFate, SheetReport } from "~/operations/sheets";
import { Button } from "~/ui/button";
import { refusalWords } from "../words/refusal";

const fateWords = { new: "new", changed: "changed", same: "as it is", refused: "not taken" } as const;

/** What a sheet does or did, line by line. */
export function SheetFates({ report, onSave }: { report: SheetReport; onSave: () => void }) {
  const { counts, lines, saved } = report;
  const total = counts.new + counts.changed + counts.same + counts.refused;
  const nothing = counts.new + counts.changed === 0;
  return (
    <>
      <div role="status">
        <h2 className="text-2xl font-bold">{newsOf(report)}</h2>
      </div>
      <p className="text-lg">
        {counts.new} new, {counts.changed} changed, {counts.same} as they are, {counts.refused} not taken.
        {lines.length < total && ` The first ${lines.length} are shown, those not taken before the others.`}
      </p>
      {!saved && counts.refused === 0 && !nothing && (
        <div>
          <Button kind="now" large onClick={onSave}>
            Take all of it in
          </Button>
        </div>
      )}
      <table className="w-full text-left" aria-label="Lines">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1 w-16">Line</th>
            <th>What</th>
            <th className="w-28">Fate</th>
            <th>Why</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <FateRow key={line.line} line={line} />
          ))}
        </tbody>
      </table>
    </>
  );
}

function FateRow({ line: { line, name, fate, refusal } }: { line: LineFate }) {
  const reader = useWords();
  return (
    <tr className="border-b border-rule align-top">
      <td className="py-1 figure">{line}</td>
      <td>{name}</td>
      <td className={fate === "refused" ? "text-outside font-semibold" : ""}>{fateWords[fate]}</td>
      <td>
        {refusal && (
          <>
            {refusal.path[0] !== undefined && <b>{String(refusal.path[0])}: </b>}
            {refusalWords(reader, refusal)}
          </>
        )}
      </td>
    </tr>
  );
}

function newsOf({ counts, saved }: SheetReport): string {
  if (saved) return "Taken in";
  if (counts.refused > 0)
    return `${counts.refused === 1 ? "One line is" : `${counts.refused} lines are`} not as they should be: nothing is taken in`;
  return counts.new + counts.changed === 0 ? "Nothing in it differs" : "All of it can be taken in";
}
