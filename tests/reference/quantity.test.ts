import { describe, expect, test } from "vitest";
import { fromCanonical, parseQuantity, toCanonical, unitById } from "~/core/quantity";
import { combined, differenceUncertainty, fromResolution, normalQuantile } from "~/core/statistics";

// NIST SP 811, Appendix B: exact conversion factors.
test.each([
  ["in", 25.4],
  ["thou", 0.0254],
  ["lbf", 4.4482216152605],
  ["kgf", 9.80665],
  ["lbf-ft", 1.3558179483314],
  ["lbf-in", 0.1129848290276167],
  ["arcmin", 1 / 60],
])("one %s", (id, factor) => {
  expect(toCanonical(1, unitById(id))).toBeCloseTo(factor, 12);
});

test("Fahrenheit: 212 °F is 100 °C and −40 is −40", () => {
  expect(toCanonical(212, unitById("F"))).toBeCloseTo(100, 12);
  expect(fromCanonical(-40, unitById("F"))).toBeCloseTo(-40, 12);
});

test.each([
  ['1-1/8"', 28.575],
  ["3/64 in", 1.190625],
  [".005in", 0.127],
])("%s in millimetres (exact inch)", (text, mm) => {
  const parsed = parseQuantity(text, "length", "mm");
  expect(parsed.ok && parsed.value.value).toBeCloseTo(mm, 12);
});

describe("statistics", () => {
  // Standard normal tables: z(0.975) 1.959964, z(0.995) 2.575829, z(0.84134474) 1.0.
  test.each([
    [0.975, 1.959963984540054],
    [0.995, 2.5758293035489],
    [0.5, 0],
    [1e-10, -6.361340902404056],
  ])("normal quantile of %d", (p, z) => {
    expect(normalQuantile(p)).toBeCloseTo(z, 12);
  });
  // JCGM 100 worked budget: r 0.01, s 0.004 (n 3), calibration U 0.004 (k 2): u_c 0.0042032.
  test("root sum of squares", () => {
    expect(combined(fromResolution(0.01), 0.004 / Math.sqrt(3), 0.004 / 2)).toBeCloseTo(0.0042032, 7);
  });
  test("a difference of two readings carries r/√6", () => {
    expect(differenceUncertainty(0.01, 0, 2)).toBeCloseTo((2 * 0.01) / Math.sqrt(6), 12);
  });
});
