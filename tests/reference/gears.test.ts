import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { inverseInvolute, involute } from "~/core/gears";
import { refusalOf, run } from "./run";

describe("involute", () => {
  // Tables of the involute function (Machinery's Handbook, "Involute functions"): 14.5°, 20°, 25°.
  test.each([
    [14.5, 0.0055448428],
    [20, 0.0149043839],
    [25, 0.0299753452],
  ])("inv %d°", (angle, value) => {
    expect(involute((angle * Math.PI) / 180)).toBeCloseTo(value, 10);
  });

  test("the inverse returns the angle, from a hundredth of a degree to 85°", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.0002, max: 1.48, noNaN: true }), (angle) => {
        expect(Math.abs(inverseInvolute(involute(angle)) - angle)).toBeLessThan(3e-9 * Math.max(1, 1e-4 / angle));
      }),
      { seed: 20, numRuns: 300 },
    );
  });
});

describe("pairs published with their results", () => {
  // Gear technical data handbooks, "Profile shifted spur gear": m 3, 12/24, x 0.6/0.36 with shortened tips.
  test("m 3, 12/24, x 0.6/0.36: α_w 26.0886°, a 56.4999; tips 44.840/79.400 give ε_α 1.202", () => {
    const pair = run("gear-pair", {
      teeth: [12, 24],
      moduleMm: 3,
      profileShift: [0.6, 0.36],
      tipDiameterMm: [44.84, 79.4],
    });
    expect(pair.workingPressureAngleDeg).toBeCloseTo(26.0886, 4);
    expect(pair.centreDistanceMm).toBeCloseTo(56.4999, 4);
    expect(pair.transverseContactRatio).toBeCloseTo(1.20215, 4);
    expect(pair.tipClearanceMm[0]).toBeCloseTo(0.7499, 3);
  });

  // Same source, "Helical gear, normal system": m 3, β 30°, 12/60, x 0.09809: a 125.000, α_wt 23.1126°.
  test("m 3, β 30°, 12/60: a 125.000, α_wt 23.1126°, ε_β 1.5916 at 30 mm face", () => {
    const pair = run("gear-pair", {
      teeth: [12, 60],
      moduleMm: 3,
      helixAngleDeg: 30,
      profileShift: [0.09809, 0],
      faceWidthMm: 30,
    });
    expect(pair.centreDistanceMm).toBeCloseTo(125, 3);
    expect(pair.workingPressureAngleDeg).toBeCloseTo(23.1126, 3);
    expect(pair.overlapRatio).toBeCloseTo(1.59155, 5);
  });

  // Same source, "Internal gear", x2 there +0.5 in the other sign: a 13.1683, α_w 31.094°.
  test("internal m 3, 16/24, x2 −0.5: a 13.1683", () => {
    const pair = run("gear-pair", { teeth: [16, 24], moduleMm: 3, internal: true, profileShift: [0, -0.5] });
    expect(pair.centreDistanceMm).toBeCloseTo(13.1683, 4);
    expect(pair.workingPressureAngleDeg).toBeCloseTo(31.094, 3);
  });

  // ISO 21771 formulas evaluated independently to all digits shown.
  test("m 1, 20/40 opened by 0.1: exact backlash in all four measures", () => {
    const { backlash, transverseContactRatio } = run("gear-pair", {
      teeth: [20, 40],
      moduleMm: 1,
      centreDistanceMm: 30.1,
    });
    expect(backlash.circumferentialMm).toBeCloseTo(0.0739450102, 10);
    expect(backlash.normalMm).toBeCloseTo(0.0692547313, 10);
    expect(backlash.radialMm).toBeCloseTo(0.0988002, 7);
    expect(backlash.angularArcmin[0]).toBeCloseTo(25.33597, 5);
    expect(backlash.angularArcmin[1]).toBeCloseTo(12.66798, 5);
    expect(transverseContactRatio).toBeCloseTo(1.5373572, 7);
  });

  test("48 DP, 18/72, thinned teeth: binds at 23.7430404, play 0.0999390 at 23.88", () => {
    const pair = run("gear-pair", {
      teeth: [18, 72],
      diametralPitch: 48,
      centreDistanceMm: 23.88,
      thinningMm: [0.02, 0.03],
    });
    expect(pair.zeroBacklashCentreDistanceMm).toBeCloseTo(23.7430404, 7);
    expect(pair.backlash.circumferentialMm).toBeCloseTo(0.0999390176, 10);
  });

  test("internal pair m 0.5, 20/60: bringing the centres together opens it", () => {
    const pair = run("gear-pair", { teeth: [20, 60], moduleMm: 0.5, internal: true, centreDistanceMm: 9.95 });
    expect(pair.backlash.circumferentialMm).toBeCloseTo(0.0355192154, 10);
    expect(pair.backlashPerCentreMm).toBeLessThan(0);
  });

  // Undercut limits of ISO 53 racks: z 17.10 at 20°, 31.90 at 14.5°, 11.20 at 25°.
  test.each([
    [17, 18, 20],
    [31, 32, 14.5],
    [11, 12, 25],
  ])("undercut: %d teeth yes, %d no at %d°", (yes, no, pressureAngleDeg) => {
    const undercut = (z: number) => run("gear-pair", { teeth: [z, 60], moduleMm: 1, pressureAngleDeg }).undercut[0];
    expect([undercut(yes), undercut(no)]).toEqual([true, false]);
  });

  test("backlash is pitch less both thicknesses at the working circles, whatever the pair", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 14, max: 60 }),
        fc.integer({ min: 14, max: 120 }),
        fc.double({ min: -0.2, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        fc.double({ min: -25, max: 25, noNaN: true }),
        (z1, z2, x1, opened, helixAngleDeg) => {
          const base = { teeth: [z1, z2], moduleMm: 2, helixAngleDeg, profileShift: [x1, 0], thinningMm: [0.03, 0.01] };
          const nominal = run("gear-pair", base).centreDistanceMm;
          const pair = run("gear-pair", { ...base, centreDistanceMm: nominal + opened });
          expect(pair.backlash.circumferentialMm).toBeCloseTo(naiveBacklash(base, pair), 9);
        },
      ),
      { seed: 21771, numRuns: 200 },
    );
  });
});

/** Straight from the definition: thickness of each tooth at its working circle, taken from the pitch there. */
function naiveBacklash(
  input: { moduleMm: number; helixAngleDeg: number; profileShift: number[]; thinningMm: number[] },
  // biome-ignore lint/suspicious/noExplicitAny: a tool's result
  pair: any,
): number {
  const beta = (input.helixAngleDeg * Math.PI) / 180;
  const alphaT = Math.atan(Math.tan((20 * Math.PI) / 180) / Math.cos(beta));
  const thickness = [0, 1].map((i) => {
    const normal =
      input.moduleMm * (Math.PI / 2 + 2 * (input.profileShift[i] ?? 0) * Math.tan((20 * Math.PI) / 180)) -
      (input.thinningMm[i] ?? 0);
    const d = pair.referenceDiameterMm[i];
    const dw = pair.workingPitchDiameterMm[i];
    const alphaY = Math.acos((d * Math.cos(alphaT)) / dw);
    return dw * (normal / Math.cos(beta) / d + involute(alphaT) - involute(alphaY));
  });
  const pitch =
    (Math.PI * pair.workingPitchDiameterMm[0]) / (pair.referenceDiameterMm[0] / (input.moduleMm / Math.cos(beta)));
  return pitch - (thickness[0] ?? 0) - (thickness[1] ?? 0);
}

describe("span and pins", () => {
  // Published examples (gear technical data handbooks, "Span measurement"): 32.8266 and 42.0085; Machinery's Handbook,
  // "Dimensions over pins", external, 1.728/P: z 20 at 1 DP 22.3900 in, z 21 23.3321, z 24 26.3997.
  test("m 3 z 24 x 0.4 over 4 teeth", () => {
    const span = run("gear-span", { toothCount: 24, moduleMm: 3, profileShift: 0.4, spanTeeth: 4 });
    expect(span.spanMm).toBeCloseTo(32.8266, 4);
  });
  test("the same at β 25° over 5 teeth", () => {
    const span = run("gear-span", { toothCount: 24, moduleMm: 3, profileShift: 0.4, helixAngleDeg: 25, spanTeeth: 5 });
    expect(span.spanMm).toBeCloseTo(42.0085, 4);
  });
  test("m 0.5 z 81 thinned by 0.03: nine teeth by itself", () => {
    const span = run("gear-span", { toothCount: 81, moduleMm: 0.5, thinningMm: 0.03 });
    expect(span.spanTeeth).toBe(9);
    expect(span.spanMm).toBeCloseTo(13.0855922, 7);
  });
  test.each([
    [20, 22.39],
    [21, 23.3321],
    [24, 26.3997],
  ])("over pins, z %d, per unit module", (toothCount, value) => {
    expect(run("gear-span", { toothCount, moduleMm: 1 }).overPins.mm).toBeCloseTo(value, 4);
  });
  test("a pin that is too thin is refused", () => {
    expect(refusalOf("gear-span", { toothCount: 20, moduleMm: 1, pinDiameterMm: 0.4 })).toBe(
      "pin-drops-through pinDiameterMm",
    );
  });
});

describe("identify", () => {
  test("tip 42.9, root 39.5, 52 teeth: 0.796, and 0.8 is not to be told from 32 DP", () => {
    const found = run("gear-identify", {
      toothCount: 52,
      tipDiameterMm: 42.9,
      rootDiameterMm: 39.5,
      tipToleranceMm: 0.4,
    });
    expect(found.moduleEstimateMm).toBeCloseTo(0.79594, 5);
    expect(found.candidates[0]).toMatchObject({ system: "diametral-pitch", value: 32 });
    expect(found.confusable).toContainEqual([
      { system: "diametral-pitch", value: 32 },
      { system: "module", value: 0.8 },
    ]);
  });
  test("a caliper across an odd gear reads short: 13.451 on m 0.8, z 15", () => {
    const caliper = { toothCount: 15, tipDiameterMm: 13.451, measuredBy: "caliper" };
    expect(run("gear-identify", caliper).moduleEstimateMm).toBeCloseTo(0.8, 4);
    expect(run("gear-identify", { ...caliper, measuredBy: "diameter" }).moduleEstimateMm).toBeLessThan(0.792);
  });
  test("two spans give base pitch and pressure angle, free of profile shift", () => {
    const spans = [2, 3].map((teeth) => ({
      teeth,
      mm: run("gear-span", {
        toothCount: 14,
        moduleMm: 1.25,
        profileShift: 0.4,
        pressureAngleDeg: 14.5,
        spanTeeth: teeth,
      }).spanMm,
    }));
    const found = run("gear-identify", { toothCount: 14, tipDiameterMm: 20, spans });
    expect(found.basePitchMm).toBeCloseTo(Math.PI * 1.25 * Math.cos((14.5 * Math.PI) / 180), 9);
    expect(found.pressureAngleDeg).toBe(14.5);
  });
});

test.each([
  [{ teeth: [0, 40], moduleMm: 1 }, "too-small teeth.0"],
  [{ teeth: [-20, 40], moduleMm: 1 }, "too-small teeth.0"],
  [{ teeth: [20, 1e9], moduleMm: 1 }, "too-large teeth.1"],
  [{ teeth: [20.5, 40], moduleMm: 1 }, "not-whole teeth.0"],
  [{ teeth: [20, 40], moduleMm: 1, diametralPitch: 24 }, "one-of-doubled moduleMm"],
  [{ teeth: [20, 40] }, "one-of-missing moduleMm"],
  [{ teeth: [20, 40], moduleMm: "one" }, "wrong-type moduleMm"],
  [{ teeth: [20, 40], moduleMm: 1, modul: 2 }, "unknown-key modul"],
  [{ teeth: [20, 40], moduleMm: 1, centreDistanceMm: 28 }, "centre-distance-too-small centreDistanceMm"],
  [{ teeth: [20, 40], moduleMm: 1, profileShift: [-3, -3] }, "no-zero-backlash-distance profileShift"],
  [{ teeth: [40, 40], moduleMm: 1, internal: true }, "ring-not-larger teeth.1"],
])("refused by name: %j", (input, refusal) => {
  expect(refusalOf("gear-pair", input)).toBe(refusal);
});
