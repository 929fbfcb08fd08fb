import { describe, expect, test } from "vitest";
import { bevelPair, bothMembers } from "../../core/bevels";
import { axialForces, type PlanetaryGeometry } from "../../core/planetary";
import { mechanismSays, openingOf } from "../../core/trains";

const radians = (deg: number) => (deg * Math.PI) / 180;

describe("axial forces in a planetary set", () => {
  const set: PlanetaryGeometry = {
    kind: "simple",
    sun: 18,
    planet: [27],
    ring: [72],
    planets: 3,
    // 12 teeth an inch across the tooth at 30°: 25.4/(12·cos 30°) mm, seen along the axis.
    moduleMm: 25.4 / (12 * Math.cos(radians(30))),
    fixed: "ring",
    input: "sun",
    output: "carrier",
  };

  test("the textbook's helical pinion: 18 teeth, 30°, 1 hp at 1800 rpm push along the axis with 23.3 lbf", () => {
    // Shigley, Mechanical Engineering Design, worked example of a helical gear on a motor (from memory): Wt 40.4 lbf, Wa 23.3 lbf.
    const sunNm = (745.7 * 60) / (2 * Math.PI * 1800);
    const outputNm = sunNm * (1 + 72 / 18);
    const sun = axialForces(set, { ring1Deg: 30 })?.find(({ member }) => member === "sun");
    expect(Math.abs((sun?.perNm ?? 0) * outputNm) / 4.4482).toBeCloseTo(23.3, 1);
  });

  test("tooth by tooth: the forces of every mesh from the balance of planet, sun and rings, with no relation of speeds", () => {
    const compound = { kind: "compound-two-ring", planets: 4, moduleMm: 1.25, input: "sun" } as const;
    for (const [sun, a, b, ring1, ring2, beta1, beta2] of [
      [12, 24, 21, 60, 57, 15, -8],
      [15, 30, 33, 75, 78, -22, 12],
      [18, 21, 17, 60, 56, 10, 10],
    ] as const) {
      const geometry: PlanetaryGeometry = {
        ...compound,
        sun,
        planet: [a, b],
        ring: [ring1, ring2],
        fixed: "ring1",
        output: "ring2",
      };
      const got = Object.fromEntries(
        (axialForces(geometry, { ring1Deg: beta1, ring2Deg: beta2 }) ?? []).map(({ member, perNm }) => [member, perNm]),
      );
      const r = (teeth: number) => (teeth * 1.25) / 2000;
      // The load of 1 N·m is put on ring 2; its teeth, outside the planets, hold it with the force f2 in all. Forces on the planets, along the motion.
      const f2 = 1 / r(ring2);
      // A planet turns about its own pin: fs and f1 act at r(a) on either side of it, f2 at r(b) on the side of ring 1. The carrier carries nothing: fs + f1 + f2 = 0.
      // fs·r(a) = f1·r(a) + f2·r(b), with both: 2·f1 = −f2·(1 + r(b)/r(a)).
      const f1 = (-f2 * (1 + r(b) / r(a))) / 2;
      const fs = -f2 - f1;
      // What the sun and the rings get is the other way round.
      const along = (force: number, deg: number) => Math.abs(force * Math.tan(radians(deg)));
      expect(Math.abs(got.sun as number)).toBeCloseTo(along(fs, beta1), 6);
      expect(Math.abs(got.ring1 as number)).toBeCloseTo(along(f1, beta1), 6);
      expect(Math.abs(got.ring2 as number)).toBeCloseTo(along(f2, beta2), 6);
    }
  });
});

test("both members of a bevel pair: the changes that the handbook's table gives for each, put together", () => {
  // 20 : 40, module 3 (ISO 23509, Machinery's Handbook: 26.56505°, 63.43495°), 0.3255449 and 0.6510897 mm a mm of way.
  const pair = { teeth: [20, 40] as [number, number], moduleMm: 3, shaftAngleDeg: 90, pressureAngleDeg: 20 };
  expect(bevelPair({ ...pair, spiralAngleDeg: 0 }).backlashPerAxialMm[0]).toBeCloseTo(0.3255449, 6);
  for (const [pinionMm, backlashMm, aimMm] of [
    [0.1, 0.15, 0.15],
    [-0.2, 0.1, 0.18],
    [0.35, 0.3, 0.12],
  ] as const) {
    const moved = bothMembers({ ...pair, spiralAngleDeg: 0 }, { backlashMm, aimMm }, { pinionMm, gearMm: null });
    expect(backlashMm + 0.3255449 * moved.pinionMm + 0.6510897 * moved.gearMm).toBeCloseTo(aimMm, 6);
  }
});

describe("what a mount must hold", () => {
  const mechanism = {
    motorRpm: 1450,
    wheelDiameterMm: null,
    scale: null,
    // 0.75 kW at 1450 rpm: T = 9550·P/n (Roloff/Matek) = 4.94 N·m.
    motorTorqueNm: (9550 * 0.75) / 1450,
    efficiency: 1,
  };
  // Both shafts press on the housing with the tooth force, one forwards and one backwards, the centre distance apart.
  test.each([
    [[17, 51], "outside", -3],
    [[20, 30], "outside", -1.5],
    [[17, 51], "inside", 3],
    [[25, 90], "inside", 3.6],
  ] as const)("a pair of %j, %s: the bearings' forces about the housing", (teeth, where, ratio) => {
    const [r1, r2] = [teeth[0] / 1000, teeth[1] / 1000];
    const force = mechanism.motorTorqueNm / r1;
    const couple = force * (where === "inside" ? r2 - r1 : r1 + r2);
    expect(mechanismSays({ ...mechanism, ratio }).mountAloneNm).toBeCloseTo(couple, 9);
  });
});

test("openings of pairs on holes: the triples of Pythagoras", () => {
  // 3, 4, 5 and 5, 12, 13 (Euclid, Elements X, lemma to 29): whole distances between holes that are not in one row.
  const grid = { pitchMm: 8, moduleMm: 1 };
  expect(openingOf({ teeth: [40, 40], holes: [3, 4] }, grid)).toBeCloseTo(0, 12);
  expect(openingOf({ teeth: [104, 103], holes: [5, 12] }, grid)).toBeCloseTo(0.5, 12);
});
