import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { simulatePrint } from "~/tests/simulated-contact";
import { refusalOf, run } from "./run";

/*
 * Gaps by what goes in, paper in the mesh and contact prints. Check values: handbook of feel, pins, paper and prints; ISO 21771 by the exact
 * pair (`gear-pair`), JCGM 100:2008 4.3.7 for the rectangle. Second ways: every possible gap of an interval looked at in turn; the tilt
 * of two planes by their distances at both ends of the print.
 */

describe("go-no-go", () => {
  const gap = { goesMm: 0.1, stopsMm: 0.15 };

  test("goes 0.10, stops 0.15: 0.125, U 0.0288675", () => {
    expect(run("go-no-go", gap)).toEqual({
      lowMm: 0.1,
      highMm: 0.15,
      valueMm: 0.125,
      expandedUncertaintyMm: expect.closeTo(0.0288675, 7),
    });
  });

  test.each<[{ lo?: number; hi?: number }, string]>([
    [{ lo: 0.1, hi: 0.15 }, "conforms"],
    [{ lo: 0.15 }, "does-not-conform"],
    [{ hi: 0.09 }, "does-not-conform"],
    [{ lo: 0.12, hi: 0.2 }, "undecided"],
    [{ lo: 0.05, hi: 0.14 }, "undecided"],
  ])("limits %j: %s, as every gap of the interval says", (limits, verdict) => {
    expect(run("go-no-go", { ...gap, limits }).verdict).toBe(verdict);
    const gaps = Array.from({ length: 51 }, (_, i) => 0.1 + i / 1000);
    const inside = gaps.map((g) => g >= (limits.lo ?? 0) - 1e-9 && g <= (limits.hi ?? 9) + 1e-9);
    if (verdict === "conforms") expect(inside.every(Boolean)).toBe(true);
    // At the very limit a gap is inside, and the interval reaches it only in its last size, which does not go.
    if (verdict === "does-not-conform") expect(inside.slice(0, -1).some(Boolean)).toBe(false);
    if (verdict === "undecided") expect(new Set(inside).size).toBe(2);
  });

  test("one end alone: nothing goes yet, or nothing stops yet", () => {
    expect(run("go-no-go", { stopsMm: 0.2, toleranceMm: 0.01 })).toMatchObject({
      lowMm: 0,
      highMm: expect.closeTo(0.21, 12),
    });
    const open = run("go-no-go", { goesMm: 0.005, toleranceMm: 0.01, limits: { lo: 0.1 }, sizesMm: [0.2, 0.3] });
    expect(open).toMatchObject({ lowMm: 0, highMm: null, valueMm: null, expandedUncertaintyMm: null });
    expect(open).toMatchObject({ verdict: "undecided", nextMm: 0.2 });
  });

  test("the next size: at a limit where that proves it, else nearest the middle, none where it stands", () => {
    const next = (question: object) => run("go-no-go", { ...gap, ...question }).nextMm;
    expect(next({ limits: { lo: 0.11, hi: 0.2 }, sizesMm: [0.11, 0.12, 0.13, 0.14] })).toBe(0.11);
    expect(next({ toleranceMm: 0.005, limits: { lo: 0.11, hi: 0.2 }, sizesMm: [0.11, 0.12, 0.13] })).toBe(0.12);
    expect(next({ limits: { lo: 0.05, hi: 0.14 }, sizesMm: [0.11, 0.14, 0.13] })).toBe(0.14);
    expect(next({ sizesMm: [0.11, 0.12, 0.13, 0.14] })).toBe(0.12);
    expect(next({ sizesMm: [0.1, 0.15] })).toBeNull();
    expect(next({ limits: { lo: 0.1 }, sizesMm: [0.12] })).toBeNull();
    expect(run("go-no-go", { goesMm: 0.1, sizesMm: [0.3, 0.2, 0.05] }).nextMm).toBe(0.2);
  });

  test("a pin that goes where a smaller one did not, and nothing tried, are named", () => {
    expect(refusalOf("go-no-go", { goesMm: 0.2, stopsMm: 0.15 })).toBe("goes-beyond-stop stopsMm");
    expect(refusalOf("go-no-go", { sizesMm: [0.1] })).toBe("one-of-missing goesMm");
    expect(refusalOf("go-no-go", { ...gap, limits: {} })).toBe("one-of-missing limits.lo");
  });
});

describe("paper-strip", () => {
  test("0.1 on both flanks, 20°: 0.2128356, radial 0.2923804, U 0.0245761; helix 20°: 0.2264949", () => {
    const strip = { thicknessMm: 0.1, flanks: 2 };
    const means = run("paper-strip", strip);
    expect(means.circumferentialMm).toBeCloseTo(0.2128356, 7);
    expect(means.radialMm).toBeCloseTo(0.2923804, 7);
    expect(means.expandedUncertaintyMm).toBeCloseTo(0.0245761, 7);
    const helical = run("paper-strip", { ...strip, helixAngleDeg: 20 });
    expect(helical.circumferentialMm).toBeCloseTo(0.2264949, 7);
    expect(helical.radialMm).toBeCloseTo(0.2923804, 7);
  });

  test("the exact pair with so much circumferential backlash has the strips' thickness along its flank normal", () => {
    const teeth = [17, 43];
    const rack = { pressureAngleDeg: 20, helixAngleDeg: 14 };
    const pair = run("gear-pair", { teeth, moduleMm: 1.25, ...rack, centreDistanceMm: 38.9 });
    const strip = { thicknessMm: 0.1, flanks: 2, ...rack, workingPressureAngleDeg: pair.workingPressureAngleDeg };
    const { thicknessForAimMm } = run("paper-strip", { ...strip, aimMm: pair.backlash.circumferentialMm });
    expect(2 * thicknessForAimMm).toBeCloseTo(pair.backlash.normalMm, 9);
    const means = run("paper-strip", { ...strip, thicknessMm: thicknessForAimMm });
    expect(means.circumferentialMm).toBeCloseTo(pair.backlash.circumferentialMm, 9);
    expect(means.radialMm).toBeCloseTo(pair.backlash.radialMm, 9);
  });

  test("pressed and beside one flank it is less; the verdict is that of its value under its U", () => {
    const strip = { thicknessMm: 0.06, flanks: 1, pressed: 0.9, toleranceMm: 0.005, limits: { lo: 0.05, hi: 0.08 } };
    const means = run("paper-strip", strip);
    expect(means.normalMm).toBeCloseTo(0.054, 12);
    const { verdict } = run("verdict", {
      value: means.circumferentialMm,
      limits: strip.limits,
      expandedUncertainty: means.expandedUncertaintyMm,
    });
    expect(means.verdict).toBe(verdict);
    expect(refusalOf("paper-strip", { thicknessMm: 0.1, flanks: 3 })).toBe("not-listed flanks");
    expect(refusalOf("paper-strip", { thicknessMm: 0.1, flanks: 2, pressed: 0 })).toBe("too-small pressed");
  });
});

describe("contact-print", () => {
  type Print = { flank?: string; depth?: [number, number]; length?: [number, number]; diagonal?: boolean };
  const of = (aim: number) => (prints: readonly Print[]) =>
    prints.map(({ flank, depth = [aim - 0.3, aim + 0.3], length = [0.1, 0.9], diagonal = false }, i) => ({
      flank: flank ?? (i === 0 ? "drive" : "coast"),
      depth: { from: depth[0], to: depth[1] },
      length: { from: length[0], to: length[1] },
      diagonal,
    }));
  const aims: Record<string, number> = { spur: 0.55, "ring-pinion": 2 / 3, bevel: 0.5, worm: 0.5 };
  const read = (kind: string, prints: readonly Print[], more: object = {}) =>
    run("contact-print", { kind, wholeDepthMm: 2.25, prints: of(aims[kind] ?? 0.5)(prints), ...more });
  const [toOne, toOther]: [Print, Print] = [{ length: [0, 0.4] }, { length: [0.6, 1] }];

  test("0.02 to 0.30 on module 1: deep, apart by 0.1755; into a ring the whole error", () => {
    const deep = read("spur", [{ depth: [0.02, 0.3] }]);
    expect(deep.findings).toEqual(["deep"]);
    expect(deep.moves).toEqual([{ what: "apart", amountMm: expect.closeTo(0.1755, 9) }]);
    const ring = read("ring-pinion", [{ depth: [0.02, 0.3] }]);
    expect(ring.moves[0].amountMm).toBeCloseTo((2 / 3 - 0.16) * 2.25, 9);
  });

  test("4 mm of 10 at one end on both flanks, film 0.01: 0.0073 mm/mm, 0.073 over the face, 0.44 at bolts 60 apart", () => {
    const { moves } = read("spur", [toOne, toOne], { faceWidthMm: 10, boltSpanMm: 60 });
    expect(moves).toEqual([
      {
        what: "tilt",
        partAt: 0,
        mmPerMm: expect.closeTo(0.0073, 4),
        acrossFaceMm: expect.closeTo(0.073, 3),
        shimMm: expect.closeTo(0.44, 2),
      },
    ]);
    // Two flanks that touch at one end part by the film where the print ends, along their normal: i·sin α a mm.
    expect(moves[0].mmPerMm * Math.sin(Math.PI / 9) * 4).toBeCloseTo(0.01, 12);
    const swing = read("spur", [toOne, toOther], { faceWidthMm: 10 }).moves[0];
    expect(swing.mmPerMm * Math.cos(Math.PI / 9) * 4).toBeCloseTo(0.01, 12);
    expect(swing).not.toHaveProperty("partAt");
    expect(swing).not.toHaveProperty("shimMm");
  });

  test.each([
    ["spur", [{}, {}], true, [], []],
    ["spur", [{ depth: [0.02, 0.3] }, { depth: [0.6, 0.98] }], false, ["flanks-apart-in-depth"], []],
    ["worm", [{ depth: [0.6, 0.98] }, {}], false, ["high"], ["together"]],
    ["bevel", [{ depth: [0.02, 0.3] }, {}], false, ["deep"], ["pinion-out"]],
    ["spur", [toOne], false, ["one-end"], ["print-other-flank"]],
    ["spur", [{}, toOther], false, ["one-end"], ["look-at-tooth"]],
    ["ring-pinion", [toOther, toOther], false, ["inclined"], ["tilt"]],
    ["spur", [toOther, toOne], false, ["crossed"], ["swing"]],
    ["bevel", [{ length: [0, 0.4] }, { length: [0, 0.4] }], false, ["toe"], ["gear-out"]],
    ["bevel", [toOther, toOther], false, ["heel"], ["gear-in"]],
    ["bevel", [toOther, toOne], false, ["offset"], ["shafts-to-meet"]],
    ["worm", [toOther, toOther], false, ["one-side"], ["wheel-axially"]],
    ["worm", [toOne, { ...toOther, diagonal: true }], false, ["shaft-angle"], ["shaft-angle"]],
    ["worm", [{ diagonal: true }], false, ["shaft-angle"], ["shaft-angle"]],
    ["spur", [{ diagonal: true }], false, ["diagonal"], []],
    ["spur", [{ length: [0.3, 0.7] }], true, ["short"], []],
    ["bevel", [{ length: [0.1, 0.5] }, {}], true, ["short"], []],
  ] as const)("%s %j: ok %s, %j, %j", (kind, prints, ok, findings, whats) => {
    const answer = read(kind, prints as unknown as Print[]);
    expect(answer.ok).toBe(ok);
    expect(answer.findings).toEqual(findings);
    expect(answer.moves.map(({ what }: { what: string }) => what)).toEqual(whats);
  });

  test("spiral bevel: too far out is high with the drive at the heel, named once; depth and length that disagree, neither", () => {
    const high: Print = { depth: [0.6, 0.98] };
    const spiral = (...prints: Print[]) =>
      read("bevel", prints, { spiral: true }).moves.map(({ what }: { what: string }) => what);
    expect(spiral({ ...high, ...toOther }, { ...high, ...toOne })).toEqual(["pinion-in"]);
    expect(spiral({ ...high, ...toOne }, { ...high, ...toOther })).toEqual([]);
    expect(spiral(toOne, toOther)).toEqual(["pinion-out"]);
    expect(spiral({ ...toOther, flank: "coast" }, { ...toOne, flank: "drive" })).toEqual(["pinion-out"]);
  });

  test("a print turned end for end is read turned end for end", () => {
    const span = fc.tuple(fc.integer({ min: 0, max: 99 }), fc.integer({ min: 1, max: 100 })).filter(([a, b]) => a < b);
    const print = fc.record({ depth: span, length: span });
    const flip = ([a, b]: readonly number[]): [number, number] => [1 - (b as number) / 100, 1 - (a as number) / 100];
    const straight = ([a, b]: readonly number[]): [number, number] => [(a as number) / 100, (b as number) / 100];
    fc.assert(
      fc.property(fc.tuple(print, print), (prints) => {
        const one = read(
          "spur",
          prints.map((p) => ({ depth: straight(p.depth), length: straight(p.length) })),
        );
        const other = read(
          "spur",
          prints.map((p) => ({ depth: straight(p.depth), length: flip(p.length) })),
        );
        expect(other.findings).toEqual(one.findings);
        const ends = (answer: typeof one) => answer.moves.map(({ partAt }: { partAt?: number }) => partAt);
        expect(ends(other)).toEqual(ends(one).map((at: number | undefined) => (at === undefined ? at : 1 - at)));
      }),
      { numRuns: 300, seed: 14 },
    );
  });

  test("drawn flanks turned through each other print where the handbook says, and are read the right way", () => {
    const right = { teeth: [20, 40] as const, apartMm: 0, inclined: 0, crossed: 0, faceMm: 10, filmMm: 0.01 };
    const marks = (wrong: object) =>
      ([1, -1] as const).map((side) => simulatePrint({ ...right, ...wrong }, side) ?? expect.unreachable("no print"));
    // Handbook: 20/40 prints about 0.63 on the gear; inclined by 0.0073 mm a mm it is 4 mm of 10 long.
    const [straight] = marks({});
    expect(((straight?.depth.from ?? 0) + (straight?.depth.to ?? 0)) / 2).toBeCloseTo(0.63, 1);
    const [tilted] = marks({ inclined: 0.0073 });
    expect((tilted?.length.to ?? 0) - (tilted?.length.from ?? 0)).toBeCloseTo(0.4, 1);
    const asked = (wrong: object) => {
      const prints = marks(wrong).map((span, i) => ({ flank: i === 0 ? "drive" : "coast", ...span }));
      const { moves } = run("contact-print", { kind: "spur", wholeDepthMm: 2.25, faceWidthMm: 10, prints });
      return moves.map(({ what, partAt }: { what: string; partAt?: number }) => `${what} ${partAt ?? ""}`.trim());
    };
    expect(asked({})).toEqual([]);
    expect(asked({ apartMm: 0.9 })).toEqual(["together"]);
    expect(asked({ inclined: 0.006 })).toEqual(["tilt 0"]);
    expect(asked({ inclined: -0.006 })).toEqual(["tilt 1"]);
    expect(asked({ crossed: 0.003 })).toEqual(["swing"]);
    expect(asked({ apartMm: 0.9, inclined: 0.006 })).toEqual(["together", "tilt 0"]);
  });

  test("a flank given twice, a print the wrong way round and a spiral that is none are named", () => {
    const input = { kind: "spur", wholeDepthMm: 2.25, prints: of(0.55)([{}, {}]) };
    const [first, second] = input.prints;
    expect(refusalOf("contact-print", { ...input, prints: [first, { ...second, flank: "drive" }] })).toBe(
      "flank-twice prints.1.flank",
    );
    expect(refusalOf("contact-print", { ...input, prints: of(0.55)([{ depth: [0.5, 0.5] }]) })).toBe(
      "window-upside-down prints.0.depth.from",
    );
    expect(refusalOf("contact-print", { ...input, prints: of(0.55)([{}, { length: [0.9, 0.1] }]) })).toBe(
      "window-upside-down prints.1.length.from",
    );
    expect(refusalOf("contact-print", { ...input, spiral: false })).toBe("not-of-this-kind spiral");
    expect(refusalOf("contact-print", { ...input, prints: of(0.55)([{ length: [0, 1.1] }]) })).toBe(
      "too-large prints.0.length.to",
    );
  });
});
