import { describe, expect, test } from "vitest";
import { gearPair, gearsToMake, type SwapGear, type SwapQuestion, spurPair, swapOptions } from "~/core/gears";
import { mustHold } from "~/core/quantity";
import { invented, keyOf, naiveSwap } from "../naive-swap";

const present = { ...spurPair([20, 40], 2), centreDistanceMm: 60.15 };
const band = { lo: 0.08, hi: 0.16 };
const inStock = (teeth: number, more: Partial<SwapGear> = {}): SwapGear => ({
  ...(gearsToMake(present, teeth, teeth)[0] as SwapGear),
  count: 1,
  ...more,
});
const still = { min: 0, max: 0 };
const look = (more: Partial<SwapQuestion>) =>
  swapOptions({ present, boresMm: [null, null], band, travelMm: still, gears: [], reversed: true, ...more });
const counts = (options: { teeth: readonly number[] }[]) => options.map(({ teeth }) => teeth.join(":"));
const others = (more: Partial<SwapQuestion>) => look(more).options.slice(1);

describe("what fits in the place of 20 : 40, module 2, at 60.15 mm", () => {
  test("the present pair first, then every pair of the same tooth sum where the centres stand still, one of its own gears kept or not", () => {
    const gears = [17, 20, 24, 25, 30, 36, 40, 43].map((teeth) => inStock(teeth));
    const { options } = look({ gears });
    expect(options[0]).toMatchObject({ teeth: [20, 40], by: "present", fits: true, moveMm: 0, gears: [null, null] });
    expect(new Set(counts(options.slice(1)))).toEqual(new Set(["17:43", "20:40", "24:36", "36:24", "40:20", "43:17"]));
    expect(new Set(counts(others({ gears, reversed: false })))).toEqual(new Set(["17:43", "20:40", "24:36"]));
    // 2·tan 20°·0.15 = 0.1092, less the curve: as the pair itself says (ISO 21771, exact).
    const exact = mustHold(gearPair(present)).backlash.circumferentialMm;
    for (const option of options) expect(option.backlashMm).toBeCloseTo(exact, 3);
    expect(options.find(({ teeth }) => teeth[0] === 24)?.envelopeMm).toEqual([60.15 + 26 + 38, 76]);
  });

  test("one of thirty alone makes no pair of thirties; two do", () => {
    const with_ = (count: number) => others({ gears: [inStock(30, { count })] }).length;
    expect([with_(1), with_(2)]).toEqual([0, 1]);
  });

  test("gears go on the shaft that fits their bore; what fits neither is told with its reason", () => {
    const gears = [inStock(24, { boreMm: 8 }), inStock(36, { boreMm: 12 }), inStock(30, { boreMm: 9, count: 2 })];
    const { options, rejectedGears } = look({ gears, boresMm: [8, 12] });
    expect(counts(options.slice(1))).toEqual(["24:36"]);
    expect(rejectedGears).toEqual([{ id: "z30", reason: "bore" }]);
  });

  test("a slot of a good millimetre takes the sums next to it, and stands where the backlash is aimed at", () => {
    const gears = [21, 39, 41].map((teeth) => inStock(teeth));
    const next = others({ travelMm: { min: -1.2, max: 1.2 }, gears }).filter(({ by }) => by === "travel");
    expect(counts(next)).toEqual(expect.arrayContaining(["20:39", "20:41", "21:40"]));
    for (const option of next) {
      expect(option.backlashMm).toBeCloseTo(0.12, 6);
      const again = gearPair({ ...present, teeth: option.teeth, centreDistanceMm: option.centreDistanceMm });
      expect(mustHold(again).backlash.circumferentialMm).toBeCloseTo(option.backlashMm, 9);
    }
  });

  test("gears that are made may be shifted for a sum that is one off; those in stock are what they are", () => {
    const shifted = others({ gears: gearsToMake(present, 19, 41) }).filter(({ by }) => by === "shift");
    const one = shifted.find(({ teeth }) => teeth.join() === "20,39");
    // Centres half a module farther than 20 : 39 wants: the sum of shifts is a little over that in modules, for the curve of inv.
    expect(one?.profileShift[1]).toBeGreaterThan(0.45);
    expect(one?.profileShift[1]).toBeLessThan(0.6);
    expect(one?.backlashMm).toBeCloseTo(0.12, 6);
    expect(others({ gears: [20, 39].map((teeth) => inStock(teeth)) }).filter(({ teeth }) => teeth[1] === 39)).toEqual(
      [],
    );
  });

  test("inside a ring the difference of the teeth counts", () => {
    const ring = { ...spurPair([20, 60], 2), internal: true, centreDistanceMm: 39.84 };
    const gears = [18, 20, 58, 60].map((teeth) => inStock(teeth));
    const { options } = look({ present: ring, gears });
    expect(options[0]?.fits).toBe(true);
    expect(new Set(counts(options))).toEqual(new Set(["18:58", "20:60"]));
    const exact = mustHold(gearPair(ring));
    expect(options[0]?.backlashMm).toBeCloseTo(exact.backlash.circumferentialMm, 9);
    expect(options[0]?.totalRatio).toBeCloseTo(exact.transverseContactRatio + exact.overlapRatio, 9);
  });
});

test("a slot whose inner end has no geometry loses nothing: 14 : 54, 32 DP, at 27.05, out 2, in 2", () => {
  const moduleMm = 25.4 / 32;
  const question: SwapQuestion = {
    present: { ...spurPair([14, 54], moduleMm), centreDistanceMm: 27.05 },
    boresMm: [null, null],
    band: { lo: 0.03, hi: 0.12 },
    travelMm: { min: -2, max: 2 },
    gears: [12, 13, 15, 16, 48, 50, 52, 56, 58].map((teeth) => inStock(teeth, { moduleMm })),
    reversed: false,
  };
  const { options } = swapOptions(question);
  expect(options[0]).toMatchObject({ teeth: [14, 54], by: "present", fits: true });
  expect(options.slice(1).map(keyOf).sort()).toEqual(naiveSwap(question, 0.002).sort());
  expect(options.length).toBeGreaterThan(20);
  expect(invented(question, options)).toEqual([]);
});

test("another module, angle or helix is none of it; every option found stands by trying all pairs", () => {
  const strangers = [{ moduleMm: 2.5 }, { pressureAngleDeg: 25 }, { helixAngleDeg: 15 }].map((more, i) => ({
    ...inStock(40, more),
    id: `strange-${i}`,
  }));
  const gears = [...strangers, ...[12, 15, 18, 20, 22, 27, 33, 38, 40, 42, 45, 48].map((teeth) => inStock(teeth))];
  const question = {
    present,
    boresMm: [null, null] as const,
    band,
    travelMm: { min: -0.4, max: 2.2 },
    gears,
    reversed: true,
  };
  const { options, rejectedGears } = swapOptions(question);
  expect(options.slice(1).map(keyOf).sort()).toEqual(naiveSwap(question, 0.002).sort());
  expect(rejectedGears.map(({ reason }) => reason)).toEqual(["module", "pressure-angle", "helix"]);
  expect(options.length).toBeGreaterThan(4);
});
