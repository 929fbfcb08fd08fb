import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { normalDeviate, seededRandom } from "~/core/practice";
import { tappedRate } from "~/core/proving";
import { refusalOf, run } from "./run";

/*
 * Check values: handbook of proving (closure, heard periods). Second ways: a drive that is driven round step by step with play and lost steps,
 * and events of two rates counted one by one.
 */

describe("closure", () => {
  const asked = { divisions: 24, forward: [-1.2, -1.4, -1.1], toleranceArcmin: 2 };

  test("misses −1.2, −1.4, −1.1 ′: −1.2333 ± 0.3795; t of table G.2 of JCGM 100", () => {
    const { forward, verdict, perTurnArcmin, ...rest } = run("closure", asked);
    expect(forward.meanArcmin).toBeCloseTo(-1.2333, 4);
    expect(forward.expandedUncertaintyArcmin).toBeCloseTo(0.3795, 4);
    expect(perTurnArcmin).toBe(forward.meanArcmin);
    expect(verdict).toBe("conforms");
    expect(rest).not.toHaveProperty("backward");
    expect(rest).not.toHaveProperty("lostMotionArcmin");
    // Two repeats: 12.71 times s over the root of two.
    const two = run("closure", { ...asked, forward: [-1, -1.2] }).forward;
    expect(two.expandedUncertaintyArcmin).toBeCloseTo((12.71 * Math.SQRT2 * 0.1) / Math.SQRT2, 2);
  });

  test("on a rim: mm / R · 3437.7468 are arcminutes, and so is the uncertainty of a reading", () => {
    const { forward } = run("closure", { ...asked, forward: [0.1], radiusMm: 80, expandedUncertainty: 0.02 });
    expect(forward.meanArcmin).toBeCloseTo((0.1 / 80) * 3437.7468, 6);
    expect(forward.expandedUncertaintyArcmin).toBeCloseTo((0.02 / 80) * 3437.7468, 6);
  });

  test("driven round with an error a turn, play and lost steps: forward n·δ − L, backward n·δ − λ − L, told apart", () => {
    const arcmin = fc.integer({ min: -40, max: 40 }).map((tenths) => tenths / 10);
    fc.assert(
      fc.property(
        fc.record({ turns: fc.integer({ min: 1, max: 9 }), perTurn: arcmin, play: fc.integer({ min: 0, max: 300 }) }),
        ({ turns, perTurn, play }) => {
          const playArcmin = play / 10;
          // The output follows the motor's side pushed by one flank, and pulled back by the other one.
          const drive = (from: { output: number }, sense: 1 | -1) => {
            let motor = 0;
            const edge = from.output;
            for (let quarter = 0; quarter < 4 * turns; quarter++)
              motor += (sense * (21_600 + sense * sense * perTurn)) / 4;
            const lost = sense === 1 ? 0 : playArcmin;
            return edge + motor - sense * lost - sense * turns * 21_600;
          };
          const forward = drive({ output: 0 }, 1);
          const backward = -drive({ output: 0 }, -1);
          const out = run("closure", {
            divisions: 7,
            turns,
            forward: [forward],
            backward: [backward],
            toleranceArcmin: 1,
          });
          expect(out.lostMotionArcmin).toBeCloseTo(playArcmin, 6);
          expect(out.perTurnArcmin).toBeCloseTo(perTurn, 6);
          expect(out.perDivisionArcmin).toBeCloseTo(perTurn / 7, 6);
        },
      ),
    );
  });

  test("a stepper that fell in again four steps away: four whole steps, and what is left; unsure where a reading is too coarse", () => {
    const step = 21_600 / 4800;
    const lost = (expandedUncertainty: number) =>
      run("closure", { ...asked, forward: [0.3 - 4 * step], expandedUncertainty, stepsPerTurn: 4800 }).stepsLost;
    expect(lost(0.5)).toMatchObject({ steps: 4, sure: true });
    expect(lost(0.5).remainderArcmin).toBeCloseTo(0.3, 9);
    expect(lost(step / 2).sure).toBe(false);
    expect(Object.is(run("closure", { ...asked, forward: [0.1], stepsPerTurn: 4800 }).stepsLost.steps, 0)).toBe(true);
  });

  test("the worst of both ways, with the uncertainty on both sides of the tolerance (ISO 14253-1)", () => {
    const verdict = (forward: number, backward: number, expandedUncertainty: number) =>
      run("closure", { ...asked, forward: [forward], backward: [backward], expandedUncertainty }).verdict;
    expect(verdict(1, -1.9, 0.05)).toBe("conforms");
    expect(verdict(1, -1.9, 0.2)).toBe("undecided");
    expect(verdict(1, -2.3, 0.2)).toBe("does-not-conform");
  });

  test.each<[object, string]>([
    [{ forward: [] }, "too-few forward"],
    [{ turns: 0 }, "too-small turns"],
    [{ divisions: 1.5 }, "not-whole divisions"],
    [{ radiusMm: 0 }, "too-small radiusMm"],
    [{ toleranceArcmin: -1 }, "too-small toleranceArcmin"],
  ])("%j is refused: %s", (wrong, code) => expect(refusalOf("closure", { ...asked, ...wrong })).toBe(code));
});

describe("heard-period", () => {
  const motor = { id: "motor", perMinute: 1400 };

  test("720 and 715 a minute are one event apart after 12 s", () => {
    const { alike, matches } = run("heard-period", {
      sources: [
        { id: "wheel", perMinute: 720 },
        { id: "belt", perMinute: 715 },
      ],
      heard: { perMinute: 718 },
      maxTimes: 1,
    });
    expect(matches.map(({ id }: { id: string }) => id)).toEqual(["wheel", "belt"]);
    expect(alike).toMatchObject([{ a: { id: "wheel" }, b: { id: "belt" }, tellBy: "count" }]);
    expect(alike[0].seconds).toBeCloseTo(12, 9);
  });

  test("counted one by one: over the seconds said, two rates come to one event more, over half of them they do not", () => {
    const rate = fc.integer({ min: 30, max: 3000 });
    fc.assert(
      fc.property(rate, fc.integer({ min: 1, max: 40 }), (slow, permille) => {
        const fast = slow * (1 + permille / 1000);
        const { alike } = run("heard-period", {
          sources: [
            { id: "a", perMinute: slow },
            { id: "b", perMinute: fast },
          ],
          heard: { perMinute: slow },
          maxTimes: 1,
        });
        const counted = (seconds: number) => (seconds / 60) * fast - (seconds / 60) * slow;
        expect(counted(alike[0].seconds)).toBeCloseTo(1, 6);
      }),
    );
  });

  test("what comes once is suspected before what comes twice, and then the nearer one", () => {
    const sources = [
      { id: "joint", perMinute: 176 },
      motor,
      { id: "wheel", perMinute: 350 },
      { id: "pinion", perMinute: 345 },
    ];
    const { matches } = run("heard-period", { sources, heard: { secondsBetween: 60 / 346 }, maxTimes: 4 });
    expect(matches.map(({ id, times }: { id: string; times: number }) => `${id} ${times}`)).toEqual([
      "pinion 1",
      "wheel 1",
      "joint 2",
    ]);
    expect(matches[0].deviationPercent).toBeCloseTo(100 * (346 / 345 - 1), 9);
  });

  test("hum keeps its rate: change the speed by so much that the two part by twice the tolerance", () => {
    const { alike } = run("heard-period", {
      sources: [
        { id: "hum", perMinute: 6000, fixed: true },
        { id: "mesh", perMinute: 5900 },
      ],
      heard: { perMinute: 5950 },
      maxTimes: 1,
    });
    expect(alike[0].tellBy).toBe("speed");
    expect(alike[0].speedChangePercent).toBeCloseTo(100 * ((1.1 * 6000) / 5900 - 1), 9);
    // At the new speed a timing that is off by the tolerance either way fits only one of them.
    const mesh = 5900 * (1 + alike[0].speedChangePercent / 100);
    expect(mesh / 6000).toBeGreaterThanOrEqual(1.1 - 1e-9);
  });

  test("equal rates are told by holding; where nothing matches the nearest is said", () => {
    const twins = [motor, { id: "idler", perMinute: 1400 }];
    expect(run("heard-period", { sources: twins, heard: { perMinute: 1400 }, maxTimes: 1 }).alike).toEqual([
      { a: { id: "motor", times: 1 }, b: { id: "idler", times: 1 }, tellBy: "hold" },
    ]);
    const none = run("heard-period", { sources: twins, heard: { perMinute: 2000 }, maxTimes: 2 });
    expect(none).toMatchObject({ feasible: false, matches: [], nearest: { id: "motor", times: 2 } });
  });

  test.each<[object, string]>([
    [{ heard: {} }, "one-of-missing heard.perMinute"],
    [{ heard: { perMinute: 10, secondsBetween: 6 } }, "one-of-doubled heard.perMinute"],
    [{ heard: { perMinute: 10, toleranceShare: 0.5 } }, "too-large heard.toleranceShare"],
    [{ maxTimes: 13 }, "too-large maxTimes"],
    [{ sources: [motor, motor] }, "id-twice sources.1.id"],
    [{ sources: [] }, "too-few sources"],
  ])("%j is refused: %s", (wrong, code) =>
    expect(refusalOf("heard-period", { sources: [motor], heard: { perMinute: 1400 }, ...wrong })).toBe(code),
  );
});

describe("taps", () => {
  test("a noise of 84 a minute tapped by a hand that is 25 ms off and misses a beat now and then: the interval holds it 19 times in 20", () => {
    const random = seededRandom(20261130);
    const rates = Array.from({ length: 400 }, () => {
      const beats = Array.from({ length: 14 }, (_, i) => i).filter((i) => i === 0 || random() > 0.1);
      return tappedRate(beats.map((beat) => 3 + (beat * 60) / 84 + normalDeviate(random, 0.025)));
    });
    const told = rates.filter(
      (rate) => rate.ok && Math.abs(rate.value.perMinute / 84 - 1) <= rate.value.toleranceShare,
    );
    expect(told.length / rates.length).toBeGreaterThan(0.93);
  });

  test("too few taps, and taps that keep no time, tell nothing", () => {
    expect(tappedRate([0, 1, 2, 3])).toMatchObject({
      ok: false,
      refusal: { code: "too-few-taps", facts: { least: 5 } },
    });
    expect(tappedRate([0, 0, 0, 0, 0])).toMatchObject({ ok: false, refusal: { code: "taps-astray" } });
    expect(tappedRate([0, 1, 1.1, 3.9, 4])).toMatchObject({ ok: false, refusal: { code: "taps-astray" } });
    const missed = tappedRate([0, 1, 2, 4, 5]);
    expect(missed).toMatchObject({ ok: true, value: { missed: 1, taps: 5 } });
  });
});
