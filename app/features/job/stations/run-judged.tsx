import type { RunJudged } from "~/core/proving";
import { StateMark } from "~/ui/state-mark";
import { figureWords } from "../../words/run";
import { stateOfVerdict } from "../../words/state";
import { useWords } from "../../words/use-words";

/** A run's figures against their limits, each with its state. */
export function RunFigures({ judged, label }: { judged: RunJudged; label: string }) {
  const reader = useWords();
  if (judged.each.length === 0) return null;
  return (
    <ul aria-label={label} className="grid gap-1">
      {judged.each.map((figure) => (
        <li key={`${figure.of} ${figure.place} ${figure.lo} ${figure.hi}`} className="flex flex-wrap gap-x-3 text-lg">
          <StateMark state={stateOfVerdict(figure.verdict)} />
          <span>{figureWords(reader, figure)}</span>
        </li>
      ))}
    </ul>
  );
}
