import { expect, test } from "vitest";
import type { Entry } from "./entry";
import { jobRecord } from "./job-record";
import { knownRound } from "./known-round";
import { pastMoves } from "./past-moves";

let seq = 0;
const entry = (kind: Entry["kind"], body: unknown, more: Partial<Entry> = {}): Entry =>
  ({ id: `e${++seq}`, seq, kind, body, readings: [], namesEntry: null, adjusterId: "a1", ...more }) as unknown as Entry;
const round = (phase: string, verdict = "conforms", values: number[] = [0.2]) =>
  entry(
    "round",
    { phase, result: { verdict } },
    {
      readings: values.map((valueMm, i) => ({ tooth: i + 1, valueMm, struck: false })) as never,
    },
  );
const move = (amount: number) => entry("move", { amount, teaches: true });
const clamp = (n: number, state: string) => entry("clamp", { clamp: n, state, pass: 2 });

test("what is provisional follows from what was done, in order", () => {
  const provisional = (entries: Entry[]) => jobRecord(entries, { points: [1, 2], compound: true }).provisional;
  expect(provisional([])).toEqual(["no-as-found", "not-proved"]);
  const found = round("as-found", "does-not-conform");
  expect(provisional([found])).toEqual(["not-inside", "not-proved"]);
  const set = [found, move(0.1), round("set")];
  expect(provisional(set)).toEqual(["clamps-not-firm", "not-proved"]);
  const firm = [...set, clamp(1, "firm"), clamp(2, "firm")];
  expect(provisional(firm)).toEqual(["no-check-round", "no-compound", "not-proved"]);
  const dressed = [...firm, clamp(1, "dressed"), clamp(2, "dressed"), round("check"), entry("proof", {})];
  expect(provisional(dressed)).toEqual([]);
  // Where no compound belongs on the screws, its absence is nothing provisional.
  expect(jobRecord(firm, { points: [1, 2], compound: false }).provisional).toEqual(["no-check-round", "not-proved"]);
});

test("a voided round no longer counts as found", () => {
  const wrong = round("as-found");
  const right = round("as-found", "undecided");
  const record = jobRecord([wrong, right, entry("correction", { voids: true }, { namesEntry: wrong.id })], {
    points: [],
    compound: true,
  });
  expect(record.asFound?.id).toBe(right.id);
});

test("a move teaches only alone between two rounds, under the present adjuster, and not through the lock-up", () => {
  const entries = [
    round("as-found", "conforms", [0.1, 0.2]),
    move(0.25),
    round("set", "conforms", [0.3]),
    move(0.1),
    move(0.1),
    round("set"),
    entry("move", { amount: 0.3, teaches: true }, { adjusterId: "old" }),
    round("set"),
    move(0.4),
    round("check"),
  ];
  const moves = pastMoves(entries, "a1");
  expect(moves.map(({ amount, teaches }) => [amount, teaches])).toEqual([
    [0.25, true],
    [0.3, false],
  ]);
  expect(moves[0]?.before).toContainEqual({ tooth: 1, value: 0.1 });
});

test("after two moves with one reading each the whole round is still known", () => {
  const at = (tooth: number, valueMm: number) => ({ tooth, angleDeg: (tooth - 1) * 9, valueMm, struck: false });
  const on = (phase: string, readings: unknown[]) =>
    entry("round", { phase, result: { verdict: "conforms" } }, { stageId: "s", readings } as never);
  const rounds = [
    on("as-found", [at(1, 0.1), at(11, 0.14), at(31, 0.12)]),
    on("set", [at(1, 0.2)]),
    on("set", [at(1, 0.15)]),
  ];
  const known = knownRound(rounds, "s", 40);
  expect(known?.readings.map(({ tooth, backlashMm }) => [tooth, Number(backlashMm.toFixed(6))])).toEqual([
    [1, 0.15],
    [11, 0.19],
    [31, 0.17],
  ]);
});
