import { expect, test } from "vitest";
import { closure } from "../proving";
import { closuresOf } from "./closures";
import type { Entry } from "./entry";

const day = (n: number) => `2026-11-${String(n).padStart(2, "0")}T08:00:00.000Z`;
const read = (n: number, forward: readonly number[]): Entry => {
  const input = { divisions: 200, turns: 1, forward, toleranceArcmin: 4, expandedUncertainty: 0.2 };
  return {
    kind: "measured",
    madeAt: day(n),
    madeByName: "P",
    body: { tool: "closure", input, output: closure(input) },
  } as never;
};
const errors = (worstArcmin: number): Entry =>
  ({
    kind: "computation",
    madeAt: day(1),
    body: { tool: "index-error", output: { position: { worstArcmin } } },
  }) as never;

test("the miss over time with its drift, held against what the errors known of the drive can make", () => {
  const { reads, trend, against } = closuresOf([
    errors(9),
    errors(1),
    read(2, [1]),
    read(12, [2]),
    read(22, [3]),
    { kind: "measured", madeAt: day(23), body: { tool: "coupling", input: {}, output: {} } } as never,
  ]);
  expect(reads.map(({ closure: { forward } }) => forward.meanArcmin)).toEqual([1, 2, 3]);
  expect(trend?.slope).toBeCloseTo(0.1, 12);
  // The last word on its errors counts; 3 ± 0.2 is surely more than ± 1.
  expect(against).toMatchObject({ worstArcmin: 1, find: "not-explained" });
  const finds = [2.5, 3.1, 4].map((worst) => closuresOf([errors(worst), read(22, [3])]).against?.find);
  expect(finds).toEqual(["not-explained", "undecided", "explained"]);
});

test("of two drives measured on one stage the last one's closures alone make its trend", () => {
  const other = (n: number, miss: number): Entry => {
    const entry = read(n, [miss]);
    return { ...entry, body: { ...entry.body, of: "Tilt axis" } } as never;
  };
  const { reads } = closuresOf([read(2, [1]), other(3, 9), read(12, [2]), other(20, 8)]);
  expect(reads.map(({ closure: { forward } }) => forward.meanArcmin)).toEqual([9, 8]);
});

test("two say no trend, and without computed errors nothing is explained away", () => {
  expect(closuresOf([read(2, [1]), read(3, [2])])).toMatchObject({ trend: null, against: null });
  expect(closuresOf([])).toEqual({ reads: [], trend: null, against: null });
});
