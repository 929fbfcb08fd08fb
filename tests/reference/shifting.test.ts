import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { refusalOf, run } from "./run";

/*
 * Sliding gears, hard stops and the force that holds them. Check values: handbook of feel, paper and prints ("shifting", "hard stops"); the line
 * of F. J. Anscombe, Graphs in Statistical Analysis, The American Statistician 27 (1973), first set. Second ways: overlap by counting
 * points of the shaft, the stop that is best by trying them all, the wanted change by `advise`.
 */

const single = (fromMm: number, toMm: number) => ({ left: { fromMm, toMm }, right: { fromMm, toMm } });
const mates = (left: [number, number], right: [number, number]) => ({
  left: { fromMm: left[0], toMm: left[1] },
  right: { fromMm: right[0], toMm: right[1] },
});

describe("shift-travel", () => {
  const travel = {
    slider: single(0, 8),
    mates: mates([-12, -4], [10, 18]),
    stops: { leftMm: -10, rightMm: 10 },
  };

  test("slider 0–8, mate −12 … −4, stop −10: overlap 6, share 0.75, spacer 2 thinner; then it is right", () => {
    const found = run("shift-travel", travel);
    expect(found.left).toMatchObject({ overlapMm: 6, share: 0.75, ok: false, spacerChangeMm: -2 });
    expect(found.right).toMatchObject({ overlapMm: 8, share: 1, ok: true, spacerChangeMm: 0 });
    // Leaves the left mate at −4, enters the right one at 10 − 8.
    expect(found).toMatchObject({ neutralMm: 6, neutralOk: true, ok: false, feasible: true });
    const after = run("shift-travel", { ...travel, stops: { leftMm: -10 - 2, rightMm: 10 } });
    expect(after).toMatchObject({ ok: true, left: { share: 1 } });
  });

  test("both in: no stop changes it; a neutral that is too long neither", () => {
    const near = run("shift-travel", { ...travel, mates: mates([-12, -4], [3, 18]) });
    expect(near).toMatchObject({ neutralMm: -1, neutralOk: false, feasible: false });
    expect(run("shift-travel", { ...travel, neutral: { loMm: 0.5, hiMm: 1 } }).neutralOk).toBe(false);
    expect(run("shift-travel", { ...travel, neutral: { loMm: -2 } }).neutralOk).toBe(true);
  });

  test("overlap, margin and change agree with a shaft looked at point by point", () => {
    const place = fc.integer({ min: -40, max: 40 });
    const face = fc
      .tuple(place, fc.integer({ min: 1, max: 20 }))
      .map(([at, wide]) => [at, at + wide] as [number, number]);
    fc.assert(
      fc.property(face, face, place, fc.constantFrom(0.5, 0.8, 1), ([a, b], [from, to], stop, wantedShare) => {
        const question = {
          slider: single(a, b),
          mates: mates([from, to], [200, 210]),
          stops: { leftMm: stop, rightMm: 300 },
          wantedShare,
        };
        const { left } = run("shift-travel", question);
        const cells = (s: number) =>
          Array.from({ length: b - a }, (_, i) => a + i + s).filter((x) => x >= from && x < to).length;
        expect(left.overlapMm).toBe(cells(stop));
        const narrower = Math.min(b - a, to - from);
        expect(left.ok).toBe(cells(stop) >= wantedShare * narrower - 1e-9);
        expect(left.ok).toBe(left.marginMm >= -1e-9);
        if (!left.ok) {
          expect(cells(stop + left.spacerChangeMm)).toBe(narrower);
          // No nearer whole position has the full face.
          for (let d = 0; d < Math.abs(left.spacerChangeMm); d++)
            expect(Math.max(cells(stop + d), cells(stop - d))).toBeLessThan(narrower);
        }
      }),
      { numRuns: 300, seed: 5 },
    );
  });

  test("the right stop is the left one seen in a mirror", () => {
    const mirrored = run("shift-travel", {
      slider: single(-8, 0),
      mates: mates([-18, -10], [4, 12]),
      stops: { leftMm: -10, rightMm: 10 },
    });
    expect(mirrored.right).toEqual(run("shift-travel", travel).left);
  });

  test("a face of nothing, stops that lie wrong and an empty neutral are named", () => {
    const at = (more: object) => refusalOf("shift-travel", { ...travel, ...more });
    expect(at({ slider: single(8, 8) })).toBe("window-upside-down slider.left.fromMm");
    expect(at({ mates: mates([-12, -4], [18, 10]) })).toBe("window-upside-down mates.right.fromMm");
    expect(at({ stops: { leftMm: 10, rightMm: 10 } })).toBe("window-upside-down stops.leftMm");
    expect(at({ neutral: { loMm: 2, hiMm: 1 } })).toBe("window-upside-down neutral.loMm");
    expect(at({ neutral: { hiMm: -1 } })).toBe("window-upside-down neutral.loMm");
    expect(at({ neutral: {} })).toBe("one-of-missing neutral.loMm");
  });
});

describe("stop-spacer", () => {
  const end = { id: "left", readingsMm: [0.02, 0.05], perMm: 0.73, spacerMm: 1.2 };
  const question = { ends: [end], limits: { lo: 0.05, hi: 0.15 }, expandedUncertaintyMm: 0.01 };

  test("0.02 and 0.05 read, limits 0.05 to 0.15, U 0.01, 0.73 a mm, spacer 1.2: thicker by 0.0890411", () => {
    const [answer] = run("stop-spacer", question).ends;
    expect(answer.changeMm).toBeCloseTo(0.0890411, 7);
    expect(answer).toMatchObject({ verdict: "does-not-conform", feasible: true });
    expect(answer).not.toHaveProperty("choose");
  });

  test("the wanted change is that of the advice at the centre of the band, whichever way the spacer works", () => {
    const cases = fc.record({
      readings: fc.array(fc.integer({ min: 0, max: 300 }), { minLength: 1, maxLength: 6 }),
      lo: fc.integer({ min: 20, max: 80 }),
      width: fc.integer({ min: 30, max: 200 }),
      perMm: fc.constantFrom(0.73, -0.5, 1.4),
    });
    fc.assert(
      fc.property(cases, ({ readings, lo, width, perMm }) => {
        const readingsMm = readings.map((value) => value / 1000);
        const limits = { lo: lo / 1000, hi: (lo + width) / 1000 };
        const [answer] = run("stop-spacer", { ...question, limits, ends: [{ ...end, readingsMm, perMm }] }).ends;
        const advice = run("advise", {
          quantity: "backlash",
          readings: readingsMm.map((value) => ({ value })),
          limits,
          expandedUncertainty: 0.01,
          sensitivity: perMm,
          adjuster: { type: "shims", perMm: 1 },
          school: "centre-of-band",
        });
        expect(answer.verdict).toBe(advice.verdict);
        if (advice.move) expect(answer.changeMm).toBeCloseTo(advice.move.amount, 9);
        else if (advice.verdict === "conforms") expect(answer.changeMm).toBe(0);
        expect(answer.feasible).toBe(
          Math.max(...readings) - Math.min(...readings) <= width && answer.spacerMm >= -1e-9,
        );
      }),
      { numRuns: 300, seed: 3 },
    );
  });

  test("of the spacers on hand the one that conforms, then the one that keeps the tight side", () => {
    const [answer] = run("stop-spacer", { ...question, spacersMm: [1.25, 1.3, 1.35] }).ends;
    expect(answer.choose).toMatchObject({ thicknessMm: 1.3, verdict: "conforms" });
    expect(answer.choose.minMm).toBeCloseTo(0.093, 9);
    const wide = { ...question, ends: [{ ...end, readingsMm: [0.02, 0.16] }], spacersMm: [1.2, 1.25, 1.3] };
    const [kept] = run("stop-spacer", wide).ends;
    expect(kept).toMatchObject({ feasible: false, choose: { thicknessMm: 1.25 } });
    const fine = run("stop-spacer", { ...question, ends: [{ ...end, readingsMm: [0.1] }], spacersMm: [1] }).ends[0];
    expect(fine).toMatchObject({ verdict: "conforms", changeMm: 0, choose: null, feasible: true });
  });

  test("no spacer reaches it: said, with what would; each end by itself", () => {
    const low = { ...end, id: "right", readingsMm: [0.3], spacerMm: 0.1 };
    const answer = run("stop-spacer", { ...question, ends: [end, low] });
    expect(answer.feasible).toBe(false);
    expect(answer.ends[1].spacerMm).toBeCloseTo(0.1 - 0.2 / 0.73, 9);
    expect(answer.ends.map(({ feasible }: { feasible: boolean }) => feasible)).toEqual([true, false]);
    expect(refusalOf("stop-spacer", { ...question, ends: [end, end] })).toBe("id-twice ends.1.id");
    expect(refusalOf("stop-spacer", { ...question, limits: { lo: -0.1, hi: 1 } })).toBe("too-small limits.lo");
  });
});

describe("force-sweep", () => {
  // Anscombe's first set: y = 3.00 + 0.500x, standard error of the slope 0.118, 9 degrees of freedom.
  const x = [10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5];
  const y = [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68];
  const sweep = (forces: readonly number[], currents: readonly number[], more: object = {}) =>
    run("force-sweep", { points: forces.map((forceN, i) => ({ forceN, currentA: currents[i] })), ...more });

  test("the slope of Anscombe's first set, with t(0.975, 9) = 2.262 (JCGM 100:2008, table G.2)", () => {
    const found = sweep(x, y);
    expect(found.slope).toBeCloseTo(0.5, 3);
    expect(found.slopeInterval[1] - found.slope).toBeCloseTo(2.262 * 0.1179, 3);
    expect(found.risePercent).toBeCloseTo((100 * 0.5001 * 10) / (3.0001 + 0.5001 * 4), 1);
    expect(found).toMatchObject({ verdict: "rises" });
  });

  test.each([
    [[10, 20, 30, 40], [2.0, 2.01, 2.0, 2.01], "flat", null],
    [[10, 20, 30, 40], [2.0, 2.2, 2.41, 2.6], "rises", "follows"],
    [[10, 20, 30, 40, 50, 60, 70], [2.0, 2.0, 2.01, 2.02, 2.5, 3.0, 3.5], "rises", "gives-way"],
    [[10, 20, 30, 40, 50, 60, 70], [2.0, 2.6, 3.2, 3.75, 3.8, 3.81, 3.83], "rises", "settles"],
    [[10, 20, 30], [2.0, 2.1, 2.35], "undecided", null],
    [[10, 20, 30, 40], [2.0, 1.9, 1.8, 1.7], "flat", null],
    [[10, 10, 10, 50], [1, 1, 1, 3], "rises", "unknown"],
  ])("%j N, %j A: %s, %s", (forces, currents, verdict, cause) => {
    expect(sweep(forces, currents)).toMatchObject({ verdict, cause });
  });

  test("equal figures on a coarse meter prove nothing flat", () => {
    expect(sweep([10, 20, 30], [0.5, 0.5, 0.5], { resolutionA: 0.1 }).verdict).toBe("undecided");
    expect(sweep([10, 20, 30], [0.5, 0.5, 0.5], { resolutionA: 0.001 }).verdict).toBe("flat");
  });

  test("bar and newton are not mixed, one force is none, a current that would be below nothing is none", () => {
    const points = [1, 2, 3].map((forceN) => ({ forceN, currentA: 1 }));
    const at = (i: number, point: object) =>
      refusalOf("force-sweep", { points: points.map((p, k) => (k === i ? point : p)) });
    expect(at(1, { pressureBar: 2, currentA: 1 })).toBe("unknown-key points.1.pressureBar");
    expect(at(2, { currentA: 1 })).toBe("missing points.2.forceN");
    expect(at(0, { currentA: 1 })).toBe("one-of-missing points.0.forceN");
    expect(at(0, { forceN: 1, pressureBar: 1, currentA: 1 })).toBe("one-of-doubled points.0.forceN");
    expect(refusalOf("force-sweep", { points: points.map((p) => ({ ...p, forceN: 5 })) })).toBe("single-force points");
    const steep = [0.1, 0.1, 9].map((currentA, i) => ({ pressureBar: i, currentA }));
    expect(refusalOf("force-sweep", { points: steep })).toBe("no-current points");
    expect(refusalOf("force-sweep", { points: points.slice(0, 2) })).toBe("too-few points");
  });
});
