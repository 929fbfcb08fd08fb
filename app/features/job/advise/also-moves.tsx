import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { Stage } from "~/core/records";
import { middleOf, sensitivityOf } from "~/core/stages";
import { stageUnit } from "../../words/quantity";
import { useJobScreen } from "../entries/job-context";

/** What else the same move sets, as a motor does that carries a belt and a gear; and by how much, where that can be told. */
export function AlsoMoves({ stage, changeMm }: { stage: Stage; changeMm: number }) {
  const reader = useWords();
  const { data } = useJobScreen();
  const { alsoMoves } = stage.adjuster;
  if (alsoMoves.length === 0) return null;
  return (
    <ul aria-label="This move also moves" className="border-l-4 border-near pl-3 text-lg">
      {alsoMoves.map(({ stageId, perMm }) => {
        const other = data.movedAlong.find(({ id }) => id === stageId);
        if (!other) return null;
        return (
          <li key={stageId}>
            It also moves the <b>{other.name}</b>
            {effectWords(reader, other, changeMm * perMm)}: read that again as well.
          </li>
        );
      })}
    </ul>
  );
}

function effectWords(reader: Reader, { geometry: { element }, limits }: Stage, changeMm: number): string {
  const { said, name } = stageUnit(reader, element);
  const middle = middleOf(limits);
  const slope = middle === null ? null : sensitivityOf(element, middle, middle);
  if (slope === null) return "";
  const change = slope * changeMm;
  return `, its ${name} by about ${change > 0 ? "+" : "−"}${said(Math.abs(change))}`;
}
