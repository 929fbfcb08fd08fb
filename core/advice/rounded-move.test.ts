import { expect, test } from "vitest";
import { spurPair } from "../gears";
import { mustHold } from "../quantity";
import { judgeRound } from "../rounds";
import type { Adjuster } from "./adjusters";
import { advise } from "./advise";
import { roundedMove } from "./rounded-move";

const limits = { lo: 0.05, hi: 0.15 };
const judgedOf = (low: number, high: number) =>
  mustHold(
    judgeRound({
      element: { kind: "gear-pair", pair: spurPair([20, 40], 1, 30.1), parts: {} },
      limits,
      readings: [low, high].map((value, i) => ({ tooth: i + 1, angleDeg: 9 * i, value, struck: false })),
      expandedUncertainty: 0.01,
      how: "as-found",
      known: null,
    }),
  );
const adviceFor = (adjuster: Adjuster, low: number, high: number) =>
  advise({
    quantity: "backlash",
    readings: [{ value: low }, { value: high }],
    limits,
    expandedUncertainty: 0.01,
    sensitivity: 0.728,
    adjuster,
    school: "centre-of-band",
    tightRisk: 0.005,
  });
const rounded = (adjuster: Adjuster, step: number, low: number, high: number) =>
  roundedMove(adviceFor(adjuster, low, high), adjuster, step, judgedOf(low, high), limits);
const slide: Adjuster = { type: "slide", angleDeg: 0 };

test("what it will read is said for the amount that a hand can set, not for the one computed", () => {
  const move = rounded(slide, 0.05, 0.2, 0.25);
  expect(move?.amount).toBeCloseTo(-0.15, 12);
  expect(move?.min).toBeCloseTo(0.2 - 0.15 * 0.728, 12);
  expect(move?.max).toBeCloseTo(0.25 - 0.15 * 0.728, 12);
  expect(move?.at).toBeCloseTo(0.2 - 0.15 * 0.728, 12);
});

test("a one-way push is rounded down, never up", () => {
  const screw: Adjuster = { type: "screw", leadMm: 0.7, angleDeg: 180, oneWay: true, springReturn: false };
  expect(adviceFor(screw, 0.3, 0.38).move?.amount).toBeCloseTo(0.3876, 3);
  expect(rounded(screw, 1 / 8, 0.3, 0.38)?.amount).toBe(3 / 8);
  expect(rounded(screw, 0.2, 0.3, 0.38)?.amount).toBeCloseTo(0.2, 12);
});

test("of two holes the one that is judged better is taken, not the nearer; the other is told with what it would read", () => {
  // Holes of a tenth: the advised −0.137 lies nearer to one hole, which leaves it at the upper limit; two bring it to 0.054.
  const holes = rounded(slide, 0.1, 0.2, 0.2);
  expect(holes?.amount).toBeCloseTo(-0.1, 12);
  expect(holes?.verdict).toBe("conforms");
  const wide = rounded(slide, 0.16, 0.21, 0.24);
  expect(wide).toMatchObject({ amount: -0.16, verdict: "conforms" });
  expect(wide?.other?.amount).toBe(-0.32);
  expect(wide?.other?.verdict).toBe("does-not-conform");
});

test("where the nearest setting is where it stands, what the next one would read is still told", () => {
  const stuck = rounded(slide, 1, 0.17, 0.19);
  expect(stuck?.amount).toBeCloseTo(0, 12);
  expect(stuck?.verdict).toBe("does-not-conform");
  expect(stuck?.other?.amount).toBe(-1);
});
