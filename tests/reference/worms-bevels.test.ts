import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { run } from "./run";

const close = (value: number, to: number, digits = 6) =>
  expect(Math.abs(value - to), `${value} for ${to}`).toBeLessThanOrEqual(
    0.5 * 10 ** -digits * Math.max(1, Math.abs(to)),
  );

describe("worm and bevel", () => {
  test("worm 2/30, module 3, d1 44: γ 7.76517°, a 67 (published example, Machinery's Handbook, worm gearing)", () => {
    const worm = { wormStarts: 2, wheelTeeth: 30, axialModuleMm: 3, wormPitchDiameterMm: 44 };
    const pair = run("worm-pair", { ...worm, wheelBacklashMm: 0.1, wormEndFloatMm: 0.05 });
    close(pair.leadAngleDeg, 7.76517, 5);
    expect(pair.nominalCentreDistanceMm).toBe(67);
    close(pair.axialPressureAngleDeg, 20.1702359);
    close(pair.backlashPerCentreMm, 0.7346773);
    // Lost motion by hand: an arc of 0.1 mm at radius 45 in minutes of arc.
    close(pair.lostMotion.meshArcmin, (0.1 / 45) * (180 / Math.PI) * 60, 9);
    close(pair.lostMotion.totalArcmin, 11.459156);
  });

  test("without a measured backlash the centre distance tells it, never below 0", () => {
    const worm = { wormStarts: 1, wheelTeeth: 72, axialModuleMm: 1, wormPitchDiameterMm: 16, wormEndFloatMm: 0.02 };
    close(run("worm-pair", { ...worm, centreDistanceMm: 44.08 }).lostMotion.meshArcmin, 5.571906);
    expect(run("worm-pair", { ...worm, centreDistanceMm: 43.9 }).lostMotion.meshArcmin).toBe(0);
  });

  // ISO 23509 annex examples and Machinery's Handbook, bevel gearing; the others computed from tan δ = sin Σ/(z2/z1 + cos Σ).
  test.each([
    [{ teeth: [20, 40], moduleMm: 3 }, 26.56505, 63.43495, 67.08204, 0.3255449, 0.6510897],
    [{ teeth: [9, 41], moduleMm: 5, spiralAngleDeg: 35 }, 12.3807569, 77.6192431, 104.94046, 0.1905333, 0.8679851],
    [{ teeth: [15, 30], moduleMm: 2, shaftAngleDeg: 60 }, 19.1066054, 40.8933946, 45.825757, 0.2382744, 0.476549],
  ])("bevel %j", (bevel, d1, d2, cone, first, second) => {
    const pair = run("bevel-pair", bevel);
    close(pair.pitchAngleDeg[0], d1, 5);
    close(pair.pitchAngleDeg[1], d2, 5);
    close(pair.coneDistanceMm, cone, 5);
    close(pair.backlashPerAxialMm[0], first);
    close(pair.backlashPerAxialMm[1], second);
  });

  test("the cones touch along one line: both members have the same cone distance at any shaft angle", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 8, max: 60 }),
        fc.integer({ min: 8, max: 60 }),
        fc.integer({ min: 20, max: 120 }),
        (a, b, s) => {
          const { pitchAngleDeg, pitchDiameterMm, coneDistanceMm } = run("bevel-pair", {
            teeth: [a, b],
            moduleMm: 2,
            shaftAngleDeg: s,
          });
          const other = pitchDiameterMm[1] / 2 / Math.sin((pitchAngleDeg[1] * Math.PI) / 180);
          expect(other).toBeCloseTo(coneDistanceMm, 7);
          expect(pitchAngleDeg[0] + pitchAngleDeg[1]).toBeCloseTo(s, 9);
        },
      ),
      { seed: 2, numRuns: 200 },
    );
  });
});
