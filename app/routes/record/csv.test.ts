import Papa from "papaparse";
import { expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import type { Entry } from "~/core/logbook";
import { entriesAsCsv } from "./csv.server";

const reader = readerOf();

const entry = (kind: string, body: object, readings: object[] = []): Entry =>
  ({
    id: "e",
    seq: 7,
    kind,
    body,
    readings,
    madeAt: "2026-01-02T03:04:05.000Z",
    recordedAt: "2026-01-02T03:04:06.000Z",
    madeByName: "A. Person",
    usage: null,
    jobId: null,
    stageId: null,
  }) as unknown as Entry;
const reading = (tooth: number, typed: string, struck = false) => ({
  tooth,
  turn: 1,
  angleDeg: 9,
  typed,
  unit: "mm",
  value: 0.2,
  struck,
  quantity: "circumferential-backlash",
  expandedUncertainty: 0.01,
  temperatureC: null,
});
const result = { quantity: "backlash", count: 2, min: 0.1, max: 0.2, verdict: "conforms", fits: true };

test("a row for each entry, of a round one for each reading, struck ones too, all as wide as the head", () => {
  const text = entriesAsCsv(
    reader,
    [
      entry("note", { text: 'said "fine", left' }),
      entry("round", { phase: "as-found", result }, [reading(1, "0,20"), reading(9, "5 thou", true)]),
    ],
    [],
    true,
  );
  const { data } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  expect(data).toHaveLength(3);
  expect(data[0]?.detail).toBe('said "fine", left');
  expect(data.map((row) => [row.place, row.typed, row["struck out"]])).toEqual([
    ["", "", ""],
    ["1", "0,20", ""],
    ["9", "5 thou", "yes"],
  ]);
  const widths = Papa.parse<string[]>(text, { skipEmptyLines: true }).data.map((row) => row.length);
  expect(new Set(widths).size).toBe(1);
});

test("what a spreadsheet would take for a formula stays text", () => {
  const text = entriesAsCsv(reader, [entry("note", { text: "=HYPERLINK(1)" })], [], false);
  expect(text).toContain("'=HYPERLINK");
});
