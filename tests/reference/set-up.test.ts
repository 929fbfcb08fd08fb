import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { feelerFromSet } from "~/core/advice";
import { basePitchMm, comparePitches, gearPair, type PairGeometry, spurPair, unwiseIn } from "~/core/gears";
import { recommendBacklash } from "~/core/limits";
import { mustHold } from "~/core/quantity";
import { placesToRead, typedRound } from "~/core/rounds";
import { frameOf, type MeasuredQuantity, normalPerCircumferential, type StageElement, toJudged } from "~/core/stages";

/** A pair of a module whose reference centre distance is the one wanted: teeth that add up to 2·a/m. */
const pairAt = (m: number, a: number): PairGeometry => {
  const sum = Math.round((2 * a) / m);
  return { ...spurPair([Math.floor(sum / 3), sum - Math.floor(sum / 3)], m, (sum * m) / 2) };
};

describe("recommended backlash", () => {
  // ISO/TR 10064-2:1996, table of minimum normal backlash j_bn,min, printed rounded up to 0.01 mm.
  test.each([
    [1.5, 50, 0.09],
    [2, 50, 0.1],
    [2, 100, 0.12],
    [2, 200, 0.15],
    [3, 100, 0.14],
    [3, 400, 0.24],
    [5, 200, 0.21],
    [8, 400, 0.34],
    [8, 800, 0.47],
    [12, 400, 0.42],
    [18, 1600, 0.94],
  ])("module %d at %d mm: %d mm normal", (m, a, printed) => {
    const pair = pairAt(m, a);
    const { normalMm, by } = mustHold(recommendBacklash(pair, false));
    expect(by).toBe("iso-tr-10064-2");
    // The pair stands within a module of the table's centre distance: 0.0005 of a millimetre each.
    expect(Math.abs((normalMm ?? 0) - (printed - 0.005))).toBeLessThanOrEqual(0.0051 + 0.0005 * m);
  });

  test("the lower limit is circumferential: the normal one over cos α_w; the upper holds gears with their runout", () => {
    const pair = pairAt(2, 100);
    const plain = mustHold(recommendBacklash(pair, false));
    expect(plain.normalMm).toBeCloseTo(0.113333, 5);
    // 0.1206: rounded it would be less than the standard asks for.
    expect(plain.loMm).toBe(0.13);
    expect(plain.loMm).toBeGreaterThanOrEqual(0.113333 / Math.cos((20 * Math.PI) / 180));
    expect(plain.hiMm).toBeGreaterThanOrEqual(2 * plain.loMm);
    const wobbly = mustHold(recommendBacklash(pair, false, [0.1, 0.2]));
    expect(wobbly.forRunoutMm).toBeCloseTo(
      0.113333 / Math.cos((20 * Math.PI) / 180) + 2 * Math.tan(Math.PI / 9) * 0.3,
      5,
    );
    expect(wobbly.hiMm).toBeGreaterThanOrEqual(wobbly.forRunoutMm ?? 0);
  });

  test("fine pitch by the rules of the trade; outside of every range the formula as a guess", () => {
    expect(mustHold(recommendBacklash(spurPair([20, 40], 0.5), false))).toMatchObject({
      loMm: 0.03,
      by: "fine-pitch-metal",
    });
    expect(mustHold(recommendBacklash(spurPair([20, 40], 0.2), false)).loMm).toBe(0.02);
    expect(mustHold(recommendBacklash(spurPair([20, 40], 1), true))).toMatchObject({
      loMm: 0.07,
      by: "fine-pitch-plastic",
    });
    expect(mustHold(recommendBacklash(spurPair([20, 40], 1.25), false)).by).toBe("iso-tr-10064-2-guess");
  });
});

describe("two gears against each other", () => {
  // ISO 21771: p_b = π·m·cos α; module 1 at 20°: 2.9521 (Machinery's Handbook, base pitch).
  test("base pitch", () => expect(basePitchMm({ moduleMm: 1, pressureAngleDeg: 20 })).toBeCloseTo(2.952131, 5));
  test.each([
    ["module 0.8 and 32 DP are sold as one", 0.8, 25.4 / 32, "near-miss", 0.8],
    ["module 0.6 and 48 DP strip at speed", 0.6, 25.4 / 48, "strips", 12],
    ["module 1 with itself", 1, 1, "same", 0],
    ["module 1 and 1.25 do not mesh", 1, 1.25, "no-mesh", 25],
  ])("%s", (_, first, second, match, percent) => {
    const rack = (moduleMm: number) => ({ moduleMm, pressureAngleDeg: 20 });
    const found = comparePitches(rack(first), rack(second));
    expect(found.match).toBe(match);
    expect(Math.abs(Math.abs(found.errorPercent) - percent)).toBeLessThan(0.5);
  });
});

describe("what is unwise in a pair", () => {
  const codes = (pair: PairGeometry, parts: Parameters<typeof unwiseIn>[1] = {}) =>
    unwiseIn(pair, parts).map((item) => item.code);
  // Usable contact ratios, handbook of ratios: 10 : 40 1.0946, 8 : 40 0.9159, 12 : 12 1.1307, 10 : 40 shifted by 0.45 1.3777.
  test.each<[string, PairGeometry, string[]]>([
    ["14 : 40 is undercut (below 17.1 teeth, 2/sin²α) and wants nothing", spurPair([14, 40], 1, 27.05), []],
    ["10 : 40 uses less than 1.2", spurPair([10, 40], 1, 25), ["undercut", "thin-contact-ratio"]],
    ["8 : 40 uses less than one", spurPair([8, 40], 1, 24), ["undercut", "handed-on-with-a-jerk"]],
    ["12 : 12, both", spurPair([12, 12], 1, 12), ["undercut", "undercut", "thin-contact-ratio"]],
    ["a shift mends it", { ...spurPair([10, 40], 1, 25.5), profileShift: [0.45, 0] }, []],
  ])("%s", (_, pair, said) => expect(codes(pair)).toEqual(said));
  test("centres too near jam the teeth, then foul the roots; too far thins the contact", () => {
    expect(codes(spurPair([20, 40], 1, 29.9))).toEqual(["teeth-jam"]);
    expect(codes(spurPair([20, 40], 1, 29.6))).toContain("tip-fouls-root");
    expect(codes(spurPair([20, 40], 1, 30.6))).toContain("thin-contact-ratio");
    expect(codes(spurPair([20, 40], 1, 30.9))).toContain("handed-on-with-a-jerk");
  });
  test("a wall under the root thinner than a tooth is deep, a keyway counted in; a gear of another pitch", () => {
    const pair = spurPair([20, 40], 1, 30.05);
    // Root circle 17.5, depth 2.25: so much wall is wanted, so a bore up to 13.
    expect(codes(pair, { boresMm: [12.9, null] })).toEqual([]);
    expect(codes(pair, { boresMm: [13.1, null] })).toEqual(["thin-wall"]);
    expect(codes(pair, { boresMm: [11, null], keywaysMm: [1.2, null] })).toEqual(["thin-wall"]);
    expect(codes(pair, { gearModuleMm: 25.4 / 24 })).toEqual(["unequal-pitches"]);
  });
});

describe("a feeler from the set", () => {
  const set = [0.05, 0.1, 0.15, 0.2, 0.3, 0.4, 0.5];
  test.each([
    [0.1, [0.1]],
    [0.25, [0.2, 0.05]],
    [0.35, [0.3, 0.05]],
    [0.12, [0.1]],
    [3, [0.5, 0.4, 0.3]],
  ])("%d mm", (target, leaves) => expect(feelerFromSet(target, set)?.leavesMm).toEqual(leaves));
  test("none of an empty set", () => expect(feelerFromSet(0.2, [])).toBeNull());

  test("against every choice of up to three leaves: none comes nearer, and none as near has fewer leaves", () => {
    const hundredths = fc.uniqueArray(fc.integer({ min: 2, max: 60 }), { minLength: 1, maxLength: 9 });
    fc.assert(
      fc.property(hundredths, fc.integer({ min: 1, max: 120 }), (leaves, target) => {
        const choices = leaves.flatMap((a, i) => [
          [a],
          ...leaves.slice(i + 1).flatMap((b, j) => [[a, b], ...leaves.slice(i + 1 + j + 1).map((c) => [a, b, c])]),
        ]);
        const miss = (choice: readonly number[]) => Math.abs(choice.reduce((x, y) => x + y, 0) - target);
        const nearest = Math.min(...choices.map(miss));
        const fewest = Math.min(...choices.filter((choice) => miss(choice) === nearest).map((choice) => choice.length));
        const found = feelerFromSet(
          target / 100,
          leaves.map((leaf) => leaf / 100),
        );
        expect(Math.abs(found?.missMm ?? 9) * 100).toBeCloseTo(nearest, 6);
        expect(found?.leavesMm).toHaveLength(fewest);
      }),
      { seed: 11, numRuns: 300 },
    );
  });
});

describe("what was measured, as circumferential backlash", () => {
  const pair = spurPair([20, 40], 1, 30.1);
  const mesh = mustHold(gearPair(pair));
  const element: StageElement = { kind: "gear-pair", pair, parts: {} };
  const way = (quantity: MeasuredQuantity, indicatorRadiusMm: number | null = null) =>
    mustHold(toJudged(element, { quantity, held: null, indicatorRadiusMm, indicatorAngleDeg: 0 }));
  test("between the flanks: j_n = j_t·cos α_w·cos β_b (ISO 21771), the pair's own two backlashes", () => {
    const { convert } = way("normal-backlash");
    expect(convert(mesh.backlash.normalMm)).toBeCloseTo(mesh.backlash.circumferentialMm, 12);
    expect(normalPerCircumferential(pair, mesh)).toBeCloseTo(
      mesh.backlash.normalMm / mesh.backlash.circumferentialMm,
      12,
    );
  });
  test("from tip to root: the clearance tells the centre distance, and that the backlash", () => {
    for (const centreDistanceMm of [30.02, 30.1, 30.3]) {
      const there = mustHold(gearPair({ ...pair, centreDistanceMm }));
      const { convert } = way("tip-clearance");
      expect(convert(there.tipClearanceMm[0])).toBeCloseTo(there.backlash.circumferentialMm, 9);
    }
  });
  test("tip to root is worth less than a feeler, a feeler no more than the indicator it is compared with", () => {
    const instrument = { resolution: 0.01, expandedUncertainty: 0.006, coverage: 2 };
    const worth = (quantity: "circumferential-backlash" | "normal-backlash" | "tip-clearance") =>
      mustHold(typedRound(element, instrument, { quantity, indicatorRadiusMm: null, indicatorAngleDeg: 0 }, []))
        .expandedUncertainty;
    expect(worth("normal-backlash")).toBeGreaterThan(worth("circumferential-backlash"));
    expect(worth("tip-clearance")).toBeGreaterThan(3 * worth("normal-backlash"));
    const r = mesh.workingPitchDiameterMm[1] / 2;
    expect(way("circumferential-backlash", 2 * r).convert(1)).toBeCloseTo(0.5, 12);
  });
});

const spur = (teeth: [number, number]) => frameOf({ kind: "gear-pair", pair: spurPair(teeth, 1), parts: {} });

describe("places to read", () => {
  test("on a full turn twelve teeth, none twice, spread round it", () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 60 }), fc.integer({ min: 12, max: 200 }), (z1, z2) => {
        const places = placesToRead(spur([z1, z2]), null);
        expect(new Set(places).size).toBe(12);
        expect(places.every((tooth) => tooth >= 1 && tooth <= z2)).toBe(true);
      }),
      { seed: 3, numRuns: 60 },
    );
  });
  test("on part of a turn only teeth on the arc, both ends among them, over the witness mark too", () => {
    expect(placesToRead(spur([17, 72]), [0, 90])).toEqual([1, 4, 6, 9, 11, 14, 16, 19]);
    const over = placesToRead(spur([17, 72]), [-20, 20]);
    expect([over[0], over.at(-1)]).toEqual([69, 5]);
    expect(placesToRead(spur([17, 72]), [1, 3])).toEqual([]);
  });
});
