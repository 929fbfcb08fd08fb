import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { refusalOf, run } from "./run";

/*
 * Tooth counts for a wanted speed. Worked example: handbook of ratios (14 to 15 teeth on the pinion is 7.1 %); the 127-tooth translating pair of
 * screw-cutting lathes (127/120 = 25.4/24, exact); second way: every combination, counted out.
 */

describe("ratio-for-speed", () => {
  test("25.4 to 24 with the counts of a lathe: 127 and 120, exact, in one stage", () => {
    const teeth = [20, 24, 40, 60, 90, 100, 120, 127];
    const [best] = run("ratio-for-speed", { inputRpm: 25.4, outputRpm: 24, teeth, stages: 2 }).combinations;
    expect(best).toMatchObject({ teeth: [[120, 127]], outputRpm: expect.closeTo(24, 12) });
    expect(Math.abs(best.errorPercent)).toBeLessThan(1e-9);
  });

  test("one tooth more on a pinion of 14 is 7.1 % more speed", () => {
    const found = run("ratio-for-speed", { inputRpm: 1400, outputRpm: 350, teeth: [14, 15, 56], results: 9 });
    const second = found.combinations.find(
      ({ teeth }: { teeth: number[][] }) => teeth[0]?.[0] === 15 && teeth[0][1] === 56,
    );
    expect(second.errorPercent).toBeCloseTo(7.142857, 6);
    expect(found.combinations[0]).toMatchObject({ teeth: [[14, 56]], errorPercent: 0 });
  });

  test("metres a second need a wheel, and go by its rim", () => {
    const question = { inputRpm: 3000, outputMPerS: 0.5, wheelDiameterMm: 60, teeth: { from: 10, to: 60 } };
    const found = run("ratio-for-speed", question);
    expect(found.wantedRatio).toBeCloseTo(3000 / ((0.5 * 60_000) / (Math.PI * 60)), 9);
    const [best] = found.combinations;
    expect(best.outputMPerS).toBeCloseTo((Math.PI * 60 * best.outputRpm) / 60_000, 12);
    expect(refusalOf("ratio-for-speed", { ...question, wheelDiameterMm: undefined })).toBe("missing wheelDiameterMm");
    const byRpm = { inputRpm: 3000, outputRpm: 500, wheelDiameterMm: 60, teeth: [10] };
    expect(refusalOf("ratio-for-speed", byRpm)).toBe("no-surface-speed wheelDiameterMm");
    expect(refusalOf("ratio-for-speed", { ...question, teeth: { from: 60, to: 10 } })).toBe(
      "window-upside-down teeth.from",
    );
    expect(refusalOf("ratio-for-speed", { ...question, teeth: { from: 10, to: 301 } })).toBe("too-large teeth.to");
  });

  test("no pair has the sum: nothing, and said so; out of tolerance too", () => {
    const none = run("ratio-for-speed", { inputRpm: 100, outputRpm: 50, teeth: [10, 20], toothSum: 31 });
    expect(none).toMatchObject({ combinations: [], feasible: false });
    const off = { inputRpm: 100, outputRpm: 45, teeth: [10, 20], tolerancePercent: 5 };
    expect(run("ratio-for-speed", off).feasible).toBe(false);
    expect(run("ratio-for-speed", { ...off, tolerancePercent: 12 }).feasible).toBe(true);
  });

  test("agrees with every combination counted out, ties and double ratios too", () => {
    type Row = { teeth: [number, number][]; ratio: number; off: number };
    const sum = (teeth: readonly [number, number][]) => teeth.flat().reduce((a, b) => a + b, 0);
    const lower = (a: readonly number[], b: readonly number[]) => {
      const i = a.findIndex((value, k) => value !== b[k]);
      return i < 0 ? 0 : (a[i] as number) - (b[i] as number);
    };
    const ranked = (a: Row, b: Row) =>
      a.teeth.length - b.teeth.length || sum(a.teeth) - sum(b.teeth) || lower(a.teeth.flat(), b.teeth.flat());
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 8, max: 40 }), { minLength: 2, maxLength: 7 }),
        fc.constantFrom(1, 2),
        fc.option(fc.integer({ min: 30, max: 60 }), { nil: undefined }),
        fc.integer({ min: 20, max: 900 }),
        fc.integer({ min: 1, max: 12 }),
        (teeth, stages, toothSum, wanted, results) => {
          const singles = teeth
            .flatMap((a) => teeth.map((b): [number, number] => [a, b]))
            .filter(([a, b]) => toothSum === undefined || a + b === toothSum);
          const doubles = singles.flatMap((a) => singles.map((b) => [a, b].sort(lower)));
          const all = [...singles.map((a) => [a]), ...(stages === 2 ? doubles : [])];
          const rows: Row[] = all.map((pairs) => {
            const ratio = pairs.reduce((product, [a, b]) => product * (b / a), 1);
            return { teeth: pairs, ratio, off: Math.abs(100 * (wanted / 100 / ratio - 1)) };
          });
          rows.sort((a, b) => (Math.abs(a.off - b.off) > 1e-10 ? a.off - b.off : ranked(a, b)));
          const once: Row[] = [];
          for (const row of rows) {
            const same = once.find(({ ratio }) => Math.abs(ratio - row.ratio) < 1e-9);
            if (!same) once.push(row);
            else if (ranked(row, same) < 0) once[once.indexOf(same)] = row;
          }
          once.sort((a, b) => (Math.abs(a.off - b.off) > 1e-10 ? a.off - b.off : ranked(a, b)));
          const question = { inputRpm: wanted, outputRpm: 100, teeth, stages, results };
          const found = run("ratio-for-speed", toothSum === undefined ? question : { ...question, toothSum });
          expect(found.combinations.map(({ teeth }: Row) => teeth)).toEqual(
            once.slice(0, results).map(({ teeth }) => teeth),
          );
        },
      ),
      { numRuns: 300, seed: 21 },
    );
  });
});
