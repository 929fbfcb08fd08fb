import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { refusalOf, run } from "./run";

/*
 * Couplings (README of core/couplings). Check values: handbook of axes, frames and couplings. Second way: a shaft is stood off and askew in space
 * and its rim and face are felt with a dial on a bar that sags, point by point.
 */

const dial = (topMm: number, rightMm: number, bottomMm: number, leftMm: number, sagMm = 0) => ({
  topMm,
  rightMm,
  bottomMm,
  leftMm,
  sagMm,
});

describe("shaft-align", () => {
  const rimFace = {
    method: "rim-face",
    rim: dial(0, 0.11, 0.32, 0.21, -0.06),
    face: { ...dial(0, -0.05, -0.12, -0.07), diameterMm: 120 },
    feet: { frontMm: 180, rearMm: 460 },
    rpm: 1500,
  };

  test("rim and face of the handbook: −0.19 up, −0.05 right, 1.0 and 0.1667 mm/m; shims 0.01 and −0.27", () => {
    const found = run("shaft-align", rimFace);
    expect(found.vertical.offsetMm).toBeCloseTo(-0.19, 9);
    expect(found.horizontal.offsetMm).toBeCloseTo(-0.05, 9);
    expect(found.vertical.angleMmPerM).toBeCloseTo(1, 9);
    expect(found.horizontal.angleMmPerM).toBeCloseTo(0.166667, 6);
    expect(found.moves.front.shimMm).toBeCloseTo(0.01, 9);
    expect(found.moves.rear.shimMm).toBeCloseTo(-0.27, 9);
    expect(found.moves.front.sideMm).toBeCloseTo(0.02, 9);
    expect(found.moves.rear.sideMm).toBeCloseTo(-0.026667, 6);
    expect(found).toMatchObject({
      valid: true,
      verdict: "does-not-conform",
      limits: { offsetMm: 0.1, angleMmPerM: 0.8 },
    });
  });

  test("two rims of the handbook: 0.05 up, 0.02 right, 0.05 mm/m both", () => {
    const found = run("shaft-align", {
      method: "two-rim",
      rim: dial(0, -0.03, -0.1, -0.07),
      rim2: dial(0, 0.02, 0.06, 0.04, -0.02),
      planesApartMm: 200,
      limits: { offsetMm: 0.1, angleMmPerM: 1 },
    });
    expect([found.vertical.offsetMm, found.horizontal.offsetMm]).toEqual([
      expect.closeTo(0.05, 9),
      expect.closeTo(0.02, 9),
    ]);
    expect(found.vertical.angleMmPerM).toBeCloseTo(0.05, 9);
    expect(found.horizontal.angleMmPerM).toBeCloseTo(0.05, 9);
    expect(found.verdict).toBe("conforms");
  });

  /** What a dial shows round a rim whose axis stands off and askew: the movable point less where a true rim would be. */
  const felt = (off: { up: number; right: number }, sag: number) => {
    const at = (deg: number) => {
      const [up, right] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
      // A bar that hangs: nothing at the top, all of it at the bottom.
      return off.up * up + off.right * right - off.up + (sag * (1 - up)) / 2;
    };
    return dial(at(0), at(90), at(180), at(270), sag);
  };

  test("a shaft stood off and askew in space is told by both methods, and its feet brought back onto the axis", () => {
    const small = fc.double({ min: -0.4, max: 0.4, noNaN: true });
    fc.assert(
      fc.property(
        small,
        small,
        small,
        small,
        fc.double({ min: -0.2, max: 0, noNaN: true }),
        (up, right, tilt, yaw, sag) => {
          const [diameterMm, planesApartMm] = [130, 210];
          const slope = { up: tilt / 300, right: yaw / 300 };
          const rim = felt({ up, right }, sag);
          // Away from the coupling the axis rises: the hub's face leans back at the top, towards the dial that stands before it.
          const face = {
            ...felt({ up: (slope.up * diameterMm) / 2, right: (slope.right * diameterMm) / 2 }, 0),
            diameterMm,
          };
          // Where the second plane lies the fixed axis stands below the movable one by so much.
          const there = { up: up - slope.up * planesApartMm, right: right - slope.right * planesApartMm };
          const rim2 = felt({ up: -there.up, right: -there.right }, sag);
          const rest = { rim, feet: { frontMm: 150, rearMm: 420 }, limits: { offsetMm: 1, angleMmPerM: 9 } };
          for (const method of [
            { method: "rim-face", face },
            { method: "two-rim", rim2, planesApartMm },
          ]) {
            const found = run("shaft-align", { ...rest, ...method });
            expect(found.vertical.offsetMm).toBeCloseTo(up, 9);
            expect(found.horizontal.offsetMm).toBeCloseTo(right, 9);
            expect(found.vertical.angleMmPerM).toBeCloseTo(1000 * slope.up, 6);
            expect(found.horizontal.angleMmPerM).toBeCloseTo(1000 * slope.right, 6);
            for (const [foot, atMm] of [
              ["front", 150],
              ["rear", 420],
            ] as const)
              expect(up + slope.up * atMm + found.moves[foot].shimMm).toBeCloseTo(0, 9);
          }
        },
      ),
    );
  });

  test("readings that do not close say nothing and shim nothing; uncertainty guards the limit", () => {
    const loose = run("shaft-align", { ...rimFace, rim: dial(0, 0.14, 0.32, 0.21, -0.06) });
    expect(loose).toMatchObject({ valid: false, verdict: "undecided" });
    expect(loose.moves).toBeUndefined();
    expect(loose.closureMm[0]).toBeCloseTo(-0.03, 9);
    const near = { ...rimFace, rim: dial(0, 0, -0.16, -0.16), face: { ...dial(0, 0, 0, 0), diameterMm: 120 } };
    const limits = { offsetMm: 0.12, angleMmPerM: 5 };
    const judged = (expandedUncertaintyMm: number) =>
      run("shaft-align", { ...near, rpm: undefined, limits, expandedUncertaintyMm }).verdict;
    // √(0.08² + 0.08²) = 0.113137; U/√2 of 0.009 is 0.006364, of 0.01 is 0.007071.
    expect([judged(0), judged(0.009), judged(0.01)]).toEqual(["conforms", "conforms", "undecided"]);
  });

  test.each<[object, string]>([
    [{ ...rimFace, rpm: 6001 }, "rpm"],
    [{ ...rimFace, limits: { offsetMm: 1, angleMmPerM: 1 } }, "rpm"],
    [{ ...rimFace, rim2: dial(0, 0, 0, 0) }, "rim2"],
    [{ ...rimFace, face: undefined }, "face"],
    [{ ...rimFace, feet: { frontMm: 460, rearMm: 180 } }, "feet.frontMm"],
  ])("%#: refused at its key", (input, path) => expect(refusalOf("shaft-align", input).split(" ")[1]).toBe(path));
});

describe("coupling", () => {
  const keyed = { shaftMm: 19.98, boreMm: 20, hold: "key", key: { keyMm: 6, slotMm: 6.02 } };
  const clamped = { shaftMm: 14, boreMm: 14.01, hold: "clamp" };
  const growth = { lengthMm: [140, 90], perK: [11.5e-6, 23e-6], fromC: 18, toC: [63, 48], runGapMm: 1.5 };

  test("lengths 140 and 90 of the handbook grow 0.13455: the gap is left 1.63455 cold", () => {
    const found = run("coupling", { ends: [keyed, clamped], growth });
    expect(found.growthMm).toBeCloseTo(0.13455, 9);
    expect(found.gapMm).toBeCloseTo(1.63455, 9);
    expect(found.ends[0].clearanceMm).toBeCloseTo(0.02, 9);
    expect(found.ends[0].holdClearanceMm).toBeCloseTo(0.02, 9);
    expect(found.ends[1].holdClearanceMm).toBeUndefined();
    expect(found).toMatchObject({ faults: [], ok: true });
  });

  test("shares add up; what the shafts grow counts where no axial error is said", () => {
    const given = { ends: [keyed, clamped], growth, allow: { radialMm: 0.3, angularDeg: 1, axialMm: 0.5 } };
    const found = run("coupling", { ...given, errors: { radialMm: 0.15, angularDeg: 0.4 } });
    expect(found.shares).toEqual({ radial: 0.5, angular: 0.4, axial: expect.closeTo(0.2691, 9) });
    expect(found.faults).toEqual([{ code: "misaligned", by: expect.closeTo(0.1691, 9) }]);
    expect(run("coupling", { ...given, errors: { axialMm: 0.05 } }).shares).toEqual({ axial: 0.1 });
  });

  test("every fault is told, in order, with how much", () => {
    const flat = { shaftMm: 14.1, boreMm: 14, hold: "flat", flat: { shaftMm: 12, boreMm: 12.1 } };
    const found = run("coupling", {
      ends: [{ ...keyed, boreMm: 20.2, key: { keyMm: 6.01, slotMm: 6 } }, flat],
      growth: { ...growth, perK: [-11.5e-6, 0], runGapMm: 0 },
      errors: { radialMm: 0.3 },
      allow: { radialMm: 0.2 },
      torqueNm: 40,
      ratedNm: 60,
      serviceFactor: 2,
    });
    expect(found.faults).toEqual([
      { end: 0, code: "bore-too-wide", by: expect.closeTo(0.17, 9) },
      { end: 0, code: "key-too-tight", by: expect.closeTo(0.01, 9) },
      { end: 1, code: "bore-too-tight", by: expect.closeTo(0.1, 9) },
      { end: 1, code: "flat-too-wide", by: expect.closeTo(0.05, 9) },
      { code: "gap-closed", by: expect.closeTo(0.07245, 9) },
      { code: "misaligned", by: expect.closeTo(0.5, 9) },
      { code: "torque", by: expect.closeTo(0.25, 9) },
    ]);
    expect(found).toMatchObject({ ok: false, torqueMargin: 0.75 });
  });

  test.each<[object, string]>([
    [{ ends: [{ shaftMm: 20, boreMm: 20, hold: "key" }, clamped] }, "ends.0.key"],
    [{ ends: [keyed, { ...clamped, key: keyed.key }] }, "ends.1.key"],
    [{ ends: [keyed, clamped], errors: { angularDeg: 0 } }, "allow.angularDeg"],
    [{ ends: [keyed, clamped], torqueNm: 3 }, "ratedNm"],
    [{ ends: [keyed, clamped], ratedNm: 3 }, "torqueNm"],
    [{ ends: [keyed, clamped], serviceFactor: 2 }, "torqueNm"],
    [{ ends: [keyed, clamped], clearanceMm: { lo: 0.1, hi: 0 } }, "clearanceMm.lo"],
  ])("%#: refused at its key", (input, path) => expect(refusalOf("coupling", input).split(" ")[1]).toBe(path));
});
