import { expect, test } from "vitest";
import { assessRound, centreChange } from "../advice";
import { spurPair } from "../gears";
import { mustHold } from "../quantity";
import { gearAngle, meshRound, roundPlan } from "../rounds";
import { seededRandom } from "./random";
import { simulatedMesh } from "./simulated-mesh";

const pair = spurPair([22, 57], 2.5, 98.97);
const hidden = {
  pair,
  meanMm: 0.3,
  gear: { eccentricityMm: 0.04, tightAngleDeg: 221 },
  pinion: { eccentricityMm: 0.015, tightAngleDeg: 70 },
  response: 0.8,
};

test("a round read on a simulated mesh finds the faults that are hidden in it", () => {
  const mesh = simulatedMesh(hidden, 0.001, 0.001, seededRandom(3));
  const planned = mustHold(roundPlan(pair.teeth, 16, 2)).gearToothIndices;
  const readings = planned.map((index) => {
    const gearAngleDeg = gearAngle({ tooth: index + 1, turn: 1 }, 57);
    return { gearAngleDeg, backlashMm: mesh.read(gearAngleDeg) };
  });
  const round = mustHold(meshRound(pair, readings, { separatePinion: true }));
  expect(round.gear.eccentricityMm).toBeCloseTo(0.04, 2);
  expect(Math.abs(round.gear.tightAngleDeg - 221)).toBeLessThan(3);
  expect(round.pinion?.eccentricityMm).toBeCloseTo(0.015, 2);
  expect(round.residualMm).toBeLessThan(0.003);
});

test("following the advice brings the simulated mesh inside its limits in a few moves, whatever its response", () => {
  for (let seed = 1; seed <= 25; seed++) {
    const random = seededRandom(seed);
    const mesh = simulatedMesh(
      { ...hidden, meanMm: 0.1 + 0.4 * random(), response: 0.6 + 0.8 * random() },
      0.01,
      0.003,
      random,
    );
    const stage = {
      pair,
      limits: { lo: 0.14, hi: 0.34 },
      adjuster: { type: "screw", leadMm: 1, angleDeg: 0, oneWay: false, springReturn: false } as const,
    };
    const teeth = mustHold(roundPlan(pair.teeth, 12, 1)).gearToothIndices;
    let moves = 0;
    for (; moves < 6; moves++) {
      const readings = teeth.map((index) => ({
        gearAngleDeg: (index * 360) / 57,
        backlashMm: mesh.read((index * 360) / 57),
      }));
      const { advice } = mustHold(assessRound(stage, readings, 0.01));
      if (!advice.move) break;
      mesh.moveCentres(centreChange(stage.adjuster, advice.move.amount));
    }
    expect(moves).toBeLessThanOrEqual(3);
  }
});

test("the same seed reads the same, another one does not", () => {
  const readings = (seed: number) => {
    const mesh = simulatedMesh(hidden, 0.001, 0.01, seededRandom(seed));
    return [0, 30, 60, 90].map(mesh.read);
  };
  expect(readings(5)).toEqual(readings(5));
  expect(readings(5)).not.toEqual(readings(6));
});
