import fc from "fast-check";
import { expect, test } from "vitest";
import { type AdviceQuestion, advise } from "./advise";

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

const question = fc
  .record({
    quantity: fc.constantFrom("backlash", "tension", "sag", "clearance"),
    low: number(0.5, 3),
    spread: number(0, 0.8),
    lo: number(0.5, 2),
    width: number(0.1, 1),
    u: number(0, 0.1),
    sensitivity: number(0.2, 2),
    lead: number(0.2, 2),
    angle: fc.constantFrom(0, 30, 150, 180),
    oneWay: fc.boolean(),
    springReturn: fc.boolean(),
    travel: fc.option(number(0.1, 1)),
    school: fc.constantFrom("centre-of-band", "tight-spot"),
  })
  .map(
    (r) =>
      ({
        quantity: r.quantity,
        readings: [
          { value: r.low, gearAngleDeg: 0 },
          { value: r.low + r.spread, gearAngleDeg: 180 },
        ],
        limits: { lo: r.lo, hi: r.lo + r.width },
        expandedUncertainty: r.u,
        sensitivity: r.sensitivity,
        adjuster: {
          type: "screw",
          leadMm: r.lead,
          angleDeg: r.angle,
          oneWay: r.oneWay,
          springReturn: r.springReturn,
          ...(r.travel === null ? {} : { travel: { min: -r.travel, max: r.travel } }),
        },
        school: r.school,
        tightRisk: 0.005,
      }) as AdviceQuestion,
  );

const check = (property: (input: AdviceQuestion) => void) =>
  fc.assert(fc.property(question, property), { seed: 1, numRuns: 600 });

test("the parts of a move sum to it; a one-way screw never passes its goal and ends pushing", () => {
  check((input) => {
    const { move, steps } = advise(input);
    if (!move) {
      expect(steps).toEqual([]);
      return;
    }
    expect(steps.reduce((sum, step) => sum + step.amount, 0)).toBeCloseTo(move.amount, 9);
    if (input.adjuster.type !== "screw" || !input.adjuster.oneWay || move.amount === 0) return;
    let sum = 0;
    for (const step of steps) {
      sum += step.amount;
      expect(sum).toBeLessThanOrEqual(move.amount + 1e-9);
    }
    expect(steps[steps.length - 1]?.amount).toBeGreaterThan(0);
    const byHand = move.amount < 0 && !input.adjuster.springReturn;
    expect(steps.some((step) => step.kind === "draw-back")).toBe(byHand);
  });
});

test("what is called feasible ends inside the limits, what conforms is left alone, and travel is kept", () => {
  check((input) => {
    const advice = advise(input);
    const { lo, hi } = input.limits;
    if (advice.verdict === "conforms") expect(advice.move).toBeNull();
    const cut = input.adjuster.type === "screw" && input.adjuster.oneWay;
    if (advice.feasible && advice.move && !cut) {
      expect(advice.predicted.min).toBeGreaterThanOrEqual(lo - 1e-6);
      expect(advice.predicted.max).toBeLessThanOrEqual(hi + 1e-6);
    }
    const { travel } = input.adjuster;
    if (advice.move && travel) {
      expect(advice.move.amount).toBeGreaterThanOrEqual(travel.min - 1e-9);
      expect(advice.move.amount).toBeLessThanOrEqual(travel.max + 1e-9);
    }
    if (!advice.feasible && advice.spread <= hi - lo && advice.verdict !== "conforms" && input.quantity !== "sag")
      expect(advice.reasons).toContain("provisional");
  });
});

test("a move is never said to be surer than the reading, and stands at the tightest reading", () => {
  check((input) => {
    const advice = advise(input);
    if (!advice.move) return;
    expect(advice.expectedUncertainty).toBeGreaterThanOrEqual(input.expandedUncertainty);
    expect(advice.atAngleDeg).toBe(input.quantity === "tension" && advice.spread > 0 ? 180 : 0);
    expect(advice.predicted.max - advice.predicted.min).toBeGreaterThanOrEqual(-1e-12);
  });
});

test("the fitted worst over the hunting cycle counts as well as what was read", () => {
  const base: AdviceQuestion = {
    quantity: "backlash",
    readings: [{ value: 0.1 }, { value: 0.12 }],
    limits: { lo: 0.05, hi: 0.15 },
    expandedUncertainty: 0.005,
    sensitivity: 0.73,
    adjuster: { type: "slide", angleDeg: 0 },
    school: "centre-of-band",
    tightRisk: 0.005,
  };
  expect(advise(base).verdict).toBe("conforms");
  const worst = advise({ ...base, worst: { min: 0.04, max: 0.12 } });
  expect(worst).toMatchObject({ verdict: "does-not-conform" });
  expect(worst.move?.centreDistanceChangeMm).toBeCloseTo(0.02 / 0.73, 9);
});
