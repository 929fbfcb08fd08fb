import { describe, expect, test } from "vitest";
import { mustHold } from "../quantity";
import { shimStack } from "../stacks";
import { type DrawerStage, drawerQuestion, exchange, handled, stackOutcome, stacksToShow, totalOf } from "./drawer";

const pieces = (...sizes: [number, number][]) => sizes.map(([thicknessMm, count]) => ({ thicknessMm, count }));
const drawer = pieces([0.05, 4], [0.1, 4], [0.2, 4], [0.5, 2]);
const gap: DrawerStage = {
  now: { min: 0.32, max: 0.32 },
  limits: { lo: 0.05, hi: 0.2 },
  expandedUncertainty: 0.011,
  perShimMm: -1,
  present: [],
};
const best = (stage: DrawerStage) => {
  const question = drawerQuestion(stage, drawer, 6);
  return question && mustHold(shimStack(question)).best;
};

describe("a stack for a stage", () => {
  test("a gap that is too wide is filled to the middle of its limits", () => {
    const stack = best(gap);
    expect(stack?.shims).toEqual(pieces([0.2, 1]));
    expect(stackOutcome(gap, { shims: stack?.shims ?? [] }, () => true)).toMatchObject({ amount: 0.2, provable: true });
  });

  test("one that is too tight gives up what lies in it, and what can stay stays", () => {
    const tight = { ...gap, now: { min: -0.07, max: -0.07 }, present: pieces([0.2, 1], [0.3, 1]) };
    const stack = best(tight);
    // 0.5 − 0.195: 0.3 leaves 0.13 of clearance, and it is there already.
    expect(stack?.shims).toEqual(pieces([0.3, 1]));
    expect(exchange(tight.present, stack?.shims ?? [])).toEqual({ taken: [], returned: pieces([0.2, 1]) });
  });

  test("shims that part a mesh act the other way and less than one to one", () => {
    const bevel = { ...gap, now: { min: 0.02, max: 0.06 }, limits: { lo: 0.1, hi: 0.2 }, perShimMm: 0.65 };
    const stack = best(bevel);
    const outcome = stackOutcome(bevel, { shims: stack?.shims ?? [] }, () => false);
    expect(outcome.min).toBeCloseTo(0.02 + 0.65 * totalOf(stack?.shims ?? []), 9);
    expect(outcome.min).toBeGreaterThan(0.1);
    expect(outcome.max).toBeLessThan(0.2);
  });

  test("a spread wider than the limits no stack can hold; without room for the uncertainty the bare limits count", () => {
    expect(drawerQuestion({ ...gap, now: { min: 0.1, max: 0.3 } }, drawer, 6)).toBeNull();
    expect(drawerQuestion({ ...gap, perShimMm: 0 }, drawer, 6)).toBeNull();
    const narrow = { ...gap, limits: { lo: 0.1, hi: 0.115 } };
    const stack = best(narrow);
    expect(stack).toBeNull();
    const near = mustHold(shimStack(drawerQuestion(narrow, drawer, 6) as never));
    expect([near.nearestBelow?.totalMm, near.nearestAbove?.totalMm]).toEqual([0.25, 0.2]);
  });

  test("the stack for which fewest pieces change hands is shown, however near others come to the aim", () => {
    const present = pieces([0.5, 1], [0.3, 1], [0.2, 1]);
    const fitting = [
      pieces([0.502, 1], [0.101, 3]),
      pieces([0.502, 1], [0.3, 1]),
      pieces([0.4, 2]),
      pieces([0.5, 1], [0.3, 1]),
    ];
    const all = fitting.map((shims) => ({ shims }));
    expect(fitting.map((shims) => handled(present, shims))).toEqual([7, 3, 5, 1]);
    expect(stacksToShow(present, all, 3)).toEqual([all[0], all[1], all[3]]);
    expect(stacksToShow(present, all, 4)).toEqual(all);
    expect(stacksToShow(present, [], 3)).toEqual([]);
  });

  test("two sizes of one whole micrometre are one: what lay in it is not taken and put back at once", () => {
    expect(exchange(pieces([0.051, 2]), pieces([0.0508, 3]))).toEqual({ taken: pieces([0.0508, 1]), returned: [] });
  });

  test("nominal pieces tell less than measured ones, and pieces that stay in tell nothing anew", () => {
    const stage = { ...gap, present: pieces([0.5, 2]) };
    const u = (shims: typeof drawer, measured: boolean) =>
      stackOutcome(stage, { shims }, () => measured).expandedUncertainty;
    expect(u(pieces([0.5, 2]), false)).toBe(0.011);
    expect(u(pieces([0.5, 2], [0.1, 2]), true)).toBeCloseTo(Math.hypot(0.011, 0.004 * Math.SQRT2), 12);
    expect(u(pieces([0.5, 2], [0.1, 2]), false)).toBeCloseTo(Math.hypot(0.011, 0.01 * Math.SQRT2), 12);
  });
});
