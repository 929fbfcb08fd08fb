import fc from "fast-check";
import { expect, test } from "vitest";
import { everyKind } from "~/tests/elements";
import { judge } from "../limits";
import type { AxisElement } from "../stages";
import { mmAtSwitch, switchMoves } from "./switch-moves";

const [sliding, swinging] = everyKind.filter((known): known is AxisElement => known.kind === "axis") as [
  AxisElement,
  AxisElement,
];
const limits = { lo: 18.2, aim: null, hi: 35 };
const at = (low: number, high: number) => [
  { tooth: 1, value: low },
  { tooth: 2, value: high },
];

test("each end is moved by itself, from behind its buffer too; one that conforms stays", () => {
  const [low, high] = switchMoves(sliding, limits, at(24, -5), 0.2, 0.5);
  expect(low).toMatchObject({ end: "low", by: 0, verdict: "conforms" });
  expect(low?.left).toBeCloseTo(5.8, 9);
  expect(high).toMatchObject({ end: "high", by: 31.5, willRead: 26.5, verdict: "does-not-conform" });
  expect(high?.left).toBeCloseTo(-23.2, 9);
  expect(switchMoves(sliding, limits, [{ tooth: 2, value: 20 }], 0.2, 0.5).map(({ end }) => end)).toEqual(["high"]);
});

test("moved as said, in whole steps, every switch conforms", () => {
  const value = fc.double({ min: -30, max: 80, noNaN: true });
  const property = fc.property(value, value, fc.constantFrom(0.1, 0.5, 1, 2), (low, high, step) => {
    for (const move of switchMoves(sliding, limits, at(low, high), 0.2, step)) {
      expect(Math.abs(move.by / step - Math.round(move.by / step))).toBeLessThan(1e-9);
      expect(judge(move.willRead, limits, 0.2).verdict).toBe("conforms");
    }
  });
  fc.assert(property);
});

test("a swinging axis says degrees, moved in steps of mm where its switches stand; without room nothing is moved", () => {
  const [low] = switchMoves(swinging, { lo: 4.5, aim: 6, hi: 8 }, at(3, 6), 0.1, 0.5);
  const mm = mmAtSwitch(swinging, low?.by ?? 0) ?? 0;
  expect(low?.willRead).toBeCloseTo(6, 0);
  expect(mm / 0.5).toBeCloseTo(Math.round(mm / 0.5), 6);
  expect(mmAtSwitch({ ...swinging, switchRadiusMm: null }, 3)).toBeNull();
  const cramped = { ...swinging, stopsIn: 9 };
  expect(switchMoves(cramped, null, at(3, 6), 0.1, 0.5).every(({ by, noRoom }) => by === 0 && noRoom)).toBe(true);
});
