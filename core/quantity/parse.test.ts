import { describe, expect, test } from "vitest";
import { formatInchFraction, formatNumber, formatQuantity } from "./format";
import { lastDigit } from "./last-digit";
import { parseQuantity } from "./parse";

describe("what people type for a length, bare numbers in mm", () => {
  test.each([
    ["0.12", 0.12, "mm"],
    ["0,12", 0.12, "mm"],
    [" ,12 ", 0.12, "mm"],
    ["5 thou", 0.127, "thou"],
    ["5thou", 0.127, "thou"],
    [".005in", 0.127, "in"],
    ["1/8 in", 3.175, "in"],
    ['1-1/8"', 28.575, "in"],
    ["1 3/8 in", 34.925, "in"],
    ["1½ in", 38.1, "in"],
    ["120 µm", 0.12, "um"],
    ["−0.05", -0.05, "mm"],
    ["1.2e-1", 0.12, "mm"],
  ])("%s", (text, mm, unit) => {
    const parsed = parseQuantity(text, "length", "mm");
    expect(parsed.ok && parsed.value.unit.id).toBe(unit);
    expect(parsed.ok && parsed.value.value).toBeCloseTo(mm, 12);
  });
});

test.each([
  ["12'", "angle", 0.2],
  ["12° 30'", "angle", 12.5],
  ["1/8 turn", "angle", 45],
  ["3 sixteenths", "angle", 67.5],
  ["70 °F", "temperature", 21.11111],
  ["2 lbf", "force", 8.8964432],
  ["90 min", "time", 1.5],
] as const)("%s as %s", (text, dimension, value) => {
  const parsed = parseQuantity(text, dimension, { angle: "deg", temperature: "C", force: "N", time: "h" }[dimension]);
  expect(parsed.ok && parsed.value.value).toBeCloseTo(value, 4);
});

test.each([
  ["", "empty"],
  ["about a hair", "not-a-number"],
  ["1,234.5", "two-decimal-signs"],
  ["0.1.2", "two-decimal-signs"],
  ["3 furlongs", "unknown-unit"],
  ["12'", "wrong-dimension"],
  ["5 N", "wrong-dimension"],
  ["1/0 in", "zero-denominator"],
  ["9e99", "too-large"],
])("%s is refused: %s", (text, code) => {
  const parsed = parseQuantity(text, "length", "mm");
  expect(parsed.ok ? "accepted" : parsed.refusal.code).toBe(code);
});

test.each([
  [["0.4", "0,42", "1"], 0.01],
  [["420 mA", "1.5 A"], 0.001],
  [["5.", "10"], 1],
  [["", "about"], null],
] as const)("the last digit written of %s", (texts, worth) => {
  expect(lastDigit(texts, "current", "A")).toEqual(worth);
});

test("figures show the digits of the instrument and no more", () => {
  expect(formatQuantity(0.1234, "mm", 0.01)).toBe("0.12 mm");
  expect(formatQuantity(0.127, "thou", 0.0254)).toBe("5 thou");
  expect(formatNumber(-0.001, 2)).toBe("0.00");
  expect(formatNumber(-0.05, 2, ",")).toBe("−0,05");
  expect(formatInchFraction(34.925, 0.01)).toBe("1 3/8 in");
  expect(formatInchFraction(34.6, 0.01)).toBe("1.3622 in");
});
