import { expect, test } from "vitest";
import { fleetDrift, type OwnDrift, reachesIn } from "./fleet-drift";

/** A slope known to one standard deviation, as an interval of 95 %. */
const own = (slope: number, sd: number): OwnDrift => ({
  slope,
  slopeInterval: [slope - 1.959964 * sd, slope + 1.959964 * sd],
  coverage: 0.95,
});

test("taken together as DerSimonian and Laird do, worked by hand", () => {
  // Weights 100, 25, 25; fixed mean 0.85/1.5; Q = Σw(y−m)²; C = 150 − 11250/150 = 75.
  const fleet = fleetDrift([own(0.2, 0.1), own(0.8, 0.2), own(1.8, 0.2)]);
  const mean = (100 * 0.2 + 25 * 0.8 + 25 * 1.8) / 150;
  const q = 100 * (0.2 - mean) ** 2 + 25 * (0.8 - mean) ** 2 + 25 * (1.8 - mean) ** 2;
  const between = (q - 2) / 75;
  const weights = [1 / (0.01 + between), 1 / (0.04 + between), 1 / (0.04 + between)];
  const sum = weights.reduce((a, b) => a + b);
  expect(fleet?.between).toBeCloseTo(Math.sqrt(between), 5);
  expect(fleet?.slope).toBeCloseTo(
    ((weights[0] ?? 0) * 0.2 + (weights[1] ?? 0) * 0.8 + (weights[2] ?? 0) * 1.8) / sum,
    5,
  );
  expect(fleet?.sd).toBeCloseTo(Math.sqrt(1 / sum), 5);
});

test("stages that agree differ by nothing, and the next one is as sure as their mean; one alone says nothing of others", () => {
  const alike = fleetDrift([own(0.5, 0.1), own(0.5, 0.1), own(0.5, 0.1), own(0.5, 0.1)]);
  expect(alike?.between).toBe(0);
  expect(alike?.nextInterval[0]).toBeCloseTo(0.5 - 1.959964 * 0.05, 5);
  expect(fleetDrift([own(0.5, 0.1)])).toBeNull();
  expect(fleetDrift([own(0.5, 0.1), { slope: 0.4, slopeInterval: [0.4, 0.4], coverage: 0 }])).toBeNull();
});

test("it gets to its limit between the fastest and the slowest; perhaps never where the slowest goes the other way", () => {
  expect(reachesIn(0.1, 0.2, { slope: 0.01, nextInterval: [0.005, 0.02] })).toEqual({
    at: 10,
    earliest: 5,
    latest: 20,
  });
  const perhaps = reachesIn(0.1, 0.2, { slope: 0.01, nextInterval: [-0.01, 0.02] });
  expect(perhaps).toEqual({ at: 10, earliest: 5, latest: null });
  expect(reachesIn(0.1, 0.2, { slope: -0.01, nextInterval: [-0.02, 0] })).toBeNull();
});
