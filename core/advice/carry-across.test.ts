import { expect, test } from "vitest";
import { carryAcross } from "./carry-across";
import { totalOf } from "./drawer";

const pieces = (...sizes: [number, number][]) => sizes.map(([thicknessMm, count]) => ({ thicknessMm, count }));

test("carried across, the same pieces lie there in all, and the reading follows this side alone", () => {
  const wheel = {
    now: { min: 0.3, max: 0.34 },
    limits: { lo: 0.05, hi: 0.2 },
    expandedUncertainty: 0.011,
    perShimMm: 0.7,
    present: pieces([0.3, 1], [0.1, 2]),
  };
  const { stack, outcome, toOther, toHere, errorMm } = carryAcross(wheel, pieces([0.5, 1], [0.05, 1]), -0.15);
  expect([toOther, toHere]).toEqual([pieces([0.1, 2]), pieces([0.05, 1])]);
  expect(stack.now).toEqual(pieces([0.3, 1], [0.05, 1]));
  expect(totalOf(stack.now) + totalOf(stack.other.now)).toBeCloseTo(totalOf(stack.was) + totalOf(stack.other.was), 9);
  expect(outcome.amount).toBe(-0.15);
  expect(outcome.min).toBeCloseTo(0.3 - 0.7 * 0.15, 9);
  expect(errorMm).toBe(0);
  // One that no choice reaches stays as near as the pieces allow.
  expect(carryAcross(wheel, pieces([0.5, 1]), -0.16).errorMm).toBeCloseTo(-0.04, 9);
  expect(carryAcross(wheel, [], 0.2).outcome.amount).toBe(0);
});
