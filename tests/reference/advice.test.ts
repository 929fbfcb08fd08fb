import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { refusalOf, run } from "./run";

const mesh = {
  quantity: "backlash",
  readings: [0.2, 0.22, 0.25, 0.23].map((value, i) => ({ gearAngleDeg: i * 90, value })),
  limits: { lo: 0.05, hi: 0.15 },
  expandedUncertainty: 0.01,
  sensitivity: 0.7279405,
};

describe("worked examples of the advice", () => {
  test("slide: the band is centred", () => {
    const advice = run("advise", { ...mesh, adjuster: { type: "slide" } });
    expect(advice.move.amount).toBeCloseTo(-0.1717173, 7);
    expect(advice.move.direction).toBe("together");
    expect(advice.predicted.min).toBeCloseTo(0.075, 9);
    expect(advice.predicted.max).toBeCloseTo(0.125, 9);
    expect(advice.atAngleDeg).toBe(0);
  });
  test("eccentric of 2 mm at 35°", () => {
    const exact = 2 * Math.tan((20 * Math.PI) / 180);
    const advice = run("advise", {
      ...mesh,
      sensitivity: exact,
      adjuster: { type: "eccentric", throwMm: 2, angleDeg: 35 },
    });
    expect(advice.move.amount).toBeCloseTo(7.8367954, 6);
  });
  test("screw of lead 0.7", () => {
    const advice = run("advise", { ...mesh, adjuster: { type: "screw", leadMm: 0.7 } });
    expect(advice.move.amount).toBeCloseTo(-0.2453105, 6);
  });
  test("chain sag goes as the root of the slack: 20 to 10 is 0.8152 mm, not the tangent's 1.087", () => {
    const advice = run("advise", {
      quantity: "sag",
      readings: [{ value: 20 }],
      limits: { lo: 8, hi: 12 },
      expandedUncertainty: 0.5,
      sensitivity: -9.2,
      adjuster: { type: "slide" },
    });
    expect(advice.move).toMatchObject({ direction: "apart" });
    expect(advice.move.amount).toBeCloseTo(0.8152, 4);
    expect(advice.expectedUncertainty).toBeCloseTo(2.06, 2);
  });
  test("a one-way screw is cut where going too tight becomes likely", () => {
    const advice = run("advise", {
      ...mesh,
      readings: [{ value: 0.3 }, { value: 0.38 }],
      sensitivity: 0.728,
      adjuster: { type: "screw", leadMm: 0.7, angleDeg: 180, oneWay: true },
    });
    expect(advice.move.amount).toBeCloseTo(0.3876, 4);
    expect(advice.predicted.min).toBeCloseTo(0.1025, 4);
    expect(advice.predicted.max).toBeCloseTo(0.1825, 4);
    expect(advice.steps).toHaveLength(3);
  });
});

describe("schools, reach and what no setting can hold", () => {
  test("tight-spot school sets the least reading two uncertainties inside", () => {
    const advice = run("advise", { ...mesh, school: "tight-spot", adjuster: { type: "slide" } });
    expect(advice.predicted.min).toBeCloseTo(0.07, 9);
  });
  test("a spread wider than the band keeps the tight side inside and says it is provisional", () => {
    const advice = run("advise", {
      ...mesh,
      readings: [{ value: 0.02 }, { value: 0.2 }],
      adjuster: { type: "slide" },
    });
    expect(advice.feasible).toBe(false);
    expect(advice.predicted.min).toBeCloseTo(0.06, 9);
    expect(advice.reasons.map((r: { code: string }) => r.code)).toEqual(["provisional"]);
  });
  test("what cannot be reached goes as far as it can", () => {
    const advice = run("advise", { ...mesh, adjuster: { type: "slide", travel: { min: -0.05, max: 1 } } });
    expect(advice).toMatchObject({ feasible: false, move: { amount: -0.05 } });
    expect(advice.reasons.map((r: { code: string }) => r.code)).toEqual(["provisional"]);
  });
  test("going back with a one-way screw: slacken further, draw back by hand, push up", () => {
    const advice = run("advise", {
      ...mesh,
      readings: [{ value: 0.01 }, { value: 0.05 }],
      adjuster: { type: "screw", leadMm: 0.7, angleDeg: 180, oneWay: true },
    });
    const amounts = advice.steps.map((s: { amount: number }) => s.amount);
    expect(advice.move.amount).toBeLessThan(0);
    expect(amounts).toHaveLength(3);
    expect(amounts[1]).toBe(0);
    expect(amounts[2]).toBeCloseTo(0.25, 12);
    expect(amounts.reduce((a: number, b: number) => a + b)).toBeCloseTo(advice.move.amount, 12);
    expect(advice.reasons.map((r: { code: string }) => r.code)).toContain("draw-back-by-hand");
  });
  test("everything conforming asks for no move", () => {
    const advice = run("advise", { ...mesh, readings: [{ value: 0.1 }], adjuster: { type: "slide" } });
    expect(advice).toMatchObject({ verdict: "conforms", move: null, steps: [], reasons: [] });
  });
});

test("whatever the adjuster, its amount gives the change of centre distance it states", () => {
  const laws: [Record<string, unknown>, (x: number) => number][] = [
    [{ type: "slide", angleDeg: 30 }, (x) => x * Math.cos(Math.PI / 6)],
    [{ type: "screw", leadMm: 0.8, angleDeg: 180 }, (x) => -0.8 * x],
    [{ type: "pivot", armMm: 62, angleDeg: 80, leverMm: 90 }, (x) => (x / 90) * 62 * Math.sin((80 * Math.PI) / 180)],
    [
      { type: "eccentric", throwMm: 3, angleDeg: 70 },
      (x) => 3 * (Math.cos(((70 + x) * Math.PI) / 180) - Math.cos((70 * Math.PI) / 180)),
    ],
    [{ type: "shims", perMm: 0.94 }, (x) => 0.94 * x],
  ];
  fc.assert(
    fc.property(fc.nat(4), fc.double({ min: 0.2, max: 0.9, noNaN: true }), (which, value) => {
      const [adjuster, law] = laws[which] as (typeof laws)[number];
      const advice = run("advise", { ...mesh, readings: [{ value }], adjuster });
      expect(law(advice.move.amount)).toBeCloseTo(advice.move.centreDistanceChangeMm, 9);
      expect(advice.predicted.min).toBeCloseTo(0.1, 9);
    }),
    { seed: 7, numRuns: 100 },
  );
});

describe("response", () => {
  const prior = { perUnit: 0.7, sd: 0.2 };
  // Conjugate normal regression through the origin, evaluated independently to the digits shown.
  test("one move and three", () => {
    const one = run("response", { prior, moves: [{ amount: 0.5, change: 0.3 }], readingSd: 0.01 });
    expect(one.perUnit).toBeCloseTo(0.60196078, 8);
    expect(one.sd).toBeCloseTo(0.0280056, 7);
    const moves = [
      { amount: 0.5, change: 0.3 },
      { amount: 0.25, change: 0.16 },
      { amount: -0.5, change: -0.33 },
    ];
    const three = run("response", { prior, moves, readingSd: 0.01 });
    expect(three.perUnit).toBeCloseTo(0.63171806, 8);
    expect(three.sd).toBeCloseTo(0.01877293, 8);
  });
});

describe("verdict (ISO 14253-1 guard bands)", () => {
  test.each([
    [0.1, 0.01, "conforms", 0.05],
    [0.055, 0.01, "undecided", 0.005],
    [0.045, 0.01, "undecided", -0.005],
    [0.03, 0.01, "does-not-conform", -0.02],
    [0.1, 0.06, "undecided", 0.05],
    [0.05, 0, "conforms", 0],
  ])("%d ± %d", (valueMm, expandedUncertainty, verdict, margin) => {
    const judged = run("verdict", { valueMm, limits: { lo: 0.05, hi: 0.15 }, expandedUncertainty });
    expect(judged.verdict).toBe(verdict);
    expect(judged.marginToNearest).toBeCloseTo(margin, 12);
  });
});

describe("fasten-order", () => {
  // Cross and star patterns of flange practice.
  test.each([
    [4, "1-3-2-4"],
    [5, "1-3-5-2-4"],
    [6, "1-4-2-5-3-6"],
    [7, "1-4-7-3-6-2-5"],
    [8, "1-5-3-7-2-6-4-8"],
    [12, "1-7-4-10-2-8-5-11-3-9-6-12"],
  ])("%d bolts", (bolts, order) => {
    expect(run("fasten-order", { bolts }).order.join("-")).toBe(order);
  });
  test("followers lie at least a quarter of the circle apart, for every count", () => {
    for (let n = 3; n <= 60; n++) {
      const order: number[] = run("fasten-order", { bolts: n }).order;
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i + 1));
      const apart = order.slice(1).map((bolt, i) => {
        const d = Math.abs(bolt - (order[i] ?? 0));
        return Math.min(d, n - d);
      });
      if (n !== 6) expect(Math.min(...apart)).toBeGreaterThanOrEqual(Math.floor(n / 4) + (n % 2));
    }
  });
  test("points on a rectangle cross, and the last pass has the full torque", () => {
    const points = [
      { x: 0, y: 0 },
      { x: 60, y: 0 },
      { x: 60, y: 40 },
      { x: 0, y: 40 },
    ];
    const { order, passes } = run("fasten-order", { points, torqueNm: 9 });
    expect(order.slice(0, 2)).toEqual([1, 3]);
    expect(passes.map((p: { torqueNm: number }) => p.torqueNm)).toEqual([3, 6, 9]);
  });
});

test.each([
  ["advise", { ...mesh, adjuster: { type: "slide" }, limits: { lo: 0.2, hi: 0.1 } }, "window-upside-down limits.lo"],
  ["advise", { ...mesh, adjuster: { type: "slide", angleDeg: 90 } }, "cannot-move-the-centres adjuster.angleDeg"],
  ["advise", { ...mesh, adjuster: { type: "wedge" } }, "not-listed adjuster.type"],
  ["advise", { ...mesh, adjuster: { type: "slide" }, sensitivity: 0 }, "is-zero sensitivity"],
  ["advise", { ...mesh, adjuster: { type: "slide" }, readings: [] }, "too-few readings"],
  ["verdict", { limits: { lo: 0 }, expandedUncertainty: 0 }, "one-of-missing valueMm"],
  ["verdict", { value: 1, limits: {}, expandedUncertainty: 0 }, "one-of-missing limits.lo"],
  ["fasten-order", { bolts: 4, points: [{ x: 0, y: 0 }] }, "one-of-doubled bolts"],
])("%s refuses by name", (tool, input, refusal) => {
  expect(refusalOf(tool, input)).toBe(refusal);
});
