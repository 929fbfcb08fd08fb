import fc from "fast-check";
import { expect, test } from "vitest";
import { seatChoices, seatStack, seatWasher } from "./seat-washer";
import { shimStack } from "./shim-stack";

const stock = [
  { thicknessMm: 0.1, count: 5 },
  { thicknessMm: 0.3, count: 2 },
  { thicknessMm: 0.5, count: 1 },
];
const ask = (seatMm: number[], partMm: number[], expandedUncertaintyMm: number | null = 0.02) => {
  const answer = seatWasher({ seatMm, partMm, expandedUncertaintyMm, stock });
  if (!answer.ok) throw new Error(answer.refusal.code);
  return answer.value;
};

test("seat less bearing is the washer, in the fewest pieces of the drawer", () => {
  const answer = ask([8.31, 8.3, 8.31], [8.01, 8.0]);
  expect(answer.says).toBe("too-narrow");
  expect(answer.gapMm).toBeCloseTo(0.3017, 3);
  const found = answer.stack && seatChoices(answer.stack);
  expect(found?.[0]?.shims).toEqual([{ thicknessMm: 0.3, count: 1 }]);
});

test("a bearing that fills its seat fits, one that is wider stands proud, and what the caliper cannot tell is not told", () => {
  expect(ask([8.02], [8.0]).says).toBe("fits");
  expect(ask([8.0], [8.2]).says).toBe("proud");
  expect(ask([8.06], [8.0]).says).toBe("not-to-be-told");
  // Nobody said with what: no uncertainty is made up.
  expect(ask([8.06], [8.0], null)).toMatchObject({ says: "too-narrow", expandedUncertaintyMm: null });
});

test("no stack that is offered squeezes the bearing, and of those that fit none has fewer pieces", () => {
  fc.assert(
    fc.property(fc.integer({ min: 60, max: 2000 }), (thousandths) => {
      const gap = thousandths / 1000;
      const answer = shimStack(seatStack(gap, stock));
      if (!answer.ok || !answer.value.best) return;
      const [first, ...others] = seatChoices(answer.value);
      expect(first?.clearanceMm).toBeGreaterThanOrEqual(0);
      expect(first?.clearanceMm).toBeLessThanOrEqual(0.05);
      for (const other of others) expect(other.pieces).toBeGreaterThanOrEqual(first?.pieces ?? 0);
    }),
    { seed: 8, numRuns: 200 },
  );
});
