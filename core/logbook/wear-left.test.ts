import { expect, test } from "vitest";
import { isoToDays } from "./days";
import type { Entry } from "./entry";
import { type WearLeft, wearLeft, wornOut } from "./wear-left";

const look = (madeAt: string, max: number) =>
  ({ kind: "side", madeAt, body: { quantity: "elongation", max } }) as unknown as Entry;
const newChain = { kind: "change", body: { what: "geometry" } } as unknown as Entry;

test("a chain that stretches a tenth of a per cent in a hundred days has so many left", () => {
  const looks = [look("2026-01-01T08:00:00Z", 0.5), look("2026-04-11T08:00:00Z", 0.6)];
  expect(wearLeft(looks, 2)).toMatchObject({ elongationPercent: 0.6, looks: 2 });
  expect(wearLeft(looks, 2)?.days?.at).toBeCloseTo(1400, 6);
  expect(wearLeft(looks, 2)?.days?.rate.perUnit).toBeCloseTo(0.001, 9);
  // The meter was read on other days than the chain: 1000 and 1800 two hundred days apart are 400 in the hundred between.
  const day = isoToDays("2026-01-01T08:00:00Z");
  const meter = [
    { day, total: 1000 },
    { day: day + 200, total: 1800 },
  ];
  expect(wearLeft(looks, 2, meter)?.usage?.at).toBeCloseTo(5600, 6);
  // Two looks have no interval to speak of.
  expect(wearLeft(looks, 2)?.days?.coverage).toBe(0);
  expect(wornOut(wearLeft(looks, 2) as WearLeft)).toEqual({
    at: "2030-02-09T08:00:00.000Z",
    earliest: null,
    latest: null,
  });
});

test("one look tells no rate, a shorter reading no end, a new chain begins anew, and beyond the limit nothing is left", () => {
  const first = look("2026-01-01T08:00:00Z", 0.5);
  expect(wearLeft([first], 2)).toMatchObject({ days: null, usage: null });
  expect(wearLeft([first, look("2026-03-01T08:00:00Z", 0.4)], 2)?.days).toBeNull();
  expect(wearLeft([first, newChain], 2)).toBeNull();
  expect(wearLeft([first, look("2026-03-01T08:00:00Z", 2.4)], 2)?.days?.at).toBe(0);
});

test("from five looks on the rate has an interval, and so has what is left", () => {
  const looks = [0.5, 0.52, 0.55, 0.56, 0.6].map((value, i) => look(`2026-0${i + 1}-01T08:00:00Z`, value));
  const left = wearLeft(looks, 2)?.days;
  expect(left?.coverage).toBeGreaterThan(0.95);
  expect(left?.earliest).toBeLessThan(left?.at ?? 0);
  expect(left?.latest ?? 0).toBeGreaterThan(left?.at ?? 0);
});
