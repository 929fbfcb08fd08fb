import { expect, test } from "vitest";
import { mechanismSays, ratioWanted, rpmForSpeed } from "./mechanism";

const motor = { motorRpm: 1400, ratio: 35, wheelDiameterMm: 60, scale: 20, motorTorqueNm: 0.5, efficiency: 0.8 };

test("speed, torque and what the mount holds: with the motor on it the output's, without it what is left of both", () => {
  expect(mechanismSays(motor)).toEqual({
    outputRpm: 40,
    // π·0.06·40/60 = 0.1257 m/s, for 2.51 m/s in a scale of 1 to 20.
    surfaceMPerS: expect.closeTo(0.12566, 4),
    scaleMPerS: expect.closeTo(2.5133, 4),
    outputTorqueNm: 14,
    mountNm: 14,
    mountAloneNm: 13.5,
  });
  // Reversed the two torques turn the housing the same way.
  expect(mechanismSays({ ...motor, ratio: -35 }).mountAloneNm).toBe(14.5);
});

test("what is not known stays not known", () => {
  expect(mechanismSays({ ...motor, efficiency: null, wheelDiameterMm: null, motorRpm: null })).toEqual({
    outputRpm: null,
    surfaceMPerS: null,
    scaleMPerS: null,
    outputTorqueNm: null,
    mountNm: null,
    mountAloneNm: null,
  });
});

test("solved backwards: the ratio for a speed, and the turns for a speed along the rim", () => {
  expect(ratioWanted(1400, 50)).toBe(28);
  expect(ratioWanted(null, 50)).toBeNull();
  const rpm = rpmForSpeed(2.5133, 60, 20);
  expect(rpm).toBeCloseTo(40, 3);
  expect(rpmForSpeed(2.5, null, null)).toBeNull();
});
