import { describe, expect, test } from "vitest";
import { meanUncertainty, type ReadingBudget, studentFactor, whatSettles } from "~/core/statistics";

/** Student's t at 68.27 %, by integrating its density over the middle until that much of it is covered. */
function studentByIntegration(freedom: number): number {
  const density = (t: number) => (1 + (t * t) / freedom) ** (-(freedom + 1) / 2);
  const step = 1e-4;
  let whole = 0;
  for (let t = step / 2; t < 2000; t += t < 20 ? step : 0.01) whole += density(t) * (t < 20 ? step : 0.01);
  let covered = 0;
  for (let t = step / 2; ; t += step) {
    covered += density(t) * step;
    if (covered / whole >= 0.6827) return t;
  }
}

test.each([1, 2, 3, 5, 9])(
  "Student's factor at %i degrees of freedom (JCGM 100, table G.2), by integrating its density",
  (freedom) => {
    expect(studentFactor(freedom)).toBeCloseTo(studentByIntegration(freedom), 2);
  },
);

describe("the mean of repeats", () => {
  const budget: ReadingBudget = {
    resolution: 0.01 / Math.sqrt(6),
    calibration: 0.002,
    way: 0,
    repeats: { sd: 0.012, freedom: 2 },
  };

  test("scatter counts by Student and by the root of their number, the step only where it is the larger", () => {
    // 1.32·0.012/√3 = 0.0091452; with 0.002: 0.0093614; U 0.0187228 (worked by hand; 1.32 at n = 3 as in the handbook).
    expect(meanUncertainty(budget, 3)).toBeCloseTo(0.0187228, 6);
    // Many of them: the step is the larger, 0.0040825 with 0.002.
    expect(meanUncertainty(budget, 400)).toBeCloseTo(2 * Math.hypot(0.0040825, 0.002), 6);
    expect(meanUncertainty({ ...budget, repeats: null }, 1)).toBeCloseTo(0.0090921, 6);
  });

  test.each([0.0092, 0.011, 0.014, 0.018, 0.02])(
    "at %f mm from a limit: as many more as trying them one by one",
    (distance) => {
      const settles = whatSettles(budget, distance, 2);
      let needed = 2;
      while (meanUncertainty(budget, needed) > distance) needed++;
      expect(settles).toEqual(needed === 2 ? { by: "now" } : { by: "repeats", more: needed - 2 });
    },
  );

  test("nearer than step and certificate allow no repeats help; what was never repeated nobody knows", () => {
    expect(whatSettles(budget, 0.009, 2)).toMatchObject({
      by: "finer",
      leastUncertainty: expect.closeTo(0.0090921, 6),
    });
    expect(whatSettles({ ...budget, repeats: null }, 0.02, 1)).toEqual({ by: "now" });
    const rough = { ...budget, resolution: 0.001, repeats: { sd: 0.05, freedom: 1 } };
    expect(whatSettles(rough, 0.005, 1)).toMatchObject({ by: "repeats" });
    // Without repeats the step stands for them: where that is not enough it is the instrument.
    expect(whatSettles({ ...budget, repeats: null }, 0.005, 1)).toMatchObject({ by: "finer" });
  });
});
