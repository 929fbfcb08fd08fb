import { expect, test } from "vitest";
import { spurPair } from "../gears";
import { seededRandom } from "./random";
import type { HiddenStage } from "./simulated-stage";
import { type simulatedKeys, wedgeReading } from "./wedge";

const gears: HiddenStage = {
  element: { kind: "gear-pair", pair: spurPair([20, 40], 2, 60.2), parts: {} },
  mean: 0.3,
  gear: { eccentricityMm: 0.05, tightAngleDeg: 90 },
  pinion: { eccentricityMm: 0, tightAngleDeg: 0 },
  response: 1,
};
const read = (key: (typeof simulatedKeys)[number], hidden = gears, moved: number[] = [], place = 1) =>
  wedgeReading(key, hidden, moved, place, seededRandom(3));

test("each types a figure in its own steps, or nothing where it reads nothing", () => {
  expect(read("lever")).toMatch(/^0\.\d\d$/);
  expect(read("caliper")).toMatch(/^0\.\d[02468]$/);
  expect(read("meter")).toBeNull();
  expect(read("gauge")).toBeNull();
  expect(read("clamp-meter")).toMatch(/^[34]\.\d$/);
  expect(read("thermometer")).toMatch(/^2\d\.[05]$/);
  // The thickest leaf that goes in: never more than the gap between the flanks.
  expect(Number(read("feelers"))).toBeLessThanOrEqual(0.3);
});

test("it wobbles round the turn and follows what the adjuster moves", () => {
  const at = (place: number, moved: number[] = []) => Number(read("lever", gears, moved, place));
  // Tight at a quarter turn, tooth 11 of 40; loose at three quarters.
  expect(at(11)).toBeLessThan(at(31) - 0.04);
  expect(at(1, [-0.1])).toBeLessThan(at(1) - 0.05);
});
