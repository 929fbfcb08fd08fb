import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { ShiftEnd } from "~/core/shifting";
import { StateMark } from "~/ui/state-mark";
import { lengthWords } from "../words/spoken";

/** How much of the face meets at either stop, and how far the stop may be off. */
export function ShiftEnds({ ends, named }: { ends: readonly [ShiftEnd, ShiftEnd]; named: readonly [string, string] }) {
  const reader = useWords();
  return (
    <table className="w-full text-left" aria-label="Face in mesh at both stops">
      <thead>
        <tr className="border-b-2 border-ink">
          <th className="py-1">Stop</th>
          <th>In mesh</th>
          <th>Of the face</th>
          <th>Room for error</th>
        </tr>
      </thead>
      <tbody>
        {ends.map((end, i) => (
          <tr key={i === 0 ? "left" : "right"} className="border-b border-rule">
            <th className="py-2 font-semibold">
              <StateMark state={end.ok ? "inside" : "outside"} word={named[i]} />
            </th>
            <td className="figure">{lengthWords(reader, end.overlapMm, 2)}</td>
            <td className="figure">{formatNumber(reader, 100 * end.share, 0)} %</td>
            <td className="figure">{lengthWords(reader, end.marginMm, 2)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
