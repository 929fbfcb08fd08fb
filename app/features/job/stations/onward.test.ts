import { expect, test } from "vitest";
import type { ClampNow, JobRecord } from "~/core/logbook";
import { onwardOf } from "./onward";

const record = (clamps: ClampNow["state"][], moves = 0, proofs = 0) =>
  ({
    clamps: clamps.map((state) => ({ state, pass: 0 })),
    moves: Array(moves),
    proofs: Array(proofs),
  }) as unknown as JobRecord;
const ways = (...asked: Parameters<typeof onwardOf>) => {
  const { now, beside } = onwardOf(...asked);
  return [now.word, beside?.word];
};

test("what nobody touched is signed off, with proving beside it: no clamp that nobody eased is tightened", () => {
  expect(ways(record(["unknown", "unknown"]), "as-found")).toEqual(["Sign it off", "Prove it"]);
  expect(ways(record([]), "set")).toEqual(["Sign it off", "Prove it"]);
});

test("what was eased or moved is locked up first", () => {
  expect(ways(record(["eased", "unknown"]), "as-found")).toEqual(["Lock up", undefined]);
  expect(ways(record(["unknown"], 1), "set")).toEqual(["Lock up", undefined]);
});

test("after a check round it is proven, and signed off once it ran", () => {
  expect(ways(record(["firm"], 1), "check")).toEqual(["Prove it", "Sign it off"]);
  expect(ways(record(["firm"], 1, 1), "check")).toEqual(["Sign it off", "Prove it"]);
});
