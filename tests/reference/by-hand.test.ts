import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { slackMove } from "~/core/advice";
import { mustHold } from "~/core/quantity";
import { refusalOf, run } from "./run";

/*
 * Set and felt by hand. Check values: handbook of belts in use (tension-first, hand-slack, roller-grid), of feel (feel-round: the table of
 * the calc contract, common practice); second ways: the arc by numeric integral, the path over a roller as the hull of its circles,
 * the chance of passing a limit by drawing stiffnesses, a round by feel by looking at every place in turn.
 */

describe("hand-slack", () => {
  const strand = { spanMm: 400, movementMm: 60, drive: "level" };
  const arcLength = (span: number, sag: number) => {
    // y = 4s·x(L − x)/L²: √(1 + y′²) summed over the span.
    const n = 20_000;
    let sum = 0;
    for (let i = 0; i < n; i++) {
      const x = ((i + 0.5) * span) / n;
      sum += (Math.hypot(1, (4 * sag * (span - 2 * x)) / span ** 2) * span) / n;
    }
    return sum;
  };

  test("L 400, y 30: triangle 4.474968, arc 5.921495, as by numeric integral", () => {
    const { excessMm, percent } = run("hand-slack", strand);
    expect(excessMm.triangle).toBeCloseTo(4.474968, 6);
    expect(excessMm.arc).toBeCloseTo(5.921495, 6);
    expect(excessMm.arc).toBeCloseTo(arcLength(400, 30) - 400, 5);
    expect(percent).toBe(7.5);
  });

  test("to 24 of movement: a roller at 130, 32 across, from 4, goes to 26.000581 and takes up 3.755615", () => {
    const roller = { alongMm: 130, diameterMm: 32, pressMm: 4 };
    const slack = run("hand-slack", { ...strand, roller });
    expect(slack.target.movementMm).toBe(24);
    expect(slack.takeUpMm).toBeCloseTo(3.755615, 6);
    expect(slack.roller.pressMm).toBeCloseTo(26.000581, 6);
    expect(slack.moveCentreMm).toBeCloseTo(3.755615 / 2, 6);
    const stopped = run("hand-slack", { ...strand, roller: { ...roller, maxPressMm: 20 } });
    expect(stopped.feasible).toBe(false);
    expect(stopped.roller.pressMm).toBe(20);
    expect(stopped.roller.leftMm).toBeGreaterThan(0);
  });

  test("a steep chain's adjuster: 60 mm on 400 at a slide is 3.71 mm of centres, and then 12 in all; in whole millimetres the nearest", () => {
    const steep = { spanMm: 400, centreDistanceMm: 800, movementMm: 60, way: "steep" as const };
    const free = mustHold(slackMove(steep, { type: "slide", angleDeg: 0 }, 0));
    const tool = run("hand-slack", { ...strand, drive: "steep", centreDistanceMm: 800 });
    expect(free.amount).toBeCloseTo(tool.moveCentreMm, 9);
    expect(free.thenMm).toBeCloseTo(tool.target.movementMm, 9);
    expect(free).toMatchObject({ percent: 7.5, reaches: true });
    const whole = mustHold(slackMove(steep, { type: "slide", angleDeg: 0 }, 1));
    const left = (amount: number) => 4.474968 - amount;
    // A triangle of excess e on 400: moves 2y with √(400² + (2y)²) = 400 + e.
    expect(whole.thenMm).toBeCloseTo(Math.sqrt((400 + left(whole.amount)) ** 2 - 400 ** 2), 4);
    expect(mustHold(slackMove({ ...steep, movementMm: 12 }, { type: "slide", angleDeg: 0 }, 0)).amount).toBe(0);
  });

  test("after the take-up the strand moves as wanted, whichever shape", () => {
    for (const shape of ["triangle", "arc"]) {
      const slack = run("hand-slack", { ...strand, shape });
      const then = run("hand-slack", { ...strand, shape, movementMm: slack.target.movementMm });
      expect(then.takeUpMm).toBeCloseTo(0, 9);
      expect(then.verdict).toBe("conforms");
      expect(slack.excessMm[shape] - slack.takeUpMm).toBeCloseTo(then.excessMm[shape], 9);
    }
  });

  test("steep and reversing drives want half of it; a force tells the tension; what cannot be is named", () => {
    expect(run("hand-slack", { ...strand, drive: "steep" }).target).toMatchObject({ loPercent: 1, hiPercent: 2 });
    expect(run("hand-slack", { ...strand, forceN: 20 }).tensionN).toBeCloseTo((20 * Math.hypot(400, 60)) / 120, 9);
    expect(refusalOf("hand-slack", { ...strand, movementMm: 0, forceN: 5 })).toBe("movement-missing movementMm");
    expect(refusalOf("hand-slack", { spanMm: 400, movementMm: 60 })).toBe("one-of-missing drive");
    expect(refusalOf("hand-slack", { ...strand, centreDistanceMm: 399 })).toBe("centre-below-span centreDistanceMm");
    const near = { alongMm: 10, diameterMm: 32, pressMm: 0 };
    expect(refusalOf("hand-slack", { ...strand, roller: near })).toBe("roller-too-near-the-end roller.alongMm");
  });
});

describe("tension-first", () => {
  const guess = { tensionN: 25, readingSdN: 2, perUnitN: 80, limitsN: { lo: 90, aim: 105, hi: 120 } };

  test("80 N/mm guessed, 25 to 105 N: 0.338979 mm, expected 52 (33 … 116)", () => {
    const first = run("tension-first", guess);
    expect(first.move).toEqual({ amount: expect.closeTo(0.338979, 6), limitedBy: "risk" });
    expect([first.expectedN.lo, first.expectedN.median, first.expectedN.hi].map(Math.round)).toEqual([33, 52, 116]);
    expect(first.riskOfOver).toBeCloseTo(0.005, 9);
  });

  test("61 N read: learnt 105.4 N/mm ± 8 %, taken as ± 16 %, second move 0.354632 to 98.4 (86 … 116)", () => {
    const { move, ...second } = run("tension-first", { ...guess, moves: [{ amount: 0.338979, readingN: 61 }] });
    expect(second.stiffness.perUnitN).toBeCloseTo(105.4, 1);
    expect(second.stiffness.spread).toBeCloseTo(Math.exp(0.15) - 1, 9);
    expect(move.amount).toBeCloseTo(0.354632, 5);
    expect(second.expectedN.median).toBeCloseTo(98.4, 1);
    expect([second.expectedN.lo, second.expectedN.hi].map(Math.round)).toEqual([86, 116]);
  });

  test("of drawn stiffnesses as many pass the limit as it says", () => {
    let seed = 7;
    const uniform = () => {
      seed = (seed * 1103515245 + 12345) % 2147483648;
      return (seed + 0.5) / 2147483648;
    };
    const { move } = run("tension-first", { ...guess, risk: 0.05 });
    let over = 0;
    const n = 200_000;
    for (let i = 0; i < n; i++) {
      const normal = Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
      if (25 + 80 * 1.6 ** normal * move.amount > 116) over++;
    }
    expect(over / n).toBeCloseTo(0.05, 2);
  });

  test("back no further than keeps it taut; a tension that goes against the move is refused", () => {
    const back = run("tension-first", { ...guess, tensionN: 400 });
    expect(back.move.limitedBy).toBe("risk");
    expect(back.move.amount).toBeLessThan(0);
    expect(400 + 80 * 1.6 ** 2.5758293 * back.move.amount).toBeCloseTo(0, 4);
    expect(back.riskOfOver).toBe(0);
    expect(run("tension-first", { ...guess, tensionN: 105 }).move).toBeNull();
    expect(refusalOf("tension-first", { ...guess, moves: [{ amount: 0.2, readingN: 24 }] })).toBe(
      "does-not-follow moves.0.readingN",
    );
    expect(refusalOf("tension-first", { ...guess, limitsN: { lo: 9, hi: 8 } })).toBe("window-upside-down limitsN.lo");
  });
});

describe("roller-grid", () => {
  const pulley = (x: number, y: number, pitchDiameterMm: number, side = "inside") => ({ x, y, pitchDiameterMm, side });
  const grid = {
    pulleys: [pulley(0, 0, 40), pulley(150, 0, 60), pulley(0, 0, 5)],
    roller: {
      index: 2,
      holes: [
        { x: 70, y: 60 },
        { x: 70, y: 84 },
      ],
      diametersMm: [15, 22],
    },
    lengthMm: 482,
    stiffnessN: 9000,
    limitsN: { lo: 10, aim: 110, hi: 150 },
  };

  test("lengths as the hull of the circles, 23.424284 N with 22, a barrel of 30.374998 for 110 N", () => {
    const found = run("roller-grid", grid);
    const lengths = found.rows.map((row: { lengthMm: number }) => row.lengthMm);
    expect(lengths).toEqual([479.662715, 483.254501, 506.490034, 511.416318].map((mm) => expect.closeTo(mm, 6)));
    expect(found.rows.map(({ state }: { state: string }) => state)).toEqual(["slack", "inside", "above", "above"]);
    expect(found.best).toEqual({ hole: 0, diameterMm: 22, tensionN: expect.closeTo(23.424284, 6) });
    expect(found.aimDiameterMm[0]).toBeCloseTo(30.374998, 6);
    const again = run("roller-grid", { ...grid, roller: { ...grid.roller, diametersMm: [found.aimDiameterMm[0]] } });
    expect(again.rows[0].tensionN).toBeCloseTo(110, 6);
  });

  test("a roller on the back: 591.0922959, without it 588.4955592, and whether the belt goes on", () => {
    const back = {
      ...grid,
      pulleys: [pulley(0, 0, 60), pulley(100, 22, 16, "outside"), pulley(200, 0, 60)],
      roller: { index: 1, holes: [{ x: 100, y: 22 }], diametersMm: [16] },
      lengthMm: 590,
    };
    const found = run("roller-grid", back);
    expect(found.rows[0].lengthMm).toBeCloseTo(591.0922959, 6);
    expect(found.slackWithoutMm).toBeCloseTo(590 - 588.4955592, 6);
    expect(found.goesOn).toBe(true);
    expect(run("roller-grid", { ...back, lengthMm: 588 }).goesOn).toBe(false);
  });

  test("none inside: the nearest of those that fit; what is wrong is named", () => {
    const found = run("roller-grid", { ...grid, limitsN: { lo: 100, hi: 150 } });
    expect(found.feasible).toBe(false);
    expect(found.best).toMatchObject({ hole: 0, diameterMm: 22 });
    expect(refusalOf("roller-grid", { ...grid, roller: { ...grid.roller, index: 3 } })).toBe(
      "no-such-pulley roller.index",
    );
    const overlapping = [pulley(0, 0, 5), pulley(0, 0, 40), pulley(30, 0, 60)];
    const first = { ...grid, pulleys: overlapping, roller: { ...grid.roller, index: 0 } };
    expect(refusalOf("roller-grid", first)).toBe("pulleys-overlap pulleys.2");
  });
});

describe("feel-round", () => {
  const words = (...grades: number[]) => grades.map((grade, place) => ({ place: place * 5, grade }));
  const felt = (...grades: number[]) => run("feel-round", { words: words(...grades), places: 5 * grades.length });

  test.each([
    [[5, 3, 3, 3], "outside", "tight", "apart"],
    [[5, 1, 3, 3], "outside", "both", "apart"],
    [[4, 1, 3, 3], "outside", "loose", "none"],
    [[4, 2, 3, 3], "near", "loose", "none"],
    [[4, 3, 3, 4], "inside", null, "none"],
    [[4, 4, 3, 4], "near", "tight", "apart"],
    [[4, 4, 4, 4], "near", "tight", "apart"],
    [[3, 1, 3, 3], "outside", "loose", "together"],
    [[3, 2, 3, 3], "near", "loose", "together"],
    [[3, 3, 3, 3], "inside", null, "none"],
    [[2, 2, 2, 2, 2, 3], "near", "loose", "together"],
    [[2, 2, 2, 2], "outside", "loose", "together"],
    [[1, 1, 2, 1], "outside", "loose", "together"],
  ])("%j is %s, %s, %s", (grades, verdict, side, step) => {
    expect(felt(...grades)).toMatchObject({ verdict, side, step });
  });

  test("with too little felt nothing is right, a binding place still is not, and nobody is sent closer", () => {
    const few = (grade: number) => run("feel-round", { words: [{ place: 3, grade }], places: 40 });
    expect(few(3)).toMatchObject({ verdict: "not-known", side: null, step: "none", missing: 39, feelNext: 23 });
    expect(few(5)).toMatchObject({ verdict: "outside", side: "tight", step: "apart" });
    expect(few(1)).toMatchObject({ verdict: "outside", side: "loose", step: "none" });
  });

  test("the tight place is the middle of its run, over the mark too", () => {
    const at = (...places: [number, number][]) =>
      run("feel-round", { words: places.map(([place, grade]) => ({ place, grade })), places: 40 });
    expect(at([0, 4], [5, 3], [10, 3], [20, 3], [30, 3], [35, 4]).tightPlace).toBe(37);
    expect(at([0, 3], [10, 3], [20, 3], [30, 3]).tightPlace).toBeNull();
  });

  test("an arc has ends, which nothing but themselves can stand for", () => {
    const arc = { places: 40, arc: [30, 50] };
    const on = (...places: number[]) =>
      run("feel-round", { ...arc, words: places.map((place) => ({ place, grade: 3 })) });
    expect(on(32, 36, 0, 4, 8)).toMatchObject({ verdict: "inside", missing: 3 });
    expect(on(36, 0, 4)).toMatchObject({ verdict: "not-known", missing: 6, feelNext: 33 });
    expect(refusalOf("feel-round", { ...arc, words: [{ place: 20, grade: 3 }] })).toBe("outside-the-arc words.0.place");
    expect(refusalOf("feel-round", { places: 40, arc: [5, 45], words: [{ place: 5, grade: 3 }] })).toBe(
      "arc-empty arc",
    );
  });

  test("any round agrees with looking at every place in turn", () => {
    const word = fc.record({ place: fc.nat(29), grade: fc.integer({ min: 1, max: 5 }) });
    fc.assert(
      fc.property(fc.array(word, { minLength: 1, maxLength: 25 }), (list) => {
        const found = run("feel-round", { words: list, places: 30 });
        const has = (place: number) => list.some((w) => w.place === ((place % 30) + 30) % 30);
        let longest = 0;
        for (let start = 0; start < 30; start++) {
          let n = 0;
          while (n < 30 && !has(start + n)) n++;
          longest = Math.max(longest, n);
        }
        expect(found.missing).toBe(longest);
        const grades = list.map(({ grade }) => grade);
        // A binding or a loose place is never outvoted.
        if (grades.includes(5)) expect(found).toMatchObject({ verdict: "outside", step: "apart" });
        if (grades.includes(1)) expect(found.verdict).toBe("outside");
        if (found.verdict === "inside") expect(grades.every((grade) => grade === 3 || grade === 4)).toBe(true);
        if (found.tightPlace !== null) {
          const most = Math.max(...grades);
          const binding = list.filter(({ grade }) => grade === most).map(({ place }) => place);
          const way = (a: number, b: number) => Math.min((a - b + 30) % 30, (b - a + 30) % 30);
          // No felt place of a lesser grade lies between it and the nearest of the tightest.
          const nearest = Math.min(...binding.map((place) => way(place, found.tightPlace)));
          const lesser = list
            .filter(({ place }) => !binding.includes(place))
            .map(({ place }) => way(place, found.tightPlace));
          expect(nearest).toBeLessThanOrEqual(Math.min(30, ...lesser));
        }
      }),
      { numRuns: 400, seed: 20 },
    );
  });
});
