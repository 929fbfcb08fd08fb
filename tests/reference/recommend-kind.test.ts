import { describe, expect, test } from "vitest";
import { limitsInWork } from "~/core/limits";
import { recommendKind, recommendSide, spanOf } from "~/core/stages";
import { chain, everyKind, toothedBelt, vBelt } from "../elements";

const ofKind = (kind: string) => {
  const found = everyKind.find((element) => element.kind === kind);
  if (!found) throw new Error(kind);
  return found;
};

describe("recommended limits against the rules worked by hand", () => {
  test("worm 0.04 to 0.06·m_x with runout, bevel 0.03 to 0.05·m and 0.05 at least (common practice)", () => {
    expect(recommendKind(ofKind("worm"), {})).toMatchObject({ lo: 0.12, hi: 0.23 });
    expect(recommendKind(ofKind("bevel"), {})).toMatchObject({ lo: 0.09, hi: 0.18 });
  });

  test("toothed belt: half to all of F_u = 2000·M/d; 14.6 N·m at 24 teeth of 8 mm pull 477.8 N", () => {
    expect(recommendKind(toothedBelt, { torqueNm: 14.6 })).toMatchObject({ lo: 239, hi: 478 });
    expect(recommendKind(toothedBelt, {})).toBeNull();
  });

  test("V-belt: T₀ = 500·(2.5/K_θ − 1)·P/(z·v) + m·v² for each belt", () => {
    // Wrap 180° − 2·asin((190 − 95)/(2·398)) = 166.29°, K_θ between 0.93 at 150° and 1 at 180°: 0.968.
    const wrap = 180 - (2 * Math.asin(95 / 796) * 180) / Math.PI;
    const k = 0.93 + (0.07 * (wrap - 150)) / 30;
    const expected = (500 * (2.5 / k - 1) * 4) / (3 * 7.2) + 0.19 * 7.2 ** 2;
    const found = recommendKind(vBelt, { powerKw: 4, speedMPerS: 7.2 });
    expect(found?.lo).toBeCloseTo(expected, -1);
    expect(Math.abs((found?.lo ?? 0) - expected)).toBeLessThanOrEqual(0.5);
    expect(Math.abs((found?.hi ?? 0) - 1.5 * expected)).toBeLessThanOrEqual(0.5);
  });

  test("chain: sag 2 to 4 % of the span, half of it where it climbs; wear 3 % or 200/z2 (Machinery's Handbook)", () => {
    const span = spanOf(chain) ?? 0;
    const level = recommendKind(chain, {});
    expect(Math.abs((level?.lo ?? 0) - 0.02 * span)).toBeLessThanOrEqual(0.25);
    expect(Math.abs((level?.hi ?? 0) - 0.04 * span)).toBeLessThanOrEqual(0.25);
    const climbing = recommendKind({ ...chain, inclinationDeg: 50 }, {});
    expect(Math.abs((climbing?.hi ?? 0) - 0.02 * span)).toBeLessThanOrEqual(0.25);
    expect(recommendKind({ ...chain, inclinationDeg: -80 }, {})).toMatchObject({ lo: 0, hi: 3 });
    expect(recommendSide({ ...chain, teeth: [19, 100] }, "elongation", {})).toMatchObject({ hi: 2 });
  });

  test("end float by its bearing; a gap that runs has no rule of its own", () => {
    const float = ofKind("gap");
    expect(recommendKind(float, { bearing: "ball" })).toMatchObject({ lo: 0.1, hi: 0.3 });
    expect(recommendKind(float, { bearing: "taper" })).toMatchObject({ lo: 0.02, hi: 0.08 });
    expect(recommendKind(float, { bearing: "bush" })).toMatchObject({ lo: 0.05, hi: 0.15 });
    expect(recommendKind({ kind: "gap", what: "running-clearance", places: 1, diameterMm: 50 }, {})).toBeNull();
  });

  test("alignment: a quarter of a degree for toothed belts, half for V-belts, 0.2 % of the centres for chains", () => {
    expect(recommendSide(toothedBelt, "angle", {})).toMatchObject({ hi: 0.25 });
    expect(recommendSide(vBelt, "angle", {})).toMatchObject({ hi: 0.5 });
    // 302.6 mm·tan 0.25° = 1.32; 398·tan 0.5° = 3.47; 447·0.002 = 0.89.
    expect(recommendSide(toothedBelt, "offset", {})?.hi).toBeCloseTo(1.3, 6);
    expect(recommendSide(vBelt, "offset", {})?.hi).toBeCloseTo(3.5, 6);
    expect(recommendSide(chain, "offset", {})?.hi).toBeCloseTo(0.9, 6);
  });
});

describe("limits in the unit in which somebody gave them", () => {
  const given = { held: null, lo: 50, aim: 55, hi: 60 };
  test("a span frequency becomes a tension, T = 4·m·L²·f²", () => {
    const metres = (spanOf(toothedBelt) ?? 0) / 1000;
    const tension = (hz: number) => 4 * 0.15 * metres ** 2 * hz ** 2;
    const work = limitsInWork(toothedBelt, { ...given, quantity: "span-frequency" });
    expect([work.lo, work.aim, work.hi]).toEqual([50, 55, 60].map((hz) => expect.closeTo(tension(hz), 6)));
  });
  test("a deflection by a force changes ends: what gives less is tighter", () => {
    const work = limitsInWork(toothedBelt, { quantity: "span-deflection", held: 10, lo: 3, aim: 4, hi: 6 });
    expect(work.lo).toBeLessThan(work.aim ?? 0);
    expect(work.aim ?? 0).toBeLessThan(work.hi);
    // 10 N in the middle of the span, 3 mm in: F·L/(4·y).
    expect(work.hi).toBeCloseTo((10 * (spanOf(toothedBelt) ?? 0)) / 12, 0);
  });
  test("an angle of the wheel becomes backlash at its pitch circle; per cent of elongation stay per cent", () => {
    const work = limitsInWork(ofKind("worm"), { quantity: "angular-backlash", held: null, lo: 10, aim: null, hi: 20 });
    // Wheel of 30 teeth, module 3: 45 mm; 10 arc minutes are 0.1309 mm.
    expect(work).toEqual({ lo: expect.closeTo(0.1309, 4), aim: null, hi: expect.closeTo(0.2618, 4) });
    const steep = { ...chain, inclinationDeg: 90 };
    expect(limitsInWork(steep, { quantity: "elongation", held: null, lo: 0, aim: null, hi: 2 }).hi).toBe(2);
  });
});
