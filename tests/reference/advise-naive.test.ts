import fc from "fast-check";
import { expect, test } from "vitest";
import { run } from "./run";

/*
 * The advice done a second time, naively: the amount is found by walking along the adjuster in small steps and looking which
 * one brings the readings where the contract wants them, instead of by turning its law round. Slow, and free of every
 * formula for an inverse.
 */

type Law = (amount: number) => number;
type Case = { adjuster: Record<string, unknown>; law: Law; range: [number, number] };

const rad = Math.PI / 180;
const adjusters: Record<string, (a: number) => Case> = {
  slide: (a) => ({ adjuster: { type: "slide", angleDeg: a }, law: (x) => x * Math.cos(a * rad), range: [-6, 6] }),
  screw: (a) => ({
    adjuster: { type: "screw", leadMm: 0.8, angleDeg: a },
    law: (x) => 0.8 * x * Math.cos(a * rad),
    range: [-8, 8],
  }),
  pivot: (a) => ({
    adjuster: { type: "pivot", armMm: 60, angleDeg: 90 - a / 2, leverMm: 80 },
    law: (x) => (x / 80) * 60 * Math.sin((90 - a / 2) * rad),
    range: [-7, 7],
  }),
  shims: () => ({ adjuster: { type: "shims", perMm: 0.9 }, law: (x) => 0.9 * x, range: [-6, 6] }),
  eccentric: (a) => ({
    adjuster: { type: "eccentric", throwMm: 4, angleDeg: 60 + a },
    law: (x) => 4 * (Math.cos((60 + a + x) * rad) - Math.cos((60 + a) * rad)),
    range: [-360, 360],
  }),
};

/** The shift of the quantity (on its own scale) that the contract's steps 3 and 4 ask for. */
function wantedShift(input: {
  quantity: string;
  low: number;
  high: number;
  lo: number;
  hi: number;
  u: number;
  school: string;
}): number {
  const f = (x: number) => (input.quantity === "sag" ? x * x : x);
  const [a, b] = [f(input.low), f(input.high)];
  const tension = input.quantity === "tension";
  const room = [f(input.lo + input.u), f(input.hi - input.u)] as const;
  if (b - a <= room[1] - room[0]) {
    const aim = (input.lo + input.hi) / 2;
    let shift = f(aim) - (a + b) / 2;
    if (input.school === "tight-spot") shift = tension ? f(input.hi - 2 * input.u) - b : f(input.lo + 2 * input.u) - a;
    if (a + shift < room[0]) shift = room[0] - a;
    if (b + shift > room[1]) shift = room[1] - b;
    return shift;
  }
  if (b - a <= f(input.hi) - f(input.lo)) return (f(input.lo) + f(input.hi)) / 2 - (a + b) / 2;
  return tension ? room[1] - b : room[0] - a;
}

/** Walks outwards from no move at all until the centres have changed as wanted; then closes in. */
function walk({ law, range }: Case, changeMm: number): number | null {
  const steps = 40_000;
  const size = (range[1] - range[0]) / steps;
  for (let i = 0; i < steps; i++) {
    for (const side of [1, -1]) {
      let [from, to] = [side * i * size, side * (i + 1) * size];
      if ((law(from) - changeMm) * (law(to) - changeMm) > 0) continue;
      for (let j = 0; j < 60; j++) {
        const middle = (from + to) / 2;
        if ((law(from) - changeMm) * (law(middle) - changeMm) <= 0) to = middle;
        else from = middle;
      }
      return (from + to) / 2;
    }
  }
  return null;
}

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test("the inverse of every law agrees with walking along it, for every quantity, school and learnt response", () => {
  let compared = 0;
  fc.assert(
    fc.property(
      fc.constantFrom(...Object.keys(adjusters)),
      number(0, 40),
      fc.constantFrom("backlash", "tension", "sag", "clearance"),
      fc.constantFrom("centre-of-band", "tight-spot"),
      number(0.2, 2),
      number(0, 0.9),
      number(0.2, 1.2),
      number(0.01, 0.2),
      fc.boolean(),
      number(0.6, 1.4),
      (kind, angle, quantity, school, low, spread, width, u, learnt, factor) => {
        const high = low + spread;
        const [lo, hi] = [1, 1 + width];
        const instance = (adjusters[kind] as (a: number) => Case)(angle);
        const sensitivity = quantity === "sag" || quantity === "clearance" ? -0.8 : 0.8;
        const perUnit = kind === "eccentric" ? factor : factor * sensitivity * instance.law(1);
        const advice = run("advise", {
          quantity,
          school,
          readings: [{ value: high }, { value: low }],
          limits: { lo, hi },
          expandedUncertainty: u,
          sensitivity,
          adjuster: instance.adjuster,
          ...(learnt ? { response: { perUnit, sd: 0.05 } } : {}),
        });
        if (!advice.move) return;
        const shift = wantedShift({ quantity, low, high, lo, hi, u, school });
        const perCentre = sensitivity * (quantity === "sag" ? low + high : 1);
        const amount = walk(instance, shift / (perCentre * (learnt ? factor : 1)));
        if (amount === null) return;
        compared++;
        expect(Math.abs(advice.move.amount - amount)).toBeLessThan(1e-6 * Math.max(1, Math.abs(amount)) + 1e-6);
        const after = (x: number) => (quantity === "sag" ? Math.sqrt(Math.max(0, x * x + shift)) : x + shift);
        expect(advice.predicted.min).toBeCloseTo(after(low), 9);
        expect(advice.predicted.max).toBeCloseTo(after(high), 9);
        expect(advice.predicted.atAngle).toBeCloseTo(after(quantity === "tension" ? high : low), 9);
      },
    ),
    { seed: 14253, numRuns: 400 },
  );
  expect(compared).toBeGreaterThan(150);
});

test("an eccentric takes the nearest of its solutions that the travel allows", () => {
  fc.assert(
    fc.property(number(0, 360), number(-3, 3), number(-200, 0), number(0, 200), (angle, changeMm, min, max) => {
      const law: Law = (x) => 4 * (Math.cos((angle + x) * rad) - Math.cos(angle * rad));
      const advice = run("advise", {
        quantity: "clearance",
        readings: [{ value: 10 - changeMm }],
        limits: { lo: 9.99, aim: 10, hi: 10.01 },
        expandedUncertainty: 0,
        sensitivity: 1,
        adjuster: { type: "eccentric", throwMm: 4, angleDeg: angle, travel: { min, max } },
      });
      if (!advice.move) return;
      const { amount } = advice.move;
      expect(amount).toBeGreaterThanOrEqual(min - 1e-6);
      expect(amount).toBeLessThanOrEqual(max + 1e-6);
      let [nearest, closest] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
      for (let x = min; x <= max; x += 0.01) {
        const miss = Math.abs(law(x) - changeMm);
        if (miss < 0.003 && Math.abs(x) < Math.abs(nearest)) nearest = x;
        closest = Math.min(closest, miss);
      }
      // Never further from the target than the best that the travel holds, and no other solution lies nearer.
      expect(Math.abs(law(amount) - changeMm)).toBeLessThan(closest + 0.003);
      if (Number.isFinite(nearest) && Math.abs(law(amount) - changeMm) < 1e-9)
        expect(Math.abs(amount)).toBeLessThan(Math.abs(nearest) + 6);
    }),
    { seed: 35, numRuns: 120 },
  );
});

test("a one-way push never ends too tight more often than it may, whatever the response turns out to be", () => {
  // Ten thousand tries with a response and a reading drawn as uncertain as the advice says they are.
  const input = {
    quantity: "backlash",
    readings: [{ value: 0.3 }, { value: 0.36 }],
    limits: { lo: 0.05, hi: 0.15 },
    expandedUncertainty: 0.01,
    sensitivity: 0.728,
    adjuster: { type: "screw", leadMm: 0.7, angleDeg: 180, oneWay: true },
    tightRisk: 0.02,
  };
  const { move } = run("advise", input);
  let state = 12345;
  const uniform = () => {
    state = (Math.imul(state, 1_103_515_245) + 12_345) >>> 0;
    return (state + 0.5) / 4_294_967_296;
  };
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  let tooTight = 0;
  for (let i = 0; i < 10_000; i++) {
    const change = 0.728 * 0.7 * move.amount * (1 + 0.1 * normal());
    if (0.3 + 0.005 * normal() - change < 0.05) tooTight++;
  }
  expect(tooTight / 10_000).toBeLessThan(0.026);
  expect(tooTight / 10_000).toBeGreaterThan(0.014);
});
