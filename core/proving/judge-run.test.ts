import fc from "fast-check";
import { expect, test } from "vitest";
import { isAtSupplyLimit, judgeRun, type RunFigure } from "./judge-run";
import { loadTyped } from "./load-typed";
import type { PlanLimit } from "./schema";
import { speedCheck, turnsByStopwatch } from "./speed-check";

const limit = (more: Partial<PlanLimit>): PlanLimit => ({
  ...{ run: null, of: "current", place: "", lo: null, hi: null, aroundLast: null },
  ...more,
});
const judged = (limits: PlanLimit[], figures: RunFigure[], last: RunFigure[] | null = null, atLimit = false) =>
  judgeRun(
    { limits, meters: [{ of: "current", expandedUncertainty: 0.1 }] },
    { id: "a", move: "run" },
    figures,
    last,
    atLimit,
  );
const amps = (value: number): RunFigure => ({ of: "current", place: "", value });

test("what conforms lies inside by more than the meter's uncertainty, whatever the limits", () => {
  const value = fc.double({ min: 0, max: 10, noNaN: true });
  fc.assert(
    fc.property(value, value, value, (read, a, b) => {
      const [lo, hi] = [Math.min(a, b), Math.max(a, b)];
      const { verdict } = judged([limit({ lo, hi })], [amps(read)]);
      if (verdict === "conforms") expect(read - 0.1 >= lo && read + 0.1 <= hi).toBe(true);
      if (verdict === "does-not-conform") expect(read + 0.1 < lo || read - 0.1 > hi).toBe(true);
    }),
  );
});

test("as last time ± 10 %: both readings are uncertain; without a last time nothing is judged by it", () => {
  const around = [limit({ aroundLast: { by: 10, unit: "percent" } })];
  expect(judged(around, [amps(2)]).each).toMatchObject([{ verdict: null, why: "no-last-time" }]);
  expect(judged(around, [amps(2)])).toMatchObject({ verdict: null });
  const { each, verdict } = judged(around, [amps(2.05)], [amps(2)]);
  expect(verdict).toBe("conforms");
  expect(each[0]?.lo).toBeCloseTo(1.8, 9);
  expect(each[0]?.hi).toBeCloseTo(2.2, 9);
  expect(each[0]?.expandedUncertainty).toBeCloseTo(Math.hypot(0.1, 0.1), 9);
  expect(judged(around, [amps(2.4)], [amps(2)]).verdict).toBe("does-not-conform");
  // Its own limit counts beside it.
  expect(judged([limit({ hi: 2, aroundLast: { by: 50, unit: "percent" } })], [amps(2.2)], [amps(2)]).verdict).toBe(
    "does-not-conform",
  );
});

test("what was to be looked at and was not leaves the run undecided; a limit of another run does not", () => {
  expect(judged([limit({ hi: 3 })], [])).toMatchObject({ verdict: "undecided", each: [{ why: "not-read" }] });
  expect(judged([limit({ hi: 3, run: "b" })], []).each).toEqual([]);
});

test("by place, the hottest of those that were read; another place is not it", () => {
  const motor = limit({ of: "temperature", place: "Motor", hi: 60 });
  const read = (place: string, value: number): RunFigure => ({ of: "temperature", place, value });
  expect(judged([motor], [read("gearbox", 80), read("motor ", 55)]).verdict).toBe("conforms");
  expect(judged([limit({ of: "temperature", hi: 60 })], [read("gearbox", 80), read("motor", 55)]).verdict).toBe(
    "does-not-conform",
  );
});

test("at its supply's limit a current conforms to nothing, and still breaks what it breaks", () => {
  expect(judged([limit({ hi: 3 })], [amps(2)], null, true).each).toMatchObject([
    { verdict: "undecided", why: "at-supply-limit" },
  ]);
  expect(judged([limit({ hi: 1 })], [amps(2)], null, true).verdict).toBe("does-not-conform");
  expect(isAtSupplyLimit({ supplyLimitA: 5, meters: [] }, [4.96])).toBe(true);
  expect(isAtSupplyLimit({ supplyLimitA: 5, meters: [] }, [4.9, null])).toBe(false);
});

test("a speed is the train's, another gear's, slips, or is not to be told", () => {
  const turns = [
    { gear: "low", ratio: 10 },
    { gear: "high", ratio: -4 },
  ];
  const check = (rpm: number, uncertaintyPercent = 0, motorRpm: number | null = 1000) =>
    speedCheck({ rpm, uncertaintyPercent, motorRpm, gear: "low", turns });
  expect(check(99)).toMatchObject({ find: "as-predicted", predictedRpm: 100 });
  expect(check(90)).toMatchObject({ find: "slips" });
  expect(check(90, 12)).toMatchObject({ find: "as-predicted" });
  expect(check(249)).toMatchObject({ find: "other-gear", gear: "high" });
  expect(check(130)).toMatchObject({ find: "runs-ahead" });
  expect(check(99, 0, null)).toEqual({ predictedRpm: null, offPercent: null, find: "not-known" });
  expect(turnsByStopwatch(20, 12).rpm).toBeCloseTo(100, 9);
  expect(turnsByStopwatch(20, 12).uncertaintyPercent).toBeCloseTo(2.5, 9);
});

test.each<[string, unknown]>([
  ["", null],
  ["8 kg", { kind: "weight", kg: 8 }],
  ["12 N at 150 mm", { kind: "brake", forceN: 12, armMm: 150 }],
  ["12,5 N x 15 cm", { kind: "words", text: "12,5 N x 15 cm" }],
  ["half a pile of board", { kind: "words", text: "half a pile of board" }],
])("a load of %j", (text, load) => {
  const read = loadTyped(text);
  if (!read.ok) throw new Error(read.refusal.code);
  if (load && typeof load === "object" && "kg" in load)
    expect(read.value).toMatchObject({ kind: "weight", kg: expect.closeTo(8, 9) });
  else expect(read.value).toEqual(load);
});
