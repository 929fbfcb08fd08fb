import fc from "fast-check";
import { expect, test } from "vitest";
import { daysToIso, isoToDays } from "~/core/logbook/days";

test("times become days and days times, as the calendar of the JavaScript platform (ECMA-262, time values) has them", () => {
  fc.assert(
    fc.property(fc.integer({ min: -30_000_000_000, max: 200_000_000_000 }), (seconds) => {
      const iso = new Date(seconds * 1000).toISOString();
      expect(isoToDays(iso) * 86_400).toBeCloseTo(seconds, 3);
      expect(daysToIso(seconds / 86_400)).toBe(iso);
    }),
    { seed: 4 },
  );
  expect(daysToIso(1e9).slice(0, 4)).toBe("9999");
});
