import { describe, expect, test } from "vitest";
import { gearPair, gearsToMake, type SwapGear, spurPair, swapOptions } from "~/core/gears";
import { mustHold } from "~/core/quantity";

const present = { ...spurPair([20, 40], 2), centreDistanceMm: 60.15 };
const band = { lo: 0.08, hi: 0.16 };
const inStock = (teeth: number, more: Partial<SwapGear> = {}): SwapGear => ({
  ...(gearsToMake(present, teeth, teeth)[0] as SwapGear),
  count: 1,
  ...more,
});
const counts = (options: ReturnType<typeof swapOptions>) => options.map(({ teeth }) => teeth.join(":")).sort();

describe("what fits in the place of 20 : 40, module 2, at 60.15 mm", () => {
  test("every pair of the same tooth sum, and no other, where the centres stand still", () => {
    const gears = [17, 20, 24, 25, 30, 36, 40, 43].map((teeth) => inStock(teeth));
    const options = swapOptions({ present, band, travelMm: { min: 0, max: 0 }, gears });
    expect(counts(options)).toEqual(["17:43", "20:40", "24:36", "36:24", "40:20", "43:17"].sort());
    expect(options[0]?.teeth).toEqual([20, 40]);
    // 2·tan 20°·0.15 = 0.1092, less the curve: as the pair itself says (ISO 21771, exact).
    const exact = mustHold(gearPair(present)).backlash.circumferentialMm;
    for (const option of options) expect(option.backlashMm).toBeCloseTo(exact, 3);
    expect(options.find(({ teeth }) => teeth[0] === 24)?.envelopeMm).toEqual([60.15 + 26 + 38, 76]);
  });

  test("one of thirty alone makes no pair of thirties; two do", () => {
    const with_ = (count: number) =>
      swapOptions({ present, band, travelMm: { min: 0, max: 0 }, gears: [inStock(30, { count })] }).length;
    expect([with_(1), with_(2)]).toEqual([0, 1]);
  });

  test("a slot of a good millimetre takes the sums next to it, and stands where the backlash is aimed at", () => {
    const gears = [20, 21, 39, 40, 41].map((teeth) => inStock(teeth));
    const options = swapOptions({ present, band, travelMm: { min: -1.2, max: 1.2 }, gears });
    const next = options.filter(({ by }) => by === "travel");
    expect(counts(next)).toEqual(["20:39", "20:41", "21:40", "39:20", "40:21", "41:20"]);
    for (const option of next) {
      expect(option.backlashMm).toBeCloseTo(0.12, 6);
      expect(Math.abs(option.centreDistanceMm - 60.15)).toBeLessThanOrEqual(1.2);
      const again = gearPair({ ...present, teeth: option.teeth, centreDistanceMm: option.centreDistanceMm });
      expect(mustHold(again).backlash.circumferentialMm).toBeCloseTo(option.backlashMm, 9);
    }
  });

  test("gears that are made may be shifted for a sum that is one off; those in stock are what they are", () => {
    const made = swapOptions({ present, band, travelMm: { min: 0, max: 0 }, gears: gearsToMake(present, 19, 41) });
    const shifted = made.filter(({ by }) => by === "shift");
    expect(counts(shifted)).toContain("20:39");
    const one = shifted.find(({ teeth }) => teeth.join() === "20,39");
    // Centres half a module farther than 20 : 39 wants: the sum of shifts is a little over that in modules, for the curve of inv.
    expect(one?.profileShift[1]).toBeGreaterThan(0.45);
    expect(one?.profileShift[1]).toBeLessThan(0.6);
    const stock = [20, 39].map((teeth) => inStock(teeth));
    expect(swapOptions({ present, band, travelMm: { min: 0, max: 0 }, gears: stock })).toEqual([]);
  });

  test("another module, angle or helix is none of it; every option found stands by trying all pairs", () => {
    const strangers = [{ moduleMm: 2.5 }, { pressureAngleDeg: 25 }, { helixAngleDeg: 15 }].map((more) =>
      inStock(40, more),
    );
    const gears = [...strangers, ...[12, 15, 18, 20, 22, 27, 33, 38, 40, 42, 45, 48].map((teeth) => inStock(teeth))];
    const travelMm = { min: -0.4, max: 2.2 };
    const found = swapOptions({ present, band, travelMm, gears });
    const tried = gears.flatMap((a) =>
      gears.flatMap((b) => {
        if (a === b || strangers.includes(a) || strangers.includes(b)) return [];
        for (let c = 60.15 + travelMm.min; c <= 60.15 + travelMm.max; c += 0.002) {
          const pair = gearPair({ ...present, teeth: [a.teeth, b.teeth], centreDistanceMm: c });
          if (!pair.ok || pair.value.tipClearanceMm.some((x) => x < 0) || pair.value.transverseContactRatio < 1)
            continue;
          const backlash = pair.value.backlash.circumferentialMm;
          if (backlash >= band.lo && backlash <= band.hi) return [`${a.teeth}:${b.teeth}`];
        }
        return [];
      }),
    );
    expect(counts(found)).toEqual(tried.sort());
    expect(found.length).toBeGreaterThan(4);
  });

  test("inside a ring the difference of the teeth counts", () => {
    const ring = { ...spurPair([20, 60], 2), internal: true, centreDistanceMm: 39.84 };
    const gears = [18, 20, 58, 60].map((teeth) => inStock(teeth));
    const options = swapOptions({ present: ring, band, travelMm: { min: 0, max: 0 }, gears });
    expect(counts(options)).toEqual(["18:58", "20:60"]);
  });
});
