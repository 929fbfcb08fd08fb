import { expect, test } from "vitest";
import { spurPair } from "../gears";
import type { StageElement } from "../stages";
import type { Adjuster } from "./adjusters";
import { learnFromMoves, type PastMove } from "./learn";

const screw: Adjuster = { type: "screw", leadMm: 1, angleDeg: 0, oneWay: false, springReturn: false };
const pair: StageElement = { kind: "gear-pair", pair: spurPair([20, 40], 2, 60.2), parts: {} };
const move = (amount: number, change: number, teaches = true, readingSd = 0.005, from = 0): PastMove => ({
  amount,
  from,
  readingSd,
  teaches,
  before: [
    { tooth: 7, value: 0.2 },
    { tooth: 9, value: 0.3 },
  ],
  after: [{ tooth: 7, value: 0.2 + change }],
});

test("moves narrow the response from the law towards what really happened", () => {
  const none = learnFromMoves(pair, screw, 0.73, []);
  expect(none).toMatchObject({ perUnit: 0.73, moves: 0 });
  const learnt = learnFromMoves(pair, screw, 0.73, [move(0.25, 0.15), move(0.25, 0.15)]);
  expect(learnt.moves).toBe(2);
  expect(learnt.perUnit).toBeGreaterThan(0.59);
  expect(learnt.perUnit).toBeLessThan(0.65);
  expect(learnt.sd).toBeLessThan(none.sd / 3);
  // Plain geometry is expected to within 15 % (handbook, "Response").
  expect(none.sd).toBeCloseTo(0.15 * 0.73, 12);
});

test("left out and said so: part drawn back by hand, first move after a reversal, a slipped clamp, no tooth in common", () => {
  const nowhere = { ...move(0.25, 0.15), after: [{ tooth: 30, value: 0.3 }] };
  const learnt = learnFromMoves(pair, screw, 0.73, [
    move(-0.25, -0.18, false),
    move(0.25, 0.18),
    move(0.25, 0.18),
    move(0.25, -0.4),
    nowhere,
  ]);
  expect(learnt.evidence.map((item) => item.why)).toEqual([
    "not-teaching",
    "reversal",
    "used",
    "surprising",
    "no-common-tooth",
  ]);
  expect(learnt.moves).toBe(1);
  expect(learnt.evidence.map(({ opposite }) => opposite)).toEqual([false, false, false, true, false]);
});

test("an eccentric learns a factor on its law, wherever it stands", () => {
  const eccentric: Adjuster = { type: "eccentric", throwMm: 2, angleDeg: 90 };
  const lawChange = 0.73 * 2 * (Math.cos(Math.PI / 2 + 0.1) - 0);
  const degrees = (0.1 * 180) / Math.PI;
  const learnt = learnFromMoves(pair, eccentric, 0.73, [move(degrees, 1.2 * lawChange, true, 0.002)]);
  expect(learnt.perUnit).toBeGreaterThan(1.13);
  expect(learnt.perUnit).toBeLessThan(1.21);
});

test("each move teaches as well as the instrument that read it: a coarse one in the drawer changes nothing", () => {
  const fine = learnFromMoves(pair, screw, 0.73, [move(0.25, 0.15, true, 0.003)]);
  const coarse = learnFromMoves(pair, screw, 0.73, [move(0.25, 0.15, true, 0.03)]);
  expect(fine.sd).toBeLessThan(coarse.sd / 2);
  expect(Math.abs(fine.perUnit - 0.6)).toBeLessThan(Math.abs(coarse.perUnit - 0.6));
});

test("an eccentric that has turned on teaches from where it stood, not from where it was entered", () => {
  const eccentric: Adjuster = { type: "eccentric", throwMm: 2, angleDeg: 30 };
  const stood = (30 + 60) * (Math.PI / 180);
  const change = 0.73 * 2 * (Math.cos(stood + Math.PI / 18) - Math.cos(stood));
  const learnt = learnFromMoves(pair, eccentric, 0.73, [move(10, change, true, 0.002, 60)]);
  expect(learnt.perUnit).toBeCloseTo(1, 6);
});
