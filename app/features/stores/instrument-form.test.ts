import { expect, test } from "vitest";
import { readInstrument } from "./instrument-form";

const typed = {
  name: "Dial, tenths",
  kind: "dial indicator",
  dimension: "length",
  unit: "in",
  resolution: "0.0005",
  uncertainty: "0,0003",
  coverage: "2",
  calibrated: "2026-03-01",
  due: "2027-03-01",
};
const problems = (more: Record<string, string>) => Object.keys(readInstrument({ ...typed, ...more }).problems ?? {});

test("an inch dial is kept in millimetres, with the unit that it shows", () => {
  const { value } = readInstrument(typed);
  expect(value).toMatchObject({ dimension: "length", unit: "in", calibratedOn: "2026-03-01", dueOn: "2027-03-01" });
  expect(value?.resolution).toBeCloseTo(0.0127, 12);
  expect(value?.expandedUncertainty).toBeCloseTo(0.00762, 12);
});

test("a unit written behind a figure wins over what the instrument shows", () => {
  expect(readInstrument({ ...typed, resolution: "0.01 mm" }).value?.resolution).toBeCloseTo(0.01, 12);
});

test("a protractor's step is kept in arcminutes, a thermometer's is no temperature", () => {
  const protractor = readInstrument({
    ...typed,
    dimension: "angle",
    unit: "deg",
    resolution: "0.5",
    uncertainty: "0.1",
  });
  expect(protractor.value).toMatchObject({ unit: "deg", resolution: 30, expandedUncertainty: 6 });
  const thermometer = readInstrument({
    ...typed,
    dimension: "temperature",
    unit: "C",
    resolution: "0.5",
    uncertainty: "1",
  });
  expect(thermometer.value).toMatchObject({ unit: "C", resolution: 0.5, expandedUncertainty: 1 });
});

test("what is wrong is named at its field", () => {
  expect(problems({ name: " " })).toEqual(["name"]);
  expect(problems({ resolution: "0" })).toEqual(["resolution"]);
  expect(problems({ resolution: "5 N" })).toEqual(["resolution"]);
  expect(problems({ uncertainty: "-1" })).toEqual(["uncertainty"]);
  expect(problems({ coverage: "11" })).toEqual(["coverage"]);
  expect(problems({ leaves: "0.05 thin 0.2" })).toEqual(["leaves"]);
  expect(problems({ due: "2025-03-01" })).toEqual(["due"]);
  expect(problems({})).toEqual([]);
});
