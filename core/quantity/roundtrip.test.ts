import fc from "fast-check";
import { expect, test } from "vitest";
import { formatNumber, roundTo } from "./format";
import { parseQuantity } from "./parse";
import { fromCanonical, toCanonical, unitById, units } from "./units";

test("what the app writes it can read again, with point and with comma, in every unit", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...units),
      fc.integer({ min: -99_999, max: 99_999 }),
      fc.constantFrom(".", ","),
      (unit, thousandths, sign) => {
        const amount = thousandths / 1000;
        const written = `${formatNumber(amount, 3, sign as "." | ",")} ${unit.spellings[0]}`;
        const parsed = parseQuantity(written, unit.dimension, unit.id);
        expect(parsed.ok && parsed.value.unit.id).toBe(unit.id);
        expect(parsed.ok && parsed.value.amount).toBeCloseTo(amount, 9);
      },
    ),
    { seed: 25, numRuns: 500 },
  );
});

test("there and back in every unit", () => {
  fc.assert(
    fc.property(fc.constantFrom(...units), fc.double({ min: -1e4, max: 1e4, noNaN: true }), (unit, value) => {
      expect(fromCanonical(toCanonical(value, unit), unit)).toBeCloseTo(value, 6);
    }),
  );
});

test("whatever is typed, it is understood or refused, never both and never thrown", () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 30, unit: "grapheme" }), (text) => {
      const parsed = parseQuantity(text, "length", "mm");
      if (parsed.ok) expect(Number.isFinite(parsed.value.value)).toBe(true);
      else expect(parsed.refusal.code).toMatch(/^[a-z-]+$/);
    }),
    { seed: 3, numRuns: 2000 },
  );
});

test("rounding to a step leaves no binary dust", () => {
  expect(roundTo(0.1 + 0.2, 0.01)).toBe(0.3);
  expect(roundTo(0.30000000000000004, 0.002)).toBe(0.3);
  expect(unitById("eighth").factor * 8).toBe(360);
});
