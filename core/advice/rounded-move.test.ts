import { expect, test } from "vitest";
import type { Adjuster } from "./adjusters";
import { type AdviceQuestion, advise } from "./advise";
import { roundedMove } from "./rounded-move";

const question = (adjuster: Adjuster, low: number, high: number): AdviceQuestion => ({
  quantity: "backlash",
  readings: [{ value: low }, { value: high }],
  limits: { lo: 0.05, hi: 0.15 },
  expandedUncertainty: 0.01,
  sensitivity: 0.728,
  adjuster,
  school: "centre-of-band",
  tightRisk: 0.005,
});

test("what it will read is said for the amount that a hand can set, not for the one computed", () => {
  const slide: Adjuster = { type: "slide", angleDeg: 0 };
  const rounded = roundedMove(advise(question(slide, 0.2, 0.25)), slide, 0.05, { min: 0.2, max: 0.25 });
  expect(rounded?.amount).toBeCloseTo(-0.15, 12);
  expect(rounded?.min).toBeCloseTo(0.2 - 0.15 * 0.728, 12);
  expect(rounded?.max).toBeCloseTo(0.25 - 0.15 * 0.728, 12);
  expect(rounded?.at).toBeCloseTo(0.2 - 0.15 * 0.728, 12);
});

test("a one-way push is rounded down, never up", () => {
  const screw: Adjuster = { type: "screw", leadMm: 0.7, angleDeg: 180, oneWay: true, springReturn: false };
  const advice = advise(question(screw, 0.3, 0.38));
  expect(advice.move?.amount).toBeCloseTo(0.3876, 3);
  expect(roundedMove(advice, screw, 1 / 8, { min: 0.3, max: 0.38 })?.amount).toBe(3 / 8);
  expect(roundedMove(advice, screw, 0.2, { min: 0.3, max: 0.38 })?.amount).toBeCloseTo(0.2, 12);
});
