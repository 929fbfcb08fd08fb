import fc from "fast-check";
import { expect, test } from "vitest";
import type { Adjuster } from "./adjusters";
import { moveSteps, wholeSteps } from "./steps";

const pushing: Adjuster = { type: "screw", leadMm: 1, angleDeg: 0, oneWay: true, springReturn: false };

test("a quarter turn of a screw that only pushes: an eighth, then another; no part of nothing", () => {
  expect(wholeSteps(moveSteps(pushing, 0.25), 1 / 16)).toEqual([
    { kind: "push", amount: 1 / 8 },
    { kind: "push", amount: 1 / 8 },
  ]);
});

test("back again: slackened a quarter further, brought back by hand, pushed up from behind", () => {
  expect(wholeSteps(moveSteps(pushing, -0.5), 1 / 16)).toEqual([
    { kind: "slacken", amount: -0.75 },
    { kind: "draw-back", amount: 0 },
    { kind: "push", amount: 0.25 },
  ]);
});

test("parts are whole steps, never beyond the move, and sum to it", () => {
  const adjusters: Adjuster[] = [pushing, { ...pushing, springReturn: true }, { type: "slide", angleDeg: 0 }];
  const any = fc.record({
    count: fc.integer({ min: -200, max: 200 }),
    step: fc.constantFrom(0.01, 0.05, 1 / 16, 1 / 12),
  });
  fc.assert(
    fc.property(any, fc.constantFrom(...adjusters), ({ count, step }, adjuster) => {
      const parts = wholeSteps(moveSteps(adjuster, count * step), step);
      let gone = 0;
      for (const { amount, kind } of parts) {
        expect(Math.abs(amount / step - Math.round(amount / step))).toBeLessThan(1e-6);
        gone += amount;
        if (kind === "push" && count > 0) expect(gone).toBeLessThanOrEqual(count * step + 1e-9);
      }
      expect(gone).toBeCloseTo(count * step, 9);
    }),
    { seed: 11, numRuns: 400 },
  );
});
