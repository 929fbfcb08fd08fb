import { describe, expect, test } from "vitest";
import { gearPair } from "~/core/gears";
import { refusalOf, run } from "./run";

/*
 * Pairs that can stand in the place of another. Check values: handbook of ratios; second way: a fine grid of centre distances over
 * the slot, with the exact pair at each (ISO 21771).
 */
const present = { teeth: [18, 72], moduleMm: 0.5, centreDistanceMm: 22.6 };
const question = { present, travel: { partMm: 0.55 }, limits: { loMm: 0.03, hiMm: 0.1 } };
type Row = { driver: string; driven: string; teeth: [number, number]; fits: boolean };
const names = (rows: Row[]) => rows.map(({ driver, driven }) => `${driver}/${driven}`);

describe("usable contact ratio (handbook of ratios)", () => {
  const usable = (teeth: number[], more = {}) => run("gear-pair", { teeth, moduleMm: 1, ...more }).usableContactRatio;
  test.each([
    [[20, 40], { centreDistanceMm: 30 }, 1.635186],
    [[10, 40], { centreDistanceMm: 25 }, 1.0945783],
    [[10, 40], { centreDistanceMm: 25.1 }, 1.0945783],
    [[8, 40], {}, 0.9158623],
    [[12, 12], {}, 1.1307186],
    [[10, 40], { profileShift: [0.45, 0] }, 1.3777161],
    [[20, 40], { centreDistanceMm: 29.5 }, 1.4490562],
  ])("%j %j: %d", (teeth, more, ratio) => {
    expect(usable(teeth, more)).toBeCloseTo(ratio, 7);
  });
  test("a wide pair without undercut keeps the plain one", () => {
    const pair = run("gear-pair", { teeth: [30, 60], moduleMm: 1, centreDistanceMm: 45.1 });
    expect(pair.usableContactRatio).toBeCloseTo(pair.transverseContactRatio, 12);
  });
});

describe("swap-pairs", () => {
  test("18/72 with a slot of 0.55: pinions of 19 and 20 go in at 22.8376913 and 23.0877080", () => {
    const found = run("swap-pairs", { ...question, newTeeth: { from: 19, to: 20 } });
    const pinions = found.pairs.filter(({ driven }: Row) => driven === "present-driven");
    expect(names(pinions)).toEqual(["present-driver/present-driven", "new-19/present-driven", "new-20/present-driven"]);
    const [first, one, two] = pinions;
    expect(first).toMatchObject({ centreDistanceMm: 22.6, moveMm: 0, fits: true });
    expect(one.centreDistanceMm).toBeCloseTo(22.8376913, 7);
    expect(two.centreDistanceMm).toBeCloseTo(23.087708, 7);
    for (const row of [one, two]) expect(row.backlashMm).toBeCloseTo(0.065, 9);
    expect([one.speedPercent, two.speedPercent]).toEqual([expect.closeTo(5.5556, 4), expect.closeTo(11.1111, 4)]);
  });

  test("the present pair stands first as it is, also where it does not fit; nothing else may be unfit", () => {
    const loose = { ...question, limits: { loMm: 0.01, hiMm: 0.02 } };
    const found = run("swap-pairs", { ...loose, newTeeth: { from: 10, to: 30 } });
    expect(found.pairs[0]).toMatchObject({ driver: "present-driver", driven: "present-driven", fits: false });
    expect(found.pairs.slice(1).every(({ fits }: Row) => fits)).toBe(true);
  });

  test("a pair is not lost where the slot's inner end has no geometry: 14:54 in place of 14:54 at 27.05 mm, 32 DP", () => {
    const wide = {
      present: { teeth: [14, 54], diametralPitch: 32, centreDistanceMm: 27.05 },
      travel: { partMm: 2, closeMm: 2 },
      limits: { loMm: 0.03, hiMm: 0.1 },
    };
    const gears = [14, 54].map((teeth) => ({ id: `z${teeth}`, teeth, diametralPitch: 32, count: 1 }));
    const found = run("swap-pairs", { ...wide, gears });
    expect(names(found.pairs)).toContain("z14/z54");
  });

  test("bores, counts, modules and the way of the ratio are told apart", () => {
    const gears = [
      { id: "other-system", teeth: 19, diametralPitch: 50 },
      { id: "other-angle", teeth: 19, moduleMm: 0.5, pressureAngleDeg: 14.5 },
      { id: "other-helix", teeth: 19, moduleMm: 0.5, helixAngleDeg: 10 },
      { id: "wide-bore", teeth: 19, moduleMm: 0.5, boreMm: 9 },
      { id: "gone", teeth: 19, moduleMm: 0.5, count: 0 },
      { id: "pinion", teeth: 19, moduleMm: 0.5, boreMm: 3 },
      { id: "single", teeth: 45, moduleMm: 0.5, boreMm: 3 },
    ];
    const bores = { driverBoreMm: 3.005, drivenBoreMm: 5 };
    const found = run("swap-pairs", { ...question, ...bores, gears });
    expect(found.rejectedGears).toEqual([
      { id: "other-system", reason: "module" },
      { id: "other-angle", reason: "pressure-angle" },
      { id: "other-helix", reason: "helix" },
      { id: "wide-bore", reason: "bore" },
      { id: "gone", reason: "count" },
    ]);
    expect(names(found.pairs)).toEqual(["present-driver/present-driven", "pinion/present-driven"]);
    const back = run("swap-pairs", {
      ...question,
      gears: [
        { id: "a", teeth: 72, moduleMm: 0.5 },
        { id: "b", teeth: 18, moduleMm: 0.5 },
      ],
      reversed: true,
    });
    expect(names(back.pairs)).toContain("a/b");
    const twice = run("swap-pairs", { ...question, gears: [{ id: "a", teeth: 45, moduleMm: 0.5 }] });
    expect(twice.rejectedPairs).toContainEqual({ driver: "a", driven: "a", reason: "count" });
  });

  test("what cannot stand says against what it runs", () => {
    const why = (limits: object, teeth: number, travel = {}) =>
      run("swap-pairs", { present, travel, limits, newTeeth: { from: teeth, to: teeth } }).rejectedPairs.find(
        ({ driven }: Row) => driven === "present-driven",
      );
    // One tooth more wants a quarter of a millimetre more room at module 0.5.
    expect(why(question.limits, 19)).toMatchObject({ reason: "needs-more-room", byMm: expect.closeTo(0.19, 1) });
    expect(why(question.limits, 17)).toMatchObject({ reason: "too-loose", byMm: expect.closeTo(0.25, 0) });
  });

  test("what it refuses, it names", () => {
    expect(refusalOf("swap-pairs", question)).toBe("nothing-to-choose-from gears");
    expect(refusalOf("swap-pairs", { ...question, gears: [] })).toBe("accepted");
    const gear = { teeth: 19, moduleMm: 0.5 };
    expect(
      refusalOf("swap-pairs", {
        ...question,
        gears: [
          { id: "a", ...gear },
          { id: "a", ...gear },
        ],
      }),
    ).toBe("id-taken gears.1.id");
    expect(refusalOf("swap-pairs", { ...question, gears: [{ id: "present-driven", ...gear }] })).toBe(
      "id-taken gears.0.id",
    );
    expect(refusalOf("swap-pairs", { ...question, present: { ...present, internal: true }, gears: [] })).toBe(
      "internal-pair present.internal",
    );
    expect(refusalOf("swap-pairs", { ...question, present: { ...present, centreDistanceMm: 20 }, gears: [] })).toBe(
      "centre-distance-too-small present.centreDistanceMm",
    );
    expect(refusalOf("swap-pairs", { ...question, gears: [{ id: "a", teeth: 19 }] })).toBe(
      "one-of-missing gears.0.moduleMm",
    );
  });

  test("agrees with walking the slot, for many drawers", () => {
    let seed = 11;
    const pick = (from: number, to: number) => {
      seed = (seed * 1103515245 + 12345) % 2147483648;
      return from + Math.floor((seed / 2147483648) * (to - from + 1));
    };
    for (let round = 0; round < 24; round++) {
      const teeth = [pick(9, 24), pick(20, 60)] as [number, number];
      const centre = ((teeth[0] + teeth[1]) * 0.8) / 2 + pick(0, 20) / 100;
      const gears = Array.from({ length: 8 }, (_, i) => ({
        id: `g${i}`,
        teeth: pick(9, 60),
        moduleMm: 0.8,
        shift: pick(0, 2) / 5,
        thinningMm: pick(0, 1) / 20,
        count: pick(1, 2),
      }));
      const travel = { partMm: pick(0, 8) / 10, closeMm: pick(0, 8) / 10 };
      const limits = { loMm: 0.03, hiMm: 0.12 };
      const input = {
        present: { teeth, moduleMm: 0.8, centreDistanceMm: centre },
        travel,
        limits,
        gears,
        reversed: true,
      };
      const answer = run("swap-pairs", input);
      const stands = (z: number[], shift: number[], thin: number[]) => {
        for (let a = centre - travel.closeMm; a <= centre + travel.partMm + 1e-12; a += 0.004) {
          const pair = gearPair({
            teeth: z as [number, number],
            moduleMm: 0.8,
            pressureAngleDeg: 20,
            helixAngleDeg: 0,
            profileShift: shift as [number, number],
            thinningMm: thin as [number, number],
            internal: false,
            centreDistanceMm: a,
          });
          if (!pair.ok) continue;
          const { backlash, tipClearanceMm, transverseContactRatio } = pair.value;
          if (backlash.circumferentialMm < 0.03 || backlash.circumferentialMm > 0.12) continue;
          if (tipClearanceMm.every((mm) => mm >= 0) && transverseContactRatio >= 1) return true;
        }
        return false;
      };
      const all = [{ id: "present", teeth: 0, shift: 0, thinningMm: 0, count: 1 }, ...gears];
      const wanted = all.flatMap((a) =>
        all.flatMap((b) => {
          if (a.id === "present" && b.id === "present") return [];
          if (a === b && a.count < 2) return [];
          const z = [a.id === "present" ? teeth[0] : a.teeth, b.id === "present" ? teeth[1] : b.teeth];
          const name = `${a.id === "present" ? "present-driver" : a.id}/${b.id === "present" ? "present-driven" : b.id}`;
          return stands(z, [a.shift, b.shift], [a.thinningMm, b.thinningMm]) ? [name] : [];
        }),
      );
      const found = names(answer.pairs.slice(1));
      // The walk's step may miss an interval narrower than itself, never the other way round.
      expect(found).toEqual(expect.arrayContaining(wanted));
      expect(found.length - wanted.length).toBeLessThanOrEqual(2);
    }
  });
});
