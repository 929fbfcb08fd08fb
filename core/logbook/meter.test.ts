import { expect, test } from "vitest";
import { daysToIso } from "./days";
import { type MeterReading, usageAt, usagePerDay } from "./meter";

const meter: MeterReading[] = [
  { day: 20_000, total: 1000 },
  { day: 20_100, total: 1800 },
];

test("usage lies on the line between the days on which the meter was read, and is not known away from them", () => {
  expect(usageAt(meter, daysToIso(20_025))).toBeCloseTo(1200, 6);
  expect(usageAt(meter, daysToIso(20_100.5))).toBe(1800);
  expect(usageAt(meter, daysToIso(20_130))).toBeNull();
  expect(usageAt(meter, daysToIso(19_990))).toBeNull();
  expect(usageAt([], daysToIso(20_000))).toBeNull();
});

test("usage a day is by the meter's own dates; one reading tells none", () => {
  expect(usagePerDay(meter)).toBeCloseTo(8, 12);
  expect(usagePerDay(meter.slice(0, 1))).toBeNull();
});
