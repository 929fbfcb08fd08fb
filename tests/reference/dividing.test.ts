import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { indexPosition } from "~/core/trains";
import { refusalOf, run } from "./run";

const close = (value: number, to: number, digits = 6) =>
  expect(Math.abs(value - to), `${value} for ${to}`).toBeLessThanOrEqual(
    0.5 * 10 ** -digits * Math.max(1, Math.abs(to)),
  );

describe("dividing, steps, holes", () => {
  test("index plans (handbook check values)", () => {
    const sixty = run("index-plan", { stepsPerRev: 200, microsteps: 16, ratio: [40, 1], divisions: 60 });
    expect(sixty).toMatchObject({ stepsPerDivision: { num: 6400, den: 3 }, exact: false, closes: true });
    expect(sixty.moves.slice(0, 3)).toEqual([2133, 2134, 2133]);
    expect(sixty.moves).toHaveLength(12);
    close(sixty.maxErrorArcsec, 3.375);
    const seven = run("index-plan", { stepsPerRev: 200, microsteps: 16, ratio: [1, 1], divisions: 7 });
    expect(seven.moves).toEqual([457, 457, 457, 458, 457, 457, 457]);
    close(seven.maxErrorArcsec, 173.571429);
    close(
      run("index-plan", { stepsPerRev: 200, microsteps: 1, ratio: [90, 1], divisions: 127 }).maxErrorArcsec,
      35.716535,
    );
  });

  test("errors against counting every position in plain numbers", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 1, max: 50 }),
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 1, max: 90 }),
        (steps, num, den, divisions) => {
          const plan = run("index-plan", { stepsPerRev: steps, microsteps: 2, ratio: [num, den], divisions });
          const turn = (steps * 2 * num) / den;
          const errors = Array.from({ length: divisions + 1 }, (_, k) =>
            Math.abs(Math.floor((k * turn) / divisions + 0.5 + 1e-9) - (k * turn) / divisions),
          );
          expect(plan.maxErrorArcsec).toBeCloseTo((Math.max(...errors) * 1_296_000) / turn, 4);
          expect(plan.closes).toBe((steps * 2 * num) % den === 0);
        },
      ),
      { seed: 6, numRuns: 200 },
    );
  });

  test("every position of a plan: moves add up to it, and it is within half a step of where it should stand", () => {
    // Handbook: 6400/3 steps each, moves 2133 2134 2133; position 60 is a whole turn of 128000 steps.
    const sixty = { num: 6400, den: 3 };
    expect([1, 2, 3].map((k) => indexPosition(sixty, k).move)).toEqual([2133, 2134, 2133]);
    expect(indexPosition(sixty, 60)).toEqual({ steps: 128_000, move: 2133, offSteps: 0 });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 1, max: 500 }), (num, den) => {
        let sum = 0;
        for (let k = 1; k <= 50; k++) {
          const { steps, move, offSteps } = indexPosition({ num, den }, k);
          sum += move;
          expect(steps).toBe(sum);
          expect(offSteps).toBeCloseTo(steps - (k * num) / den, 6);
          expect(Math.abs(offSteps)).toBeLessThanOrEqual(0.5);
        }
      }),
      { seed: 6, numRuns: 100 },
    );
  });

  test("steps a millimetre, computed and corrected, and the command", () => {
    const motor = { stepsPerRev: 200, microsteps: 16 };
    close(run("steps-per-unit", { ...motor, ratio: [50, 17], drumDiameterMm: 7.3 }).stepsPerMm, 410.3914729);
    expect(run("steps-per-unit", { ...motor, ratio: [1, 1], travelPerTurnMm: 40 })).toEqual({
      stepsPerMm: 80,
      gcode: "M92 X80.0000",
    });
    expect(run("steps-per-unit", { oldStepsPerMm: 80, commandedMm: 200, measuredMm: 199.2, axis: "Z" }).gcode).toBe(
      "M92 Z80.3213",
    );
    expect(refusalOf("steps-per-unit", {})).toBe("one-of-missing drumDiameterMm");
    expect(refusalOf("steps-per-unit", { ...motor, oldStepsPerMm: 80 })).toBe("one-of-doubled drumDiameterMm");
    expect(refusalOf("steps-per-unit", { ...motor, ratio: [1, 1], drumDiameterMm: 1, travelPerTurnMm: 1 })).toBe(
      "one-of-doubled drumDiameterMm",
    );
    expect(refusalOf("steps-per-unit", { ...motor, travelPerTurnMm: 1 })).toBe("missing ratio");
  });

  test("a grid of 8 mm holes against every offset and pair tried", () => {
    const question = {
      pitchMm: 8,
      moduleMm: 1,
      teeth: [12, 16, 20, 24, 40],
      maxHoles: 6,
      band: { loMm: 0, hiMm: 0.3 },
    };
    const { pairs, viaIdler, unreachable } = run("hole-grid", question);
    const naive: string[] = [];
    for (const z1 of question.teeth)
      for (const z2 of question.teeth.filter((z) => z >= z1))
        for (let a = 1; a <= 6; a++)
          for (let b = 0; b <= a; b++) {
            const clearance = 8 * Math.sqrt(a * a + b * b) - (z1 + z2) / 2;
            if (clearance >= -1e-9 && clearance <= 0.3 + 1e-9) naive.push(`${z1}/${z2} ${a},${b}`);
          }
    const found = pairs.map((p: { teeth: number[]; holes: number[] }) => `${p.teeth.join("/")} ${p.holes.join(",")}`);
    expect([...found].sort()).toEqual(naive.sort());
    expect(found).toContain("12/20 2,0");
    const direct = new Set(pairs.map((p: { teeth: number[] }) => p.teeth.join("/")));
    for (const { teeth, idler } of viaIdler) {
      expect(direct.has(teeth.join("/"))).toBe(false);
      for (const z of teeth) expect(direct.has([z, idler].sort((a, b) => a - b).join("/"))).toBe(true);
    }
    const bridged = new Set(viaIdler.map((v: { teeth: number[] }) => v.teeth.join("/")));
    expect(direct.size + bridged.size + unreachable.length).toBe(15);
  });
});
