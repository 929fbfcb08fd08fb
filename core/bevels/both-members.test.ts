import { expect, test } from "vitest";
import { type BevelGeometry, bevelPair } from "./bevel-pair";
import { bothMembers } from "./both-members";

const pair: BevelGeometry = {
  teeth: [20, 40],
  moduleMm: 3,
  shaftAngleDeg: 90,
  pressureAngleDeg: 20,
  spiralAngleDeg: 0,
};

test("what the print asks of one member is given it, and the other brings the backlash to its aim", () => {
  // sin δ1 : sin δ2 = 1 : 2 for a ratio of 2 at 90°: the gear has to go half as far as the pinion.
  const still = bothMembers(pair, { backlashMm: 0.15, aimMm: 0.15 }, { pinionMm: 0.1, gearMm: null });
  expect(still).toEqual({ pinionMm: 0.1, gearMm: expect.closeTo(-0.05, 12), backlashMm: expect.closeTo(0.15, 12) });
  const heel = bothMembers(pair, { backlashMm: 0.15, aimMm: 0.15 }, { pinionMm: null, gearMm: -0.1 });
  expect(heel).toEqual({ pinionMm: expect.closeTo(0.2, 12), gearMm: -0.1, backlashMm: expect.closeTo(0.15, 12) });
});

test("where the print asks nothing the gear sets the backlash; where it asks both, the backlash is what comes of it", () => {
  const [perPinion, perGear] = bevelPair(pair).backlashPerAxialMm;
  const none = bothMembers(pair, { backlashMm: 0.1, aimMm: 0.2 }, { pinionMm: null, gearMm: null });
  expect(none).toEqual({ pinionMm: 0, gearMm: expect.closeTo(0.1 / perGear, 12), backlashMm: expect.closeTo(0.2, 12) });
  const both = bothMembers(pair, { backlashMm: 0.1, aimMm: 0.2 }, { pinionMm: 0.1, gearMm: 0.1 });
  expect(both.backlashMm).toBeCloseTo(0.1 + 0.1 * (perPinion + perGear), 12);
});
