import { useWords } from "~/app/features/words/use-words";
import type { Entry } from "~/core/logbook";
import type { Stage } from "~/core/records";
import { entryWords } from "../words/entry";
import { clock, day, recordedLater } from "../words/times";

/** Entries in their order with every reading as it was typed, for paper. */
export function PrintedEntries({ entries, stages }: { entries: readonly Entry[]; stages: readonly Stage[] }) {
  const reader = useWords();
  return (
    <table className="w-full text-left">
      <caption className="text-xl font-bold text-left border-b-2 border-ink">Entries</caption>
      <thead className="sr-only">
        <tr>
          <th>Number</th>
          <th>When</th>
          <th>What</th>
          <th>Who</th>
        </tr>
      </thead>
      <tbody>
        {entries.map((entry) => {
          const stage = stages.find((item) => item.id === entry.stageId);
          const { title, detail } = entryWords(reader, entry, stage);
          return (
            <tr key={entry.id} className="border-b border-rule align-top break-inside-avoid">
              <td className="figure pr-3 py-1">{entry.seq}</td>
              <td className="pr-3 py-1 text-mid">
                {day(reader, entry.madeAt)} {clock(reader, entry.madeAt)}
                {recordedLater(reader, entry)}
              </td>
              <td className="pr-3 py-1">
                {stage && stages.length > 1 && `${stage.name}: `}
                <b>{title}</b>
                {detail && `: ${detail}`}
                {entry.readings.length > 0 && (
                  <span className="block figure text-mid">
                    {entry.readings
                      .map((reading) => `${reading.tooth}: ${reading.typed}${reading.struck ? " (struck out)" : ""}`)
                      .join(", ")}
                  </span>
                )}
              </td>
              <td className="py-1 text-mid">{entry.madeByName}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
