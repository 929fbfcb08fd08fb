import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { spurPair, thermalMesh, warmMesh } from "~/core/gears";
import { mustHold } from "~/core/quantity";
import { refusalOf, run } from "./run";

describe("fit (ISO 286-2)", () => {
  // Limits of fits as tabulated in ISO 286-2 and engineers' handbooks.
  test.each([
    ["H7", "h6", 20, 0, 0.034, "clearance"],
    ["H7", "g6", 8, 0.005, 0.029, "clearance"],
    ["H7", "k6", 25, -0.015, 0.019, "transition"],
    ["H7", "p6", 50, -0.042, -0.001, "interference"],
    ["N7", "h6", 10, -0.019, 0.005, "transition"],
    ["H8", "f7", 30, 0.02, 0.074, "clearance"],
    ["H11", "h11", 400, 0, 0.72, "clearance"],
    ["D10", "h9", 3, 0.02, 0.085, "clearance"],
  ])("%s/%s %d", (holeClass, shaftClass, nominalMm, min, max, kind) => {
    const fit = run("fit", { holeClass, shaftClass, nominalMm });
    expect(fit.kind).toBe(kind);
    expect(fit.clearanceMm[0]).toBeCloseTo(min, 9);
    expect(fit.clearanceMm[1]).toBeCloseTo(max, 9);
  });

  // Upper deviations of K7 and N7 over the thirteen steps, as printed.
  test.each([
    ["K7", [0, 3, 5, 6, 6, 7, 9, 10, 12, 13, 16, 17, 18]],
    ["N7", [-4, -4, -4, -5, -7, -8, -9, -10, -12, -14, -14, -16, -17]],
  ])("upper deviation of %s in every step of diameter", (holeClass, micrometres) => {
    const steps = [3, 6, 10, 18, 30, 50, 80, 120, 180, 250, 315, 400, 500];
    const upper = steps.map((nominalMm) => {
      const { holeMm } = run("fit", { holeClass, shaftMm: [1, 2], nominalMm });
      return Math.round((holeMm[1] - nominalMm) * 1000);
    });
    expect(upper).toEqual(micrometres);
  });

  test("a step ends with its upper size, and JS lies half to each side", () => {
    expect(run("fit", { holeClass: "H7", shaftMm: [10, 10], nominalMm: 10 }).holeMm[1]).toBeCloseTo(10.015, 9);
    expect(run("fit", { holeClass: "H7", shaftMm: [10, 10], nominalMm: 10.001 }).holeMm[1]).toBeCloseTo(10.019, 9);
    expect(run("fit", { holeClass: "JS7", shaftMm: [10, 10], nominalMm: 10 }).holeMm).toEqual([9.9925, 10.0075]);
  });

  test("measured windows need no nominal; a class does", () => {
    expect(run("fit", { holeMm: [10, 10.02], shaftMm: [9.98, 10.01] })).toMatchObject({ kind: "transition" });
    expect(refusalOf("fit", { holeClass: "H7", shaftMm: [9, 10] })).toBe("missing nominalMm");
    expect(refusalOf("fit", { holeClass: "H7", holeMm: [1, 2], shaftMm: [9, 10] })).toBe("one-of-doubled holeMm");
    expect(refusalOf("fit", { holeMm: [1, 2] })).toBe("one-of-missing shaftMm");
    expect(refusalOf("fit", { holeMm: [2, 1], shaftMm: [1, 2] })).toBe("window-upside-down holeMm.0");
    expect(refusalOf("fit", { holeClass: "H7", shaftClass: "h6", nominalMm: 501 })).toBe("too-large nominalMm");
    expect(refusalOf("fit", { holeClass: "X7", shaftClass: "h6", nominalMm: 5 })).toBe("not-listed holeClass");
  });
});

describe("thermal-mesh", () => {
  const pair = {
    teeth: [20, 40],
    moduleMm: 1,
    centreDistanceMm: 30.1,
    housingPerK: 23e-6,
    gearPerK: [80e-6, 80e-6],
    fromC: 20,
  };
  // Linear rule of the expansions, evaluated independently: aluminium housing, acetal-like gears, 20 → 60 °C.
  test("plastic gears in aluminium close by 0.0514 mm over 40 K", () => {
    const warm = run("thermal-mesh", { ...pair, toC: 60 });
    expect(warm.centreDistanceChangeMm).toBeCloseTo(0.027692, 6);
    expect(warm.backlashChangeMm).toBeCloseTo(-0.0513632, 7);
    expect(warm.backlashMm).toBeCloseTo(0.0225818, 7);
  });
  test("the same by three temperatures, and no change without a change of temperature", () => {
    expect(run("thermal-mesh", { ...pair, housingToC: 60, gearToC: [60, 60] })).toEqual(
      run("thermal-mesh", { ...pair, toC: 60 }),
    );
    expect(run("thermal-mesh", { ...pair, toC: 20 }).backlashChangeMm).toBeCloseTo(0, 12);
  });
  test("inside a ring a growing housing closes the mesh, a growing ring opens it", () => {
    const ring = { ...pair, internal: true, teeth: [20, 60], moduleMm: 0.5, centreDistanceMm: 9.95 };
    expect(run("thermal-mesh", { ...ring, gearPerK: [0, 0], toC: 60 }).backlashChangeMm).toBeLessThan(0);
    expect(
      run("thermal-mesh", { ...ring, housingPerK: 0, gearPerK: [0, 80e-6], toC: 60 }).backlashChangeMm,
    ).toBeGreaterThan(0);
  });
  test("one temperature or three", () => {
    expect(refusalOf("thermal-mesh", pair)).toBe("one-of-missing toC");
    expect(refusalOf("thermal-mesh", { ...pair, toC: 1, housingToC: 1 })).toBe("one-of-doubled toC");
    expect(refusalOf("thermal-mesh", { ...pair, housingToC: 1 })).toBe("missing gearToC");
  });
});

describe("trend (Theil–Sen)", () => {
  // The worked example of Sen (1968): t 1 2 3 4 10 12 18, y 9 15 19 20 45 55 78; the slope is 4 (from memory).
  const sen = [
    [1, 9],
    [2, 15],
    [3, 19],
    [4, 20],
    [10, 45],
    [12, 55],
    [18, 78],
  ].map(([t, y]) => ({ t, y }));
  test("the published example", () => {
    const trend = run("trend", { points: sen });
    expect(trend.slope).toBeCloseTo(4, 1);
    // 21 pairs, √Var 6.66: the fourth from either end.
    const slopes = sen.flatMap((a, i) =>
      sen.slice(i + 1).map((b) => ((b.y ?? 0) - (a.y ?? 0)) / ((b.t ?? 1) - (a.t ?? 0))),
    );
    slopes.sort((a, b) => a - b);
    expect(trend.slopeInterval).toEqual([slopes[3], slopes[17]]);
    expect(trend.crossing).toBeUndefined();
  });
  test("an exact line has no width and crosses where it must, ahead only", () => {
    const points = [0, 1, 2, 5].map((t) => ({ t, y: 0.1 + 0.02 * t }));
    const up = run("trend", { points, limit: 0.3 });
    expect(up.slopeInterval[1] - up.slopeInterval[0]).toBeCloseTo(0, 12);
    expect(up.level).toBeCloseTo(0.2, 12);
    expect(up.crossing.t).toBeCloseTo(10, 9);
    expect(run("trend", { points, limit: 0.05 }).crossing).toBeNull();
  });
  test("one wild reading does not turn it; a reset starts anew at its own time", () => {
    const line = Array.from({ length: 12 }, (_, t) => ({ t, y: 1 + 0.5 * t }));
    const wild = line.map((point) => (point.t === 11 ? { ...point, y: 40 } : point));
    expect(run("trend", { points: wild }).slope).toBeCloseTo(0.5, 9);
    const reset = line.map((point) => (point.t >= 6 ? { ...point, y: point.y - 3 } : point));
    const trend = run("trend", { points: reset, resets: [6], limit: 8 });
    expect(trend.slope).toBeCloseTo(0.5, 9);
    expect(trend.level).toBeCloseTo(3.5, 9);
    expect(trend.crossing.t).toBeCloseTo(20, 9);
  });
  test("scale and shift of time and reading change it as they must; order does not matter", () => {
    const value = fc.double({ min: -5, max: 5, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(value, { minLength: 4, maxLength: 14 }),
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        (ys, scale) => {
          const points = ys.map((y, t) => ({ t, y }));
          const base = run("trend", { points });
          const scaled = run("trend", {
            points: points.map(({ t, y }) => ({ t: 10 + 2 * t, y: 3 + scale * y })).reverse(),
          });
          expect(scaled.slope).toBeCloseTo((base.slope * scale) / 2, 9);
          expect(scaled.level).toBeCloseTo(3 + scale * base.level, 8);
          expect(base.slopeInterval[0]).toBeLessThanOrEqual(base.slope + 1e-12);
          expect(base.slopeInterval[1]).toBeGreaterThanOrEqual(base.slope - 1e-12);
        },
      ),
      { seed: 1968, numRuns: 150 },
    );
  });
  test("the limit may never be reached: no latest", () => {
    const points = [0, 1, 2, 3, 4, 5].map((t) => ({ t, y: [0.1, 0.16, 0.09, 0.17, 0.12, 0.15][t] ?? 0 }));
    const trend = run("trend", { points, limit: 0.3 });
    if (trend.crossing) expect(trend.crossing.latest).toBeNull();
    expect(trend.slopeInterval[0]).toBeLessThan(0);
  });
  test("two points, and points all at one time, are refused", () => {
    expect(refusalOf("trend", { points: sen.slice(0, 2) })).toBe("too-few points");
    expect(refusalOf("trend", { points: [1, 2, 3].map((y) => ({ t: 1, y })) })).toBe("no-two-times points");
  });
});

describe("warm-up", () => {
  const curve = (minutes: number) => 60 - 40 * Math.exp(-minutes / 15);
  const points = (times: readonly number[]) => times.map((minutes) => ({ minutes, tempC: curve(minutes) }));
  // 60 − 40·e^(−t/15) passes 55 at 15·ln 8 = 31.191623 minutes.
  test("an exact curve is found again, wherever its time axis begins", () => {
    const warm = run("warm-up", { points: points([0, 5, 10, 20, 30]), limitC: 55 });
    expect(warm.finalC).toBeCloseTo(60, 5);
    expect(warm.timeConstantMinutes).toBeCloseTo(15, 5);
    expect(warm.passesLimitAtMinutes).toBeCloseTo(31.191623, 5);
    const shifted = points([0, 5, 10, 20, 30]).map((point) => ({ ...point, minutes: point.minutes + 480 }));
    expect(run("warm-up", { points: shifted, limitC: 55 }).passesLimitAtMinutes).toBeCloseTo(511.191623, 5);
  });
  test("a limit that is never reached, or was passed at the start, has no time", () => {
    expect(run("warm-up", { points: points([0, 5, 10, 20]), limitC: 61 }).passesLimitAtMinutes).toBeUndefined();
    expect(run("warm-up", { points: points([0, 5, 10, 20]), limitC: 15 }).passesLimitAtMinutes).toBeUndefined();
  });
  test("readings to half a degree still tell it within a few per cent", () => {
    const rounded = points([0, 4, 8, 12, 16, 20, 25, 30, 40]).map((p) => ({
      ...p,
      tempC: Math.round(p.tempC * 2) / 2,
    }));
    const warm = run("warm-up", { points: rounded });
    expect(Math.abs(warm.finalC - 60)).toBeLessThan(1);
    expect(Math.abs(warm.timeConstantMinutes - 15)).toBeLessThan(1);
  });
  test("three points are refused", () => {
    expect(refusalOf("warm-up", { points: points([0, 5, 10]) })).toBe("too-few points");
  });
});

describe("warm mesh", () => {
  const still = { perK: 0, byK: 0, moisture: 0 };
  const pair = spurPair([20, 40], 1, 30);

  test("PA 66 grown by 0.5 % with water, module 1, 20 : 40: −2·tan 20°·30·0.005 = −0.109 mm of backlash (handbook of limits)", () => {
    const wet = { ...still, moisture: 0.005 };
    const warm = mustHold(warmMesh(pair, still, [wet, wet]));
    expect(warm.backlashChangeMm).toBeCloseTo(-0.109, 3);
    expect(warm.centreDistanceChangeMm).toBe(0);
  });

  test("what heat does is what the thermal mesh says; each member’s part adds up to the whole", () => {
    const [housing, driver, driven] = [
      { perK: 23e-6, byK: 25, moisture: 0 },
      { perK: 11.5e-6, byK: 35, moisture: 0 },
      { perK: 110e-6, byK: 40, moisture: 0 },
    ];
    const warm = mustHold(warmMesh(pair, housing, [driver, driven]));
    const heat = mustHold(thermalMesh(pair, 23e-6, [11.5e-6, 110e-6], 25, [35, 40]));
    expect(warm.backlashChangeMm).toBeCloseTo(heat.backlashChangeMm, 12);
    expect(warm.shares[0] + warm.shares[1] + warm.shares[2]).toBeCloseTo(warm.backlashChangeMm, 12);
    expect(warm.shares[0]).toBeGreaterThan(0);
    expect(warm.shares[2]).toBeLessThan(warm.shares[1]);
  });
});
