import Papa from "papaparse";
import { entryWords } from "~/app/features/words/entry";
import type { ReadingRecord } from "~/core/logbook";
import type { NamedEntry } from "~/data/queries/entries";
import type { Stage } from "~/data/queries/stages";

const columns = [
  "number",
  "done at (UTC)",
  "recorded at (UTC)",
  "kind",
  "stage",
  "by",
  "usage",
  "what",
  "detail",
  "tooth",
  "turn",
  "angle deg",
  "typed",
  "unit",
  "backlash mm",
  "struck out",
  "measured",
  "uncertainty mm",
  "temperature C",
  "entry",
  "job",
] as const;

const readingCells = (reading: ReadingRecord | null) =>
  reading
    ? [
        reading.tooth,
        reading.turn,
        reading.angleDeg,
        reading.typed,
        reading.unit,
        reading.valueMm,
        reading.struck ? "yes" : "",
        reading.quantity,
        reading.expandedUncertaintyMm,
        reading.temperatureC ?? "",
      ]
    : Array.from({ length: 10 }, () => "");

/** Entries as a table: one row each, a round one row a reading. Cells that a spreadsheet would take for a formula are quoted. */
export function entriesAsCsv(entries: readonly NamedEntry[], stages: readonly Stage[], withHead: boolean): string {
  const rows = entries.flatMap((entry) => {
    const stage = stages.find((item) => item.id === entry.stageId);
    const { title, detail } = entryWords(entry, stage?.adjuster);
    const about = [
      entry.seq,
      entry.madeAt,
      entry.recordedAt,
      entry.kind,
      stage?.name ?? "",
      entry.madeByName,
      entry.usage ?? "",
      title,
      detail,
    ];
    const readings = entry.readings.length > 0 ? entry.readings : [null];
    return readings.map((reading) => [...about, ...readingCells(reading), entry.id, entry.jobId ?? ""]);
  });
  const text = Papa.unparse([...(withHead ? [[...columns]] : []), ...rows], { escapeFormulae: true, newline: "\r\n" });
  return text === "" ? "" : `${text}\r\n`;
}
