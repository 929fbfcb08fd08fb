import Papa from "papaparse";
import { entryWords } from "~/app/features/words/entry";
import type { Reader } from "~/app/features/words/reader";
import type { Entry, ReadingRecord } from "~/core/logbook";
import type { Stage } from "~/core/records";
import { judgedUnit, sideUnit } from "~/core/stages";

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
  "place",
  "turn",
  "angle deg",
  "typed",
  "unit",
  "value",
  "value unit",
  "struck out",
  "measured",
  "instrument uncertainty",
  "temperature C",
  "entry",
  "job",
] as const;

/** Unit of what a reading is judged as. */
const valueUnit = (entry: Entry): string =>
  entry.kind === "round" || entry.kind === "paper-round"
    ? judgedUnit[entry.body.result.quantity].unit
    : entry.kind === "side"
      ? sideUnit[entry.body.quantity].unit
      : "";

const readingCells = (reading: ReadingRecord | null, unit: string) =>
  reading
    ? [
        reading.tooth,
        reading.turn,
        reading.angleDeg,
        reading.typed,
        reading.unit,
        reading.value,
        unit,
        reading.struck ? "yes" : "",
        reading.quantity,
        reading.expandedUncertainty,
        reading.temperatureC ?? "",
      ]
    : Array.from({ length: 11 }, () => "");

/** Entries as a table: one row each, a round one row a reading. Cells that a spreadsheet would take for a formula are quoted. */
export function entriesAsCsv(
  reader: Reader,
  entries: readonly Entry[],
  stages: readonly Stage[],
  withHead: boolean,
): string {
  const rows = entries.flatMap((entry) => {
    const stage = stages.find((item) => item.id === entry.stageId);
    const { title, detail } = entryWords(reader, entry, stage);
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
    return readings.map((reading) => [
      ...about,
      ...readingCells(reading, valueUnit(entry)),
      entry.id,
      entry.jobId ?? "",
    ]);
  });
  const text = Papa.unparse([...(withHead ? [[...columns]] : []), ...rows], { escapeFormulae: true, newline: "\r\n" });
  return text === "" ? "" : `${text}\r\n`;
}
