import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { run } from "./run";

const close = (value: number, to: number, digits = 6) =>
  expect(Math.abs(value - to), `${value} for ${to}`).toBeLessThanOrEqual(
    0.5 * 10 ** -digits * Math.max(1, Math.abs(to)),
  );

describe("planetary", () => {
  // Ratios by the Willis relation as general handbooks print them: 1 + z_r/z_s, −z_r/z_s, 1 + z_s/z_r.
  test.each([
    [
      { kind: "simple", sun: 24, planet: [24], ring: [72], planets: 4, moduleMm: 1 },
      { ratio: 4, assembles: true, planetsClear: true, coaxial: true, clockingSteps: 0 },
    ],
    [
      { kind: "simple", sun: 16, planet: [16], ring: [48], planets: 3, moduleMm: 1 },
      { assembles: false, planetsClear: true, clockingSteps: null },
    ],
    [
      { kind: "simple", sun: 16, planet: [16], ring: [48], planets: 5, moduleMm: 1 },
      { assembles: false, planetsClear: true },
    ],
    [
      { kind: "simple", sun: 12, planet: [30], ring: [72], planets: 4, moduleMm: 0.5 },
      { assembles: true, planetsClear: false },
    ],
    [
      { kind: "simple", sun: 30, planet: [15], ring: [60], planets: 3, fixed: "carrier", output: "ring" },
      { ratio: -2 },
    ],
    [
      { kind: "simple", sun: 30, planet: [15], ring: [60], planets: 3, fixed: "sun", input: "ring", output: "carrier" },
      { ratio: 1.5 },
    ],
    [
      { kind: "compound-two-ring", sun: 12, planet: [18, 15], ring: [48, 45], planets: 3 },
      { ratio: 45, clockingSteps: 0 },
    ],
    [{ kind: "compound-two-ring", sun: 15, planet: [21, 18], ring: [57, 54], planets: 4 }, { clockingSteps: 1.75 }],
    [{ kind: "compound-two-ring", sun: 8, planet: [14, 11], ring: [36, 33], planets: 2 }, { clockingSteps: 7 }],
    [
      { kind: "compound-two-ring", sun: 10, planet: [16, 14], ring: [42, 40], planets: 4 },
      { assembles: false, clockingSteps: null },
    ],
  ])("%j", (set, wanted) => {
    const answer = run("planetary", set);
    expect({ ...answer, ratio: answer.ratio === null ? null : Number(answer.ratio.toFixed(9)) }).toMatchObject(wanted);
    expect(answer.reasons.length > 0).toBe(!(answer.assembles && answer.planetsClear && answer.coaxial));
  });

  test("gaps and high ratios", () => {
    close(
      run("planetary", { kind: "simple", sun: 24, planet: [24], ring: [72], planets: 4, moduleMm: 1 }).neighbourGapMm,
      7.9411255,
    );
    close(
      run("planetary", { kind: "simple", sun: 12, planet: [30], ring: [72], planets: 4, moduleMm: 0.5 }).neighbourGapMm,
      -1.1507576,
    );
    const set = run("planetary", {
      kind: "compound-two-ring",
      sun: 10,
      planet: [20, 19],
      ring: [50, 49],
      planets: 3,
      moduleMm: 0.8,
    });
    close(set.ratio, 196);
    close(set.clockingSteps, 40 / 3);
    close(set.neighbourGapMm, 3.1846097);
  });

  /**
   * Brute force: planet k stands at its arm turned by some whole choice of teeth on its ring 1; it goes together if its own sun and ring
   * meshes fall into step with those of planet 0. Every pose is tried, none derived.
   */
  const goesTogether = (sun: number, [a, b]: number[], [r1, r2]: number[], planets: number): boolean => {
    const whole = (x: number) => Math.abs(x - Math.round(x)) < 1e-6;
    for (let k = 1; k < planets; k++) {
      const arm = k / planets;
      // An internal mesh keeps z_p·(ψ − φ) − z_r·ψ in step, an external one z_p·(ψ − φ) + z_s·ψ; φ = α + ψ.
      const fits = Array.from({ length: a as number }, (_, i) => (i - arm * (r1 as number)) / (a as number)).some(
        (turn) =>
          whole(-(a as number) * turn - (r1 as number) * arm) &&
          whole(-(a as number) * turn + sun * arm) &&
          (b === undefined || whole(-b * turn - (r2 as number) * arm)),
      );
      if (!fits) return false;
    }
    return true;
  };

  test("assembly agrees with placing every tooth", () => {
    const teeth = (min: number, max: number) => fc.integer({ min, max });
    fc.assert(
      fc.property(teeth(6, 30), teeth(8, 24), teeth(7, 23), teeth(0, 3), teeth(2, 6), (sun, a, b, off, planets) => {
        const simple = run("planetary", { kind: "simple", sun, planet: [a], ring: [sun + 2 * a + off], planets });
        expect(simple.assembles).toBe(goesTogether(sun, [a], [sun + 2 * a + off], planets));
        const rings = [sun + 2 * a, sun + a + b + off] as const;
        const stepped = run("planetary", { kind: "compound-two-ring", sun, planet: [a, b], ring: [...rings], planets });
        expect(stepped.assembles).toBe(goesTogether(sun, [a, b], [...rings], planets));
      }),
      { seed: 3, numRuns: 400 },
    );
  });
});
