import { expect, test } from "vitest";
import { axialForces, ringsGoOn } from "./helical";
import type { PlanetaryGeometry } from "./planetary";

const simple: PlanetaryGeometry = {
  kind: "simple",
  sun: 18,
  planet: [27],
  ring: [72],
  planets: 3,
  moduleMm: 1.5,
  fixed: "ring",
  input: "sun",
  output: "carrier",
};
const compound: PlanetaryGeometry = {
  kind: "compound-two-ring",
  sun: 12,
  planet: [24, 21],
  ring: [60, 57],
  planets: 3,
  moduleMm: 1,
  fixed: "ring1",
  input: "sun",
  output: "ring2",
};
const by = (set: PlanetaryGeometry, helix: Parameters<typeof axialForces>[1]) =>
  Object.fromEntries((axialForces(set, helix) ?? []).map(({ member, perNm }) => [member, perNm]));

test("a simple set pushes sun and ring apart alike, and its planets not at all", () => {
  const forces = by(simple, { ring1Deg: 20 });
  // 5 to 1: a fifth of the output's torque at the sun, at 13.5 mm: 14.8 N a N·m, times tan 20°.
  expect(forces.sun).toBeCloseTo(-(0.2 / 0.0135) * Math.tan(Math.PI / 9), 9);
  expect(forces.ring).toBeCloseTo(-(forces.sun as number), 9);
  expect(forces.planet).toBe(0);
  // The sun, left-hand and driven clockwise, comes towards whoever looks.
  expect(by(simple, { ring1Deg: -20 }).sun).toBeCloseTo(-(forces.sun as number), 9);
  expect(by(simple, { ring1Deg: 0 }).sun).toBeCloseTo(0, 12);
});

test("the sign is that of the driver by the right-hand rule: a right-hand sun driven clockwise goes away from whoever looks", () => {
  // The ring left-hand, so the sun right-hand.
  expect(by(simple, { ring1Deg: -20 }).sun).toBeGreaterThan(0);
});

test("of a compound set the planets take what sun and rings leave over, and with the same helix on equal forces nothing", () => {
  const forces = by(compound, { ring1Deg: 15, ring2Deg: 0 });
  expect(forces.ring2).toBeCloseTo(0, 12);
  expect((forces.sun ?? 0) + (forces.ring1 ?? 0) + 3 * (forces.planet ?? 0)).toBeCloseTo(0, 9);
  const both = by(compound, { ring1Deg: 15, ring2Deg: 15 });
  expect((both.sun ?? 0) + (both.ring1 ?? 0) + (both.ring2 ?? 0) + 3 * (both.planet ?? 0)).toBeCloseTo(0, 9);
  // Work: what sun and rings carry at their pitch circles, each with its speed against the carrier, adds to nothing.
  const tan = Math.tan(Math.PI / 12);
  const [sun, ring1, ring2] = [
    -(both.sun as number) * 6,
    (both.ring1 as number) * 30,
    (both.ring2 as number) * 28.5,
  ].map((torque) => torque / tan) as [number, number, number];
  expect(sun - (ring1 * 12) / 60 - (ring2 * (12 / 24) * 21) / 57).toBeCloseTo(0, 9);
  expect(axialForces({ ...compound, moduleMm: undefined }, { ring1Deg: 15 })).toBeNull();
});

test("a ring is screwed over its planets; two go on at once only where they turn the planets alike", () => {
  const { rings, bothAtOnce } = ringsGoOn(compound, { ring1Deg: 15, ring2Deg: 15 });
  // The lead of ring 1: π·60·1/tan 15° = 703.5 mm a turn.
  expect(rings[0]?.turnDegPerMm).toBeCloseTo(360 / 703.4742, 4);
  expect(bothAtOnce).toBe(false);
  // tan β2 = tan β1·21/24.
  const alike = (Math.atan((Math.tan(Math.PI / 12) * 21) / 24) * 180) / Math.PI;
  expect(ringsGoOn(compound, { ring1Deg: 15, ring2Deg: alike }).bothAtOnce).toBe(true);
});
