import { expect, test } from "vitest";
import { everyKind } from "~/tests/elements";
import { mustHold } from "../../../quantity";
import type { CouplingElement } from "../../element";
import { coupling } from ".";
import { couplingGiven } from "./given";

const element = everyKind.find((known): known is CouplingElement => known.kind === "coupling") as CouplingElement;
const way = (quantity: "rim-swing" | "shaft-offset") =>
  mustHold(coupling.toJudged(element, { quantity, indicatorRadiusMm: null, indicatorAngleDeg: 0, held: null }));

test("a dial on the rim swings by twice the offset, whichever way it went; a straight-edge shows it whole", () => {
  expect(way("rim-swing").convert(-0.32)).toBeCloseTo(0.16, 12);
  expect(way("shaft-offset").convert(0.16)).toBeCloseTo(0.16, 12);
});

test("limits go by the speed, and never beyond what the coupling allows; without a speed there is no rule", () => {
  // 1450 a minute: 0.10 mm and 0.8 mm a metre, which is 0.0458 degrees (limits by speed, common practice).
  expect(couplingGiven.recommend(element, {})).toMatchObject({ lo: 0, hi: 0.1 });
  expect(couplingGiven.recommendSide(element, "angle", {})).toMatchObject({ lo: 0, hi: 0.04 });
  expect(couplingGiven.recommend({ ...element, allow: { radialMm: 0.06 } }, {})).toMatchObject({ hi: 0.06 });
  expect(couplingGiven.recommend({ ...element, rpm: null }, {})).toBeNull();
  expect(couplingGiven.recommend({ ...element, rpm: 9000 }, {})).toBeNull();
  expect(couplingGiven.recommendSide(element, "hub-gap", {})).toMatchObject({ lo: 15, hi: 17 });
});

test("a key or bore that does not fit is said with its end and by how much", () => {
  const [first, second] = element.ends;
  const loose = { ...first, hold: "key" as const, key: { keyMm: 8, slotMm: 8.12 } };
  const tight = { ...second, boreMm: 23.99 };
  expect(mustHold(couplingGiven.check({ ...element, ends: [loose, tight] }))).toEqual([
    { code: "coupling-end", end: 0, fault: "key-too-wide", byMm: expect.closeTo(0.07, 9) },
    { code: "coupling-end", end: 1, fault: "bore-too-tight", byMm: expect.closeTo(0.01, 9) },
  ]);
});
