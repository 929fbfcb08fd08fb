// @vitest-environment happy-dom
import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import { testStage } from "~/tests/stage";
import { Tape, type TapeEntry } from "./tape";

afterEach(cleanup);

const now = "2026-10-05T12:00:00Z";
let seq = 0;
const entry = (kind: TapeEntry["kind"], body: object, more: Partial<TapeEntry> = {}): TapeEntry =>
  ({
    id: String(++seq),
    seq,
    kind,
    jobId: "j",
    stageId: "one",
    namesEntry: null,
    madeAt: "2026-10-05T08:30:00Z",
    body,
    readings: [],
    ...more,
  }) as unknown as TapeEntry;
const clamp = (number: number, state: string, stageId = "one") =>
  entry("clamp", { clamp: number, of: 4, pass: 1, passes: 2, state, torqueNm: 6 }, { stageId } as Partial<TapeEntry>);
const lines = () => screen.getAllByRole("listitem").map(({ textContent }) => textContent ?? "");
const show = (entries: TapeEntry[], ...stages: string[]) =>
  render(<Tape entries={entries} stages={(stages.length > 0 ? stages : ["one"]).map(testStage)} now={now} />);

test("newest first; screws touched one after the other in one way are one line, as soon as it is another way a new one", () => {
  show([
    entry("note", { text: "grease seen" }),
    clamp(1, "eased"),
    clamp(2, "eased"),
    clamp(3, "eased"),
    clamp(1, "snug"),
    entry("note", { text: "shim bent" }),
    clamp(2, "snug"),
  ]);
  expect(lines().map((line) => line.replace(/^\d\d:\d\d/, ""))).toEqual([
    expect.stringContaining("snug"),
    expect.stringContaining("shim bent"),
    expect.stringContaining("snug"),
    expect.stringContaining("Clamps eased, 3 touched"),
    expect.stringContaining("grease seen"),
  ]);
});

test("screws of two stages are never taken together, and each line says which stage it is of", () => {
  show([clamp(1, "firm"), clamp(1, "firm", "two"), clamp(2, "firm", "two")], "one", "two");
  expect(lines()).toHaveLength(2);
  expect(lines()[0]).toContain(" two");
  expect(lines()[0]).toContain("Clamps firm, 2 touched");
  expect(lines()[1]).toContain(" one");
});

test("what the server does not have yet says that it waits, and no time that might pass for the logbook's", () => {
  show([
    entry("note", { text: "here" }, { waiting: true }),
    entry("note", { text: "of yesterday" }, { madeAt: "2026-10-03T08:30:00Z" }),
  ]);
  const [yesterday, here] = lines();
  expect(here).toContain("waiting");
  expect(here).not.toMatch(/\d\d:\d\d/);
  // Of another day the hour alone would say the wrong thing.
  expect(yesterday).toMatch(/Oct/);
});
