import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { HeardPeriod } from "~/core/proving";
import { suspectWords, tellWords } from "../words/heard";

/** Everything that comes so often, the first suspect first, and what tells the first ones apart. */
export function HeardMatches({ output, nameOf }: { output: HeardPeriod; nameOf: (id: string) => string }) {
  const reader = useWords();
  const { matches, nearest, alike } = output;
  const rows = matches.length > 0 ? matches : nearest ? [nearest] : [];
  return (
    <>
      <table className="w-full text-left" aria-label={matches.length > 0 ? "What comes so often" : "What is nearest"}>
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1 pr-4">What</th>
            <th className="pr-4 text-right">A minute</th>
            <th className="text-right">Heard is off by</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((match) => (
            <tr key={`${match.id} ${match.times}`} className="border-b border-rule">
              <th scope="row" className="font-normal py-1 pr-4">
                {suspectWords(match, nameOf)}
              </th>
              <td className="figure pr-4 text-right">{formatNumber(reader, match.perMinute, 1)}</td>
              <td className="figure text-right">{formatNumber(reader, match.deviationPercent, 1)} %</td>
            </tr>
          ))}
        </tbody>
      </table>
      {alike.length > 0 && (
        <ul className="text-lg grid gap-1" aria-label="What tells them apart">
          {alike.slice(0, 4).map((pair) => (
            <li key={`${pair.a.id} ${pair.a.times} ${pair.b.id} ${pair.b.times}`}>{tellWords(reader, pair, nameOf)}</li>
          ))}
        </ul>
      )}
    </>
  );
}
