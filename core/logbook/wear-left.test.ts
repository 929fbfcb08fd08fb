import { expect, test } from "vitest";
import type { Entry } from "./entry";
import { wearLeft } from "./wear-left";

const look = (madeAt: string, max: number, usage: number | null) =>
  ({ kind: "side", madeAt, usage, body: { quantity: "elongation", max } }) as unknown as Entry;
const newChain = { kind: "change", body: { what: "geometry" } } as unknown as Entry;

test("a chain that stretches a tenth of a per cent in a hundred days has so many left", () => {
  const looks = [look("2026-01-01T08:00:00Z", 0.5, 1000), look("2026-04-11T08:00:00Z", 0.6, 1400)];
  expect(wearLeft(looks, 2)).toMatchObject({ elongationPercent: 0.6, looks: 2 });
  expect(wearLeft(looks, 2)?.days).toBeCloseTo(1400, 6);
  expect(wearLeft(looks, 2)?.usage).toBeCloseTo(5600, 6);
});

test("one look tells no rate, a shorter reading no end, a new chain begins anew, and beyond the limit nothing is left", () => {
  const first = look("2026-01-01T08:00:00Z", 0.5, null);
  expect(wearLeft([first], 2)).toMatchObject({ days: null, usage: null });
  expect(wearLeft([first, look("2026-03-01T08:00:00Z", 0.4, null)], 2)?.days).toBeNull();
  expect(wearLeft([first, newChain], 2)).toBeNull();
  expect(wearLeft([first, look("2026-03-01T08:00:00Z", 2.4, null)], 2)?.days).toBe(0);
});
