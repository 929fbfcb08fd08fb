import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { linePeriods, type RecurringPart } from "~/core/stages";
import { Fold } from "~/ui/fold";
import type { SolvedLine } from "./shown-line";

export const recurringWords: Record<RecurringPart, string> = {
  "driver-turn": "its driving shaft",
  "driven-turn": "its driven shaft",
  tooth: "a tooth",
  "same-teeth": "the same two teeth",
  "belt-round": "the belt's joint",
  "chain-round": "the chain's joint",
  link: "a link",
  "sun-tooth": "a planet past the same tooth of the sun",
  "ring-tooth": "a planet past the same tooth of the ring",
  "carrier-turn": "its carrier",
  "worm-turn": "the worm",
};

/** How often everything comes round: a knock that is timed points to its cause. */
export function Periods({ line, graph, stages }: SolvedLine) {
  const reader = useWords();
  const elements = stages.map(({ id, element }) => ({ id, element }));
  const rows = linePeriods(graph, elements, line).map(({ stageId, gear, part, perMinute }, i) => {
    const name = stages.find(({ id }) => id === stageId)?.name ?? "";
    const what = `${gear ? `${name}, ${gear}` : name}: ${recurringWords[part]}`;
    return { key: `${stageId} ${part} ${i}`, what, hz: perMinute / 60 };
  });
  for (const { id, name, perMinute } of graph.beside ?? [])
    rows.push({ key: id, what: `${name}, beside the drive, whatever its speed`, hz: perMinute / 60 });
  if (rows.length === 0) return null;
  rows.sort((a, b) => a.hz - b.hz);
  return (
    <Fold summary="How often everything comes round">
      <p className="text-mid mb-2">Slowest first. Time what you hear: the line it fits names its cause.</p>
      <table className="w-full text-left" aria-label="Periods">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1 pr-4">Every</th>
            <th className="pr-4">Times a second</th>
            <th>What</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, what, hz }) => (
            <tr key={key} className="border-b border-rule">
              <td className="figure py-1 pr-4">{everyWords(reader, 1 / hz)}</td>
              <td className="figure pr-4">{formatNumber(reader, hz, hz < 1 ? 3 : 1)}</td>
              <td>{what}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Fold>
  );
}

const everyWords = (reader: Reader, seconds: number): string =>
  seconds >= 60
    ? `${formatNumber(reader, seconds / 60, 1)} min`
    : seconds >= 1
      ? `${formatNumber(reader, seconds, 2)} s`
      : `${formatNumber(reader, seconds * 1000, 1)} ms`;
