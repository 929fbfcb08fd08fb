import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { studentQuantile } from "~/core/statistics";
import { refusalOf, run } from "./run";

/*
 * Parts that are printed, moulded or filed to fit. Student's t: JCGM 100:2008, table G.2 (95 %); the prediction interval of the next hole by
 * drawing holes; a series of tries against a hidden fit.
 */

test.each([
  [1, 12.71],
  [2, 4.3],
  [3, 3.18],
  [4, 2.78],
  [5, 2.57],
  [7, 2.36],
  [10, 2.23],
  [20, 2.09],
  [50, 2.01],
])("t(95 %%, %i degrees of freedom) is %d", (freedom, t) => {
  expect(studentQuantile(0.95, freedom)).toBeCloseTo(t, 2);
});

describe("made-bore", () => {
  const bore = {
    shaftMm: [4.98, 4.99, 5.0],
    made: [0.19, 0.2, 0.21].map((smaller, i) => ({ drawnMm: 5.2 + i / 10, madeMm: 5.2 + i / 10 - smaller })),
    wanted: { loMm: 0, hiMm: 0.1 },
  };

  test("shaft 4.99, holes 0.2 smaller, 0.05 of clearance: draw 5.24, to the nearest that can be drawn", () => {
    const found = run("made-bore", bore);
    expect(found.drawMm).toBeCloseTo(5.24, 9);
    expect(found.expectedClearanceMm).toBeCloseTo(0.05, 9);
    // u = s/√3 of the shaft; t(0.975, 2) = 4.302653 · 0.01 · √(1 + 1/3).
    const half = Math.hypot(2 * (0.01 / Math.sqrt(3)), 4.302653 * 0.01 * Math.sqrt(4 / 3));
    expect(found.clearanceIntervalMm[1] - 0.05).toBeCloseTo(half, 6);
    expect(found).toMatchObject({ state: "undecided", feasible: false });
    expect(run("made-bore", { ...bore, stepMm: 0.1 }).drawMm).toBeCloseTo(5.2, 9);
    expect(run("made-bore", { ...bore, shaftMm: [5], stepMm: 0.1 }).drawMm).toBeCloseTo(5.3, 9);
  });

  test("a known allowance: two standard deviations; free, grips and trusted", () => {
    const known = { shaftMm: [5], resolutionMm: 0.001, allowance: { meanMm: 0.2, sdMm: 0.01 } };
    const free = run("made-bore", { ...known, wanted: { loMm: 0.02, hiMm: 0.08 } });
    expect(free).toMatchObject({ state: "free", feasible: true });
    expect(free.clearanceIntervalMm[0]).toBeCloseTo(0.05 - Math.hypot(0.02, 0.002 / Math.sqrt(12)), 9);
    expect(run("made-bore", { ...known, wanted: { loMm: -0.08, hiMm: -0.04 } }).state).toBe("grips");
  });

  test("of drawn processes the next hole lies in the interval as often as it says", () => {
    let seed = 11;
    const uniform = () => {
      seed = (seed * 1103515245 + 12345) % 2147483648;
      return (seed + 0.5) / 2147483648;
    };
    const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    let inside = 0;
    const n = 4000;
    for (let i = 0; i < n; i++) {
      const made = Array.from({ length: 4 }, () => ({ drawnMm: 5, madeMm: 5 - 0.2 - 0.02 * normal() }));
      const question = { shaftMm: [4.8], resolutionMm: 1e-6, made, wanted: { loMm: 0, hiMm: 0.1 } };
      const { drawMm, clearanceIntervalMm } = run("made-bore", question);
      const clearance = drawMm - 0.2 - 0.02 * normal() - 4.8;
      if (clearance >= clearanceIntervalMm[0] && clearance <= clearanceIntervalMm[1]) inside++;
    }
    expect(inside / n).toBeGreaterThan(0.94);
    expect(inside / n).toBeLessThan(0.96);
  });

  test("both ways or neither, one hole alone and a size below nothing are named", () => {
    expect(refusalOf("made-bore", { ...bore, allowance: { meanMm: 0.2, sdMm: 0 } })).toBe("one-of-doubled allowance");
    expect(refusalOf("made-bore", { ...bore, made: undefined })).toBe("one-of-missing allowance");
    expect(refusalOf("made-bore", { ...bore, made: bore.made.slice(0, 1) })).toBe("too-few made");
    expect(refusalOf("made-bore", { ...bore, wanted: { loMm: -9, hiMm: -8 } })).toBe("below-nothing wanted");
  });
});

describe("fit-series", () => {
  const series = (of: string, wanted: string, ...tries: [number, string][]) =>
    run("fit-series", { of, wanted, stepMm: 0.05, tries: tries.map(([sizeMm, felt]) => ({ sizeMm, felt })) });

  test("holes: between a tighter and a looser one the middle; then done", () => {
    const open = series("hole", "slides", [5, "presses"], [5.2, "falls"]);
    expect(open).toMatchObject({ lowMm: 5, highMm: 5.2, done: false, chooseMm: null, contradictions: [] });
    expect(open.nextMm).toBeCloseTo(5.1, 9);
    const done = series("hole", "slides", [5, "presses"], [5.2, "falls"], [5.1, "slides"], [5.05, "slides"]);
    expect(done).toMatchObject({ done: true, chooseMm: 5.05, nextMm: null });
  });

  test("a tie goes to the tighter side: the smaller hole, the larger shaft", () => {
    expect(series("hole", "slides", [5, "presses"], [5.15, "falls"]).nextMm).toBeCloseTo(5.05, 9);
    expect(series("shaft", "slides", [5.15, "presses"], [5, "falls"]).nextMm).toBeCloseTo(5.1, 9);
    expect(series("shaft", "presses", [5, "presses"], [5.05, "presses"]).chooseMm).toBe(5.05);
  });

  test("one bound: on by the steps of feel or by what was tried; nothing left between; below nothing", () => {
    expect(series("hole", "falls", [5, "refuses"]).nextMm).toBeCloseTo(5.15, 9);
    expect(series("shaft", "slides", [5, "presses"], [5.3, "refuses"]).nextMm).toBeCloseTo(4.7, 9);
    expect(series("hole", "slides", [5, "presses"], [5.05, "falls"])).toMatchObject({ nextMm: null, feasible: false });
    expect(series("hole", "presses", [0.05, "falls"])).toMatchObject({ nextMm: null, feasible: false });
  });

  test("a larger hole is never tighter: both tries are named and the later one is tried again", () => {
    const against = series("hole", "slides", [5, "falls"], [5.2, "presses"], [5.2, "slides"]);
    expect(against.contradictions).toEqual([
      [0, 1],
      [0, 2],
      [1, 2],
    ]);
    expect(against).toMatchObject({ nextMm: 5.2, done: false, chooseMm: null, feasible: true });
  });

  test("followed to its end it finds the size of any hidden fit that its steps can reach", () => {
    const words = ["refuses", "presses", "slides", "falls"];
    fc.assert(
      fc.property(
        fc.integer({ min: 300, max: 700 }),
        fc.integer({ min: -8, max: 8 }),
        fc.constantFrom("presses", "slides", "falls"),
        fc.constantFrom("hole", "shaft"),
        (partner, start, wanted, of) => {
          // In hundredths: refuses below −10 of clearance, presses below 0, slides below 10.
          const feel = (size: number) => {
            const clearance = of === "hole" ? size - partner : partner - size;
            return words[[-10, 0, 10].filter((bound) => clearance >= bound).length] as string;
          };
          const tries = [{ sizeMm: (partner + 5 * start) / 100, felt: feel(partner + 5 * start) }];
          for (let i = 0; i < 12; i++) {
            const found = run("fit-series", { of, wanted, stepMm: 0.05, tries });
            expect(found.contradictions).toEqual([]);
            if (found.done) {
              expect(feel(Math.round(100 * found.chooseMm))).toBe(wanted);
              return;
            }
            expect(found.feasible).toBe(true);
            tries.push({ sizeMm: found.nextMm, felt: feel(Math.round(100 * found.nextMm)) });
          }
          expect.unreachable("no size after twelve tries");
        },
      ),
      { numRuns: 200, seed: 8 },
    );
  });
});
