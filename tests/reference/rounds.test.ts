import fc from "fast-check";
import { Matrix, SingularValueDecomposition } from "ml-matrix";
import { describe, expect, test } from "vitest";
import { pairTerms } from "~/core/rounds";
import { refusalOf, run } from "./run";

/** 2-norm condition number by an independent library. */
function libraryCondition(indices: readonly number[], z1: number, z2: number): number {
  const rows = indices.map((k) => pairTerms((k * 360) / z2, z2 / z1));
  const values = new SingularValueDecomposition(new Matrix(rows)).diagonal;
  return Math.max(...values) / Math.min(...values);
}

const simulated = (mean: number, gear: number[], pinion: number[], ratio: number, angles: readonly number[]) =>
  angles.map((gearAngleDeg) => {
    const wave = ([a = 0, t = 0]: number[], angle: number) => a * Math.cos(((angle - t) * Math.PI) / 180);
    return { gearAngleDeg, backlashMm: mean - wave(gear, gearAngleDeg) - wave(pinion, gearAngleDeg * ratio) };
  });

describe("mesh-round", () => {
  // F_r ≈ 2·e (ISO 1328-2): e 0.02 at α_wt 20° swings the backlash by 0.0291176 peak to peak.
  test("eccentricity 0.02 at 20° gives an amplitude of 0.0145588", () => {
    const angles = [0, 45, 90, 135, 180, 225, 270, 315];
    const readings = simulated(0.1, [0.0145588, 212], [0, 0], 2, angles);
    const round = run("mesh-round", { teeth: [20, 40], moduleMm: 1, readings, separatePinion: false });
    expect(round.gear.eccentricityMm).toBeCloseTo(0.02, 6);
    expect(round.gear.tightAngleDeg).toBeCloseTo(212, 6);
  });

  test("gear and pinion are told apart and put back together, and the worst is that of a naive search", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 12, max: 30 }),
        fc.integer({ min: 31, max: 90 }),
        fc.array(fc.double({ min: 0, max: 0.05, noNaN: true }), { minLength: 2, maxLength: 2 }),
        fc.array(fc.double({ min: 0, max: 359, noNaN: true }), { minLength: 2, maxLength: 2 }),
        (z1, z2, [a2 = 0, a1 = 0], [t2 = 0, t1 = 0]) => {
          const plan = run("round-plan", { teeth: [z1, z2], positions: 12, maxTurns: 3 });
          fc.pre(plan.separable);
          const angles = plan.gearToothIndices.map((k: number) => (k * 360) / z2);
          const readings = simulated(0.2, [a2, t2], [a1, t1], z2 / z1, angles);
          const round = run("mesh-round", { teeth: [z1, z2], moduleMm: 1.5, readings });
          expect(round.meanMm).toBeCloseTo(0.2, 9);
          expect(round.residualMm).toBeLessThan(1e-9);
          let tight = Number.POSITIVE_INFINITY;
          const cycle = z1 * z2;
          for (let k = 0; k < cycle; k++) {
            const [at] = simulated(0.2, [a2, t2], [a1, t1], z2 / z1, [(k * 360) / z2]);
            tight = Math.min(tight, at?.backlashMm ?? tight);
          }
          expect(round.worstTight.backlashMm).toBeCloseTo(tight, 9);
        },
      ),
      { seed: 1328, numRuns: 40 },
    );
  });

  test("where positions cannot tell the two apart the pinion is not blamed", () => {
    const angles = [0, 60, 120, 180, 240, 300];
    const readings = simulated(0.1, [0.02, 40], [0.01, 0], 3, angles);
    const round = run("mesh-round", { teeth: [20, 60], moduleMm: 1, readings });
    expect(round).toMatchObject({ separable: false, pinion: null });
    expect(round.worstTight.turnsBetween).toBe(1);
  });

  test("an arc is judged on its own teeth only", () => {
    const angles = [0, 20, 40, 60, 80, 100];
    const readings = simulated(0.1, [0.03, 200], [0, 0], 3, angles);
    const arc = { teeth: [20, 60], moduleMm: 1, readings, separatePinion: false, arcDeg: [0, 100] };
    expect(run("mesh-round", arc).worstTight.gearAngleDeg).toBe(96);
    expect(refusalOf("mesh-round", { ...arc, arcDeg: [100, 0] })).toBe("arc-empty arcDeg");
    expect(refusalOf("mesh-round", { ...arc, arcDeg: [1, 2] })).toBe("arc-empty arcDeg");
  });

  test("too few and undetermined readings are refused", () => {
    const readings = simulated(0.1, [0, 0], [0, 0], 2, [0, 360, 720]);
    expect(refusalOf("mesh-round", { teeth: [20, 40], moduleMm: 1, readings })).toBe("positions-undetermined readings");
    expect(refusalOf("mesh-round", { teeth: [20, 40], moduleMm: 1, readings: readings.slice(1) })).toBe(
      "too-few-readings readings",
    );
  });
});

describe("round-plan", () => {
  test.each([
    [17, 53, 17],
    [18, 72, 1],
    [12, 54, 2],
    [24, 60, 2],
  ])("%d/%d meets itself after %d turns of the gear", (z1, z2, turns) => {
    expect(run("round-plan", { teeth: [z1, z2], positions: 9 }).huntingTurns).toBe(turns);
  });

  // Even positions floor(i·z2/n + ½), condition numbers evaluated independently to the digits shown.
  test.each([
    [17, 53, 12, 1.491554],
    [17, 53, 8, 1.496342],
    [20, 60, 8, 1.494477],
    [18, 72, 9, Math.SQRT2],
    [12, 54, 8, 1.738966],
  ])("the condition number of even positions, %d/%d at %d", (z1, z2, n, kappa) => {
    const even = Array.from({ length: n }, (_, i) => Math.floor((i * z2) / n + 0.5));
    expect(libraryCondition(even, z1, z2)).toBeCloseTo(kappa, 5);
    const plan = run("round-plan", { teeth: [z1, z2], positions: n });
    expect(plan.conditionNumber).toBeLessThanOrEqual(kappa + 1e-6);
    expect(plan.conditionNumber).toBeCloseTo(libraryCondition(plan.gearToothIndices, z1, z2), 8);
  });

  test.each([
    [20, 60, 6, 1.63],
    [13, 41, 5, 1.59],
    [24, 60, 12, 1.6],
  ])("exchange finds good positions where even ones are blind: %d/%d at %d", (z1, z2, n, most) => {
    const plan = run("round-plan", { teeth: [z1, z2], positions: n });
    expect(plan.conditionNumber).toBeLessThanOrEqual(most);
    expect(new Set(plan.gearToothIndices).size).toBe(n);
  });

  test("equal gears can never be told apart in mesh", () => {
    expect(run("round-plan", { teeth: [30, 30], positions: 10 })).toMatchObject({
      separable: false,
      conditionNumber: null,
    });
  });

  test("more positions than teeth are refused", () => {
    expect(refusalOf("round-plan", { teeth: [12, 20], positions: 41, maxTurns: 2 })).toBe(
      "too-many-positions positions",
    );
  });
});
