import { expect, test } from "vitest";
import type { Adjuster } from "./adjusters";
import { learnFromMoves, type PastMove } from "./learn";

const screw: Adjuster = { type: "screw", leadMm: 1, angleDeg: 0, oneWay: false, springReturn: false };
const move = (amount: number, change: number, teaches = true): PastMove => ({
  amount,
  teaches,
  before: [
    { tooth: 7, value: 0.2 },
    { tooth: 9, value: 0.3 },
  ],
  after: [{ tooth: 7, value: 0.2 + change }],
});

test("moves narrow the response from the law towards what really happened", () => {
  const none = learnFromMoves(screw, 0.73, [], 0.005);
  expect(none).toMatchObject({ perUnit: 0.73, moves: 0 });
  const learnt = learnFromMoves(screw, 0.73, [move(0.25, 0.15), move(0.25, 0.15)], 0.005);
  expect(learnt.moves).toBe(2);
  expect(learnt.perUnit).toBeGreaterThan(0.59);
  expect(learnt.perUnit).toBeLessThan(0.65);
  expect(learnt.sd).toBeLessThan(none.sd / 5);
});

test("left out and said so: part drawn back by hand, first move after a reversal, a slipped clamp, no tooth in common", () => {
  const nowhere = { ...move(0.25, 0.15), after: [{ tooth: 30, value: 0.3 }] };
  const learnt = learnFromMoves(
    screw,
    0.73,
    [move(-0.25, -0.18, false), move(0.25, 0.18), move(0.25, 0.18), move(0.25, -0.4), nowhere],
    0.005,
  );
  expect(learnt.evidence.map((item) => item.why)).toEqual([
    "not-teaching",
    "reversal",
    "used",
    "surprising",
    "no-common-tooth",
  ]);
  expect(learnt.moves).toBe(1);
});

test("an eccentric learns a factor on its law, wherever it stands", () => {
  const eccentric: Adjuster = { type: "eccentric", throwMm: 2, angleDeg: 90 };
  const lawChange = 0.73 * 2 * (Math.cos(Math.PI / 2 + 0.1) - 0);
  const degrees = (0.1 * 180) / Math.PI;
  const learnt = learnFromMoves(eccentric, 0.73, [move(degrees, 1.2 * lawChange)], 0.002);
  expect(learnt.perUnit).toBeGreaterThan(1.15);
  expect(learnt.perUnit).toBeLessThan(1.21);
});
