import { describe, expect, test } from "vitest";
import { callTool, tools } from "../../calc";
import { pairFit } from "../../core/limits";
import { seededRandom } from "../../core/practice";
import { mustHold } from "../../core/quantity";
import { fewerSpacers, type ShaftQuestion, shaftStack, shaftWithMade } from "../../core/stacks";

/** Handbook, "Shims, spacers": the shaft of 20 with bearing 4, gear 6 (plane 3 at 9.5), bush 5; float 0.1 to 0.4. */
const handbook: ShaftQuestion = {
  lengthMm: 20,
  items: [
    { id: "bearing", widthMm: 4, planeMm: 0, toleranceMm: 0.1 },
    { id: "gear", widthMm: 6, planeMm: 3, planeAtMm: 9.5, toleranceMm: 0.1 },
    { id: "bush", widthMm: 5, planeMm: 0, toleranceMm: 0.1 },
  ],
  spacers: [
    { widthMm: 0.5, count: 4 },
    { widthMm: 0.2, count: 3 },
    { widthMm: 1, count: 3 },
  ],
  endFloat: { loMm: 0.1, hiMm: 0.4 },
};

describe("a spacer made for the shaft", () => {
  test("before the handbook's gear it is 2.5 wide, and the drawer does the rest as it did", () => {
    const made = mustHold(shaftWithMade(handbook, 1));
    expect(made?.made).toEqual({ after: "bearing", widthMm: 2.5 });
    expect(made?.planes).toEqual([{ id: "gear", atMm: 9.5, errorMm: 0 }]);
    // 20 − 4 − 2.5 − 6 − 5 = 2.5, filled up to the middle of the window as near as the drawer can: 2.2 leaves 0.3.
    expect(made?.endFloatMm).toBeCloseTo(0.3, 9);
    expect(made?.feasible).toBe(true);
  });

  test("behind the last plane it leaves the middle of the window of the float, whatever the drawer holds", () => {
    for (const gap of [2, 3]) {
      const made = mustHold(shaftWithMade(handbook, gap));
      expect(made?.endFloatMm).toBeCloseTo(0.25, 9);
      expect(made?.made.widthMm).toBeCloseTo(2.25, 9);
    }
  });

  test("where less than half a millimetre is left there is nothing to make", () =>
    expect(mustHold(shaftWithMade({ ...handbook, lengthMm: 17.9 }, 3))).toBeNull());

  test("everything adds up to the length, in every gap of shafts made up at random", () => {
    const random = seededRandom(3);
    for (let round = 0; round < 40; round++) {
      const items = Array.from({ length: 4 }, (_, i) => ({
        id: `p${i}`,
        widthMm: Math.round(3000 + random() * 9000) / 1000,
        planeMm: 1,
        toleranceMm: 0.2,
        ...(i === 1 || i === 3 ? { planeAtMm: Math.round(12000 + i * 13000 + random() * 4000) / 1000 } : {}),
      }));
      const question = { ...handbook, items, lengthMm: 80 };
      for (let gap = 0; gap <= items.length; gap++) {
        const made = mustHold(shaftWithMade(question, gap, "fewest"));
        if (!made) continue;
        const laid = made.gaps.reduce((sum, { totalMm }) => sum + totalMm, 0) + made.made.widthMm;
        const widths = items.reduce((sum, { widthMm }) => sum + widthMm, 0);
        expect(laid + widths + made.endFloatMm).toBeCloseTo(80, 6);
        // Where its planes stand, summed up piece by piece from the left.
        let at = 0;
        for (const [i, item] of items.entries()) {
          const after = i === 0 ? "left-face" : `p${i - 1}`;
          at += (made.gaps[i]?.totalMm ?? 0) + (made.made.after === after ? made.made.widthMm : 0);
          const plane = made.planes.find(({ id }) => id === item.id);
          if (plane) expect(plane.atMm).toBeCloseTo(at + 1, 6);
          at += item.widthMm;
        }
      }
    }
  });
});

test("with fewest pieces nothing else that goes together takes fewer: every way of the handbook's drawer", () => {
  const fewest = mustHold(shaftStack(handbook, "fewest"));
  const pieces = fewest.gaps.flatMap(({ spacers }) => spacers).reduce((sum, { count }) => sum + count, 0);
  let least = Number.POSITIVE_INFINITY;
  const ways: [number, number][] = [];
  for (let a = 0; a <= 4; a++)
    for (let b = 0; b <= 3; b++)
      for (let c = 0; c <= 3; c++) ways.push([a * 500 + b * 200 + c * 1000, a * 10000 + b * 100 + c]);
  for (const [before, i] of ways)
    for (const [behind, j] of ways) {
      const counts = [
        Math.floor(i / 10000) + Math.floor(j / 10000),
        (Math.floor(i / 100) % 100) + (Math.floor(j / 100) % 100),
        (i % 100) + (j % 100),
      ];
      if ((counts[0] ?? 0) > 4 || (counts[1] ?? 0) > 3 || (counts[2] ?? 0) > 3) continue;
      const float = 5000 - before - behind;
      if (Math.abs(before - 2500) > 100 || float < 100 || float > 400) continue;
      least = Math.min(
        least,
        counts.reduce((x, y) => x + y, 0),
      );
    }
  expect(fewest.feasible).toBe(true);
  expect(pieces).toBe(least);
});

test("a drawer thinned keeps every size while it can, and says that it was", () => {
  const drawer = Array.from({ length: 8 }, (_, i) => ({ widthMm: 0.1 + i * 0.1, count: 9 }));
  const { spacers, thinned } = fewerSpacers(drawer, 50, 5000);
  expect(thinned).toBe(true);
  expect(spacers).toHaveLength(8);
  expect(spacers.reduce((ways, { count }) => ways * (count + 1), 1)).toBeLessThanOrEqual(5000);
  expect(fewerSpacers(drawer.slice(0, 2), 50, 5000)).toMatchObject({ thinned: false });
});

/** ISO 286-2, about 20 mm: H7 0 … +21, g6 −20 … −7, p6 +22 … +35 µm. */
test.each([
  [20.05, "loose"],
  [20.03, "slides"],
  [20, "slides"],
  [19.98, "light-press"],
  [19.965, "light-press"],
  [19.96, "too-far"],
])("a hole of %d on a shaft of 20: %s", (holeMm, says) =>
  expect(pairFit({ holeMm, shaftMm: 20 }, 0.001)).toMatchObject({
    says,
    slidesMm: [0, expect.closeTo(0.041, 9)],
    lightPressMm: expect.closeTo(0.035, 9),
  }),
);

test("the tool makes the handbook's spacer, and judges every window by the widths before it", () => {
  const tool = tools.find(({ name }) => name === "shaft-stack");
  if (!tool) throw new Error("no such tool");
  const items = handbook.items.map((item) => ({ ...item, expandedUncertaintyMm: 0.03 }));
  const judged = callTool(tool, { ...handbook, items, lengthUncertaintyMm: 0.03, makeAfter: "bearing" });
  expect(judged).toMatchObject({
    ok: true,
    result: {
      makeMm: 2.5,
      planes: [{ id: "gear", verdict: "conforms", expandedUncertaintyMm: expect.closeTo(Math.hypot(0.03, 0.015), 9) }],
      // Four widths of 0.03 in quadrature; 0.3 lies nearer than that to neither end.
      endFloat: { verdict: "conforms", expandedUncertaintyMm: expect.closeTo(0.06, 9) },
    },
  });
  expect(callTool(tool, { ...handbook, makeAfter: "lid" })).toMatchObject({
    ok: false,
    refused: { error: { path: ["makeAfter"] } },
  });
});
