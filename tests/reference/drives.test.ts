import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { refusalOf, run } from "./run";

const close = (value: number, to: number, digits = 6) =>
  expect(Math.abs(value - to), `${value} for ${to}`).toBeLessThanOrEqual(
    0.5 * 10 ** -digits * Math.max(1, Math.abs(to)),
  );

describe("worm and bevel", () => {
  test("worm 2/30, module 3, d1 44: γ 7.76517°, a 67 (published example, Machinery's Handbook, worm gearing)", () => {
    const worm = { wormStarts: 2, wheelTeeth: 30, axialModuleMm: 3, wormPitchDiameterMm: 44 };
    const pair = run("worm-pair", { ...worm, wheelBacklashMm: 0.1, wormEndFloatMm: 0.05 });
    close(pair.leadAngleDeg, 7.76517, 5);
    expect(pair.nominalCentreDistanceMm).toBe(67);
    close(pair.axialPressureAngleDeg, 20.1702359);
    close(pair.backlashPerCentreMm, 0.7346773);
    // Lost motion by hand: an arc of 0.1 mm at radius 45 in minutes of arc.
    close(pair.lostMotion.meshArcmin, (0.1 / 45) * (180 / Math.PI) * 60, 9);
    close(pair.lostMotion.totalArcmin, 11.459156);
  });

  test("without a measured backlash the centre distance tells it, never below 0", () => {
    const worm = { wormStarts: 1, wheelTeeth: 72, axialModuleMm: 1, wormPitchDiameterMm: 16, wormEndFloatMm: 0.02 };
    close(run("worm-pair", { ...worm, centreDistanceMm: 44.08 }).lostMotion.meshArcmin, 5.571906);
    expect(run("worm-pair", { ...worm, centreDistanceMm: 43.9 }).lostMotion.meshArcmin).toBe(0);
  });

  // ISO 23509 annex examples and Machinery's Handbook, bevel gearing; the others computed from tan δ = sin Σ/(z2/z1 + cos Σ).
  test.each([
    [{ teeth: [20, 40], moduleMm: 3 }, 26.56505, 63.43495, 67.08204, 0.3255449, 0.6510897],
    [{ teeth: [9, 41], moduleMm: 5, spiralAngleDeg: 35 }, 12.3807569, 77.6192431, 104.94046, 0.1905333, 0.8679851],
    [{ teeth: [15, 30], moduleMm: 2, shaftAngleDeg: 60 }, 19.1066054, 40.8933946, 45.825757, 0.2382744, 0.476549],
  ])("bevel %j", (bevel, d1, d2, cone, first, second) => {
    const pair = run("bevel-pair", bevel);
    close(pair.pitchAngleDeg[0], d1, 5);
    close(pair.pitchAngleDeg[1], d2, 5);
    close(pair.coneDistanceMm, cone, 5);
    close(pair.backlashPerAxialMm[0], first);
    close(pair.backlashPerAxialMm[1], second);
  });

  test("the cones touch along one line: both members have the same cone distance at any shaft angle", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 8, max: 60 }),
        fc.integer({ min: 8, max: 60 }),
        fc.integer({ min: 20, max: 120 }),
        (a, b, s) => {
          const { pitchAngleDeg, pitchDiameterMm, coneDistanceMm } = run("bevel-pair", {
            teeth: [a, b],
            moduleMm: 2,
            shaftAngleDeg: s,
          });
          const other = pitchDiameterMm[1] / 2 / Math.sin((pitchAngleDeg[1] * Math.PI) / 180);
          expect(other).toBeCloseTo(coneDistanceMm, 7);
          expect(pitchAngleDeg[0] + pitchAngleDeg[1]).toBeCloseTo(s, 9);
        },
      ),
      { seed: 2, numRuns: 200 },
    );
  });
});

describe("planetary", () => {
  // Ratios by the Willis relation as general handbooks print them: 1 + z_r/z_s, −z_r/z_s, 1 + z_s/z_r.
  test.each([
    [
      { kind: "simple", sun: 24, planet: [24], ring: [72], planets: 4, moduleMm: 1 },
      { ratio: 4, assembles: true, planetsClear: true, coaxial: true, clockingSteps: 0 },
    ],
    [
      { kind: "simple", sun: 16, planet: [16], ring: [48], planets: 3, moduleMm: 1 },
      { assembles: false, planetsClear: true, clockingSteps: null },
    ],
    [
      { kind: "simple", sun: 16, planet: [16], ring: [48], planets: 5, moduleMm: 1 },
      { assembles: false, planetsClear: true },
    ],
    [
      { kind: "simple", sun: 12, planet: [30], ring: [72], planets: 4, moduleMm: 0.5 },
      { assembles: true, planetsClear: false },
    ],
    [
      { kind: "simple", sun: 30, planet: [15], ring: [60], planets: 3, fixed: "carrier", output: "ring" },
      { ratio: -2 },
    ],
    [
      { kind: "simple", sun: 30, planet: [15], ring: [60], planets: 3, fixed: "sun", input: "ring", output: "carrier" },
      { ratio: 1.5 },
    ],
    [
      { kind: "compound-two-ring", sun: 12, planet: [18, 15], ring: [48, 45], planets: 3 },
      { ratio: 45, clockingSteps: 0 },
    ],
    [{ kind: "compound-two-ring", sun: 15, planet: [21, 18], ring: [57, 54], planets: 4 }, { clockingSteps: 1.75 }],
    [{ kind: "compound-two-ring", sun: 8, planet: [14, 11], ring: [36, 33], planets: 2 }, { clockingSteps: 7 }],
    [
      { kind: "compound-two-ring", sun: 10, planet: [16, 14], ring: [42, 40], planets: 4 },
      { assembles: false, clockingSteps: null },
    ],
  ])("%j", (set, wanted) => {
    const answer = run("planetary", set);
    expect({ ...answer, ratio: answer.ratio === null ? null : Number(answer.ratio.toFixed(9)) }).toMatchObject(wanted);
    expect(answer.reasons.length > 0).toBe(!(answer.assembles && answer.planetsClear && answer.coaxial));
  });

  test("gaps and high ratios", () => {
    close(
      run("planetary", { kind: "simple", sun: 24, planet: [24], ring: [72], planets: 4, moduleMm: 1 }).neighbourGapMm,
      7.9411255,
    );
    close(
      run("planetary", { kind: "simple", sun: 12, planet: [30], ring: [72], planets: 4, moduleMm: 0.5 }).neighbourGapMm,
      -1.1507576,
    );
    const set = run("planetary", {
      kind: "compound-two-ring",
      sun: 10,
      planet: [20, 19],
      ring: [50, 49],
      planets: 3,
      moduleMm: 0.8,
    });
    close(set.ratio, 196);
    close(set.clockingSteps, 40 / 3);
    close(set.neighbourGapMm, 3.1846097);
  });

  /**
   * Brute force: planet k stands at its arm turned by some whole choice of teeth on its ring 1; it goes together if its own sun and ring
   * meshes fall into step with those of planet 0. Every pose is tried, none derived.
   */
  const goesTogether = (sun: number, [a, b]: number[], [r1, r2]: number[], planets: number): boolean => {
    const whole = (x: number) => Math.abs(x - Math.round(x)) < 1e-6;
    for (let k = 1; k < planets; k++) {
      const arm = k / planets;
      // An internal mesh keeps z_p·(ψ − φ) − z_r·ψ in step, an external one z_p·(ψ − φ) + z_s·ψ; φ = α + ψ.
      const fits = Array.from({ length: a as number }, (_, i) => (i - arm * (r1 as number)) / (a as number)).some(
        (turn) =>
          whole(-(a as number) * turn - (r1 as number) * arm) &&
          whole(-(a as number) * turn + sun * arm) &&
          (b === undefined || whole(-b * turn - (r2 as number) * arm)),
      );
      if (!fits) return false;
    }
    return true;
  };

  test("assembly agrees with placing every tooth", () => {
    const teeth = (min: number, max: number) => fc.integer({ min, max });
    fc.assert(
      fc.property(teeth(6, 30), teeth(8, 24), teeth(7, 23), teeth(0, 3), teeth(2, 6), (sun, a, b, off, planets) => {
        const simple = run("planetary", { kind: "simple", sun, planet: [a], ring: [sun + 2 * a + off], planets });
        expect(simple.assembles).toBe(goesTogether(sun, [a], [sun + 2 * a + off], planets));
        const rings = [sun + 2 * a, sun + a + b + off] as const;
        const stepped = run("planetary", { kind: "compound-two-ring", sun, planet: [a, b], ring: [...rings], planets });
        expect(stepped.assembles).toBe(goesTogether(sun, [a, b], [...rings], planets));
      }),
      { seed: 3, numRuns: 400 },
    );
  });
});

describe("train", () => {
  test("two stages and a scale model (handbook check values)", () => {
    const two = run("train", {
      stages: [
        { id: "a", ratio: 3, lostMotionArcmin: 20 },
        { id: "b", ratio: 4, lostMotionArcmin: 10 },
      ],
    });
    expect(two).toMatchObject({ ratio: 12, lostMotionAtOutputArcmin: 15 });
    close(two.contributions[0].share, 1 / 3);
    const model = run("train", {
      stages: [
        { id: "w", ratio: 30, efficiency: 0.6, lostMotionArcmin: 6 },
        { id: "g", ratio: 2.5, efficiency: 0.95, lostMotionArcmin: 9 },
      ],
      inputRpm: 9000,
      inputTorqueNm: 0.01,
      wheelDiameterMm: 12.6,
      scale: 87,
    });
    close(model.outputRpm, 120);
    close(model.outputTorqueNm, 0.4275);
    close(model.surfaceSpeedMPerS, 0.0791681);
    close(model.prototypeSpeedKmPerH, 24.79546);
    close(model.lostMotionAtOutputArcmin, 11.4);
  });

  test("a stage after the sloppy one divides its lost motion; nothing lost is no share", () => {
    const still = run("train", { stages: [{ id: "a", ratio: -2 }] });
    expect(still).toEqual({
      ratio: -2,
      lostMotionAtOutputArcmin: 0,
      contributions: [{ id: "a", arcmin: 0, share: 0 }],
    });
    const halved = run("train", {
      stages: [
        { id: "a", ratio: 5, lostMotionArcmin: 8 },
        { id: "b", ratio: -2 },
      ],
    });
    expect(halved.lostMotionAtOutputArcmin).toBe(4);
  });
});

type Circle = { x: number; y: number; r: number };

/** Length of a taut belt round circles all inside: the convex hull of many points on each. */
function hullLength(circles: readonly Circle[], points = 20_000): number {
  const all = circles.flatMap(({ x, y, r }) =>
    Array.from({ length: points }, (_, i): [number, number] => [
      x + r * Math.cos((2 * Math.PI * i) / points),
      y + r * Math.sin((2 * Math.PI * i) / points),
    ]),
  );
  all.sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: [number, number][]) => {
    const hull: [number, number][] = [];
    for (const p of list) {
      while (hull.length >= 2) {
        const [a, b] = [hull[hull.length - 2], hull[hull.length - 1]] as [[number, number], [number, number]];
        if ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0) break;
        hull.pop();
      }
      hull.push(p);
    }
    return hull;
  };
  const hull = [...half(all).slice(0, -1), ...half([...all].reverse()).slice(0, -1)];
  return hull.reduce((sum, p, i) => {
    const q = hull[(i + 1) % hull.length] as [number, number];
    return sum + Math.hypot(p[0] - q[0], p[1] - q[1]);
  }, 0);
}

describe("belts", () => {
  test("100 and 300 at 500: exact, where the handbook's short form is 0.07 mm low", () => {
    const belt = run("belt-drive", { pitchDiameterMm: [100, 300], centreDistanceMm: 500 });
    close(belt.lengthMm, 1648.386012, 6);
    close(belt.spanMm, 489.897949);
    close(belt.wrapDeg[0], 156.926082);
    // Machinery's Handbook: L ≈ 2C + π(d1 + d2)/2 + (d2 − d1)²/(4C).
    const short = 1000 + 200 * Math.PI + 200 ** 2 / 2000;
    expect(belt.lengthMm - short).toBeCloseTo(0.07, 2);
    close(run("belt-drive", { pitchDiameterMm: [100, 300], lengthMm: belt.lengthMm }).centreDistanceMm, 500, 9);
    expect(belt.nearestBelts).toBeUndefined();
  });

  test("toothed belts: the centre distance of a belt, whole belts round a centre distance, one too short", () => {
    const belt = run("belt-drive", { pitchMm: 2, teeth: [20, 60], beltTeeth: 140 });
    close(belt.centreDistanceMm, 99.18161425, 8);
    close(belt.spanMm, 98.36096132, 8);
    close(belt.teethInMesh[0], 9.18048, 5);
    const between = run("belt-drive", { pitchMm: 2, teeth: [16, 60], centreDistanceMm: 80 });
    close(between.beltTeeth, 119.2291469);
    expect(between.nearestBelts.map((b: { beltTeeth: number }) => b.beltTeeth)).toEqual([119, 120]);
    close(between.nearestBelts[0].centreDistanceMm, 79.7672479);
    close(between.nearestBelts[1].centreDistanceMm, 80.7828251);
    const short = run("belt-drive", { pitchMm: 2, teeth: [20, 60], beltTeeth: 60 });
    expect(short).toMatchObject({ feasible: false });
    expect(short.centreDistanceMm).toBeUndefined();
    const [shortest] = short.nearestBelts;
    expect(run("belt-drive", { pitchMm: 2, teeth: [20, 60], beltTeeth: shortest.beltTeeth }).feasible).toBe(true);
    expect(run("belt-drive", { pitchMm: 2, teeth: [20, 60], beltTeeth: shortest.beltTeeth - 1 }).feasible).toBe(false);
    const exact = run("belt-drive", { pitchMm: 5, teeth: [20, 20], centreDistanceMm: 100 });
    expect(exact.nearestBelts).toEqual([{ beltTeeth: 60, centreDistanceMm: expect.closeTo(100, 9) }]);
  });

  test.each([
    [{ pitchMm: 2, teeth: [20, 60], beltTeeth: 99, lengthMm: 5 }, "one-of-doubled pitchMm"],
    [{ centreDistanceMm: 50 }, "one-of-missing pitchMm"],
    [{ pitchMm: 2, beltTeeth: 9 }, "missing teeth"],
    [{ pitchMm: 2, teeth: [20, 60] }, "one-of-missing beltTeeth"],
    [{ pitchDiameterMm: [20, 60] }, "one-of-missing lengthMm"],
    [{ pitchDiameterMm: [20, 60], centreDistanceMm: 39 }, "circles-overlap centreDistanceMm"],
  ])("belt-drive refuses %j: %s", (input, refusal) => {
    expect(refusalOf("belt-drive", input)).toBe(refusal);
  });

  const inside = (x: number, y: number, d: number) => ({ x, y, pitchDiameterMm: d, side: "inside" });

  test("paths: three inside, one outside (handbook check values)", () => {
    const three = run("belt-path", { pulleys: [inside(0, 0, 40), inside(150, 0, 60), inside(70, 90, 30)] });
    close(three.lengthMm, 525.6806276, 7);
    [149.6662955, 119.4780315, 113.9078575].map((span, i) => close(three.spans[i].lengthMm, span, 7));
    [126.565822, 142.611915, 90.822263].map((wrap, i) => close(three.wraps[i].deg, wrap));
    const back = run("belt-path", {
      pulleys: [inside(0, 0, 60), inside(200, 0, 60), { x: 100, y: 10, pitchDiameterMm: 24, side: "outside" }],
    });
    close(back.lengthMm, 598.9433677, 7);
    close(back.wraps[2].deg, 37.984937);
  });

  test("a path with every pulley inside is the hull of the circles, in either order", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 60, max: 90 }), fc.integer({ min: 10, max: 40 })), {
          minLength: 3,
          maxLength: 6,
        }),
        (list) => {
          const pulleys = list.map(([far, d], i) => {
            const at = (2 * Math.PI * i) / list.length;
            return inside(far * Math.cos(at), far * Math.sin(at), d);
          });
          const answer = run("belt-path", { pulleys });
          if (!answer.feasible) return;
          const hull = hullLength(
            pulleys.map((p) => ({ x: p.x, y: p.y, r: p.pitchDiameterMm / 2 })),
            4000,
          );
          expect(answer.lengthMm).toBeCloseTo(hull, 2);
          expect(run("belt-path", { pulleys: [...pulleys].reverse() }).lengthMm).toBeCloseTo(answer.lengthMm, 9);
        },
      ),
      { seed: 4, numRuns: 60 },
    );
  });

  test("no path: a pulley the belt does not touch, a span through another pulley, pulleys that overlap", () => {
    const nowhere = { lengthMm: null, feasible: false, spans: [], wraps: [] };
    const row = [inside(0, 0, 40), inside(200, 0, 40)];
    expect(run("belt-path", { pulleys: [...row, inside(100, 5, 20)] })).toEqual(nowhere);
    expect(run("belt-path", { pulleys: [...row, { x: 100, y: 60, pitchDiameterMm: 20, side: "outside" }] })).toEqual(
      nowhere,
    );
    expect(refusalOf("belt-path", { pulleys: [...row, inside(10, 0, 40)] })).toBe("pulleys-overlap pulleys.2");
  });

  test("an eccentric idler: the turn for a length, its slope and range (handbook), against plain differences", () => {
    const pulleys = [inside(0, 0, 40), inside(999, 999, 40)];
    const eccentric = { index: 1, pivotX: 100, pivotY: 0, throwMm: 2 };
    const set = run("idler-set", { pulleys, eccentric, targetLengthMm: 326.5 });
    close(set.angleDeg, 78.491659);
    close(set.lengthPerDegMm, -0.0681248);
    close(set.range.minLengthMm, 321.6637, 4);
    close(set.range.maxLengthMm, 329.6637, 4);
    const lengthAt = (deg: number) =>
      run("belt-drive", {
        pitchDiameterMm: [40, 40],
        centreDistanceMm: Math.hypot(100 + 2 * Math.cos((deg * Math.PI) / 180), 2 * Math.sin((deg * Math.PI) / 180)),
      }).lengthMm;
    expect(lengthAt(set.angleDeg)).toBeCloseTo(326.5, 8);
    expect((lengthAt(set.angleDeg + 0.01) - lengthAt(set.angleDeg - 0.01)) / 0.02).toBeCloseTo(set.lengthPerDegMm, 7);
    // Seen from below zero the other branch is nearer; out of reach the nearest dead point is told.
    close(run("idler-set", { pulleys, eccentric, targetLengthMm: 326.5, fromDeg: -10 }).angleDeg, -78.491659);
    const out = run("idler-set", { pulleys, eccentric, targetLengthMm: 340, fromDeg: 20 });
    expect(out.feasible).toBe(false);
    expect(out.angleDeg).toBeCloseTo(0, 3);
    expect(refusalOf("idler-set", { pulleys, eccentric: { ...eccentric, index: 2 }, targetLengthMm: 300 })).toBe(
      "no-such-pulley eccentric.index",
    );
  });

  // The ideal string (any physics text) and the handbook's check values; small angle F·L/(4y).
  test("tension by frequency, by deflection, with stiffness, and a millimetre of centre distance", () => {
    const string = run("belt-tension", { spanMm: 150, massKgPerM: 0.008, frequencyHz: 120 });
    close(string.tensionN, 10.368);
    const pressed = run("belt-tension", { spanMm: 640, massKgPerM: 0.1, deflection: { forceN: 25, mm: 10 } });
    close(pressed.tensionN, 400.195265);
    close(pressed.frequencyHz, 49.4226472);
    expect(Math.abs(pressed.tensionN / ((25 * 640) / 40) - 1)).toBeLessThan(0.0005);
    close(
      run("belt-tension", { spanMm: 60, massKgPerM: 0.004, frequencyHz: 310, bendingStiffnessNMm2: 900 }).tensionN,
      3.0679589,
    );
    close(run("belt-tension", { spanMm: 500, massKgPerM: 1, tensionN: 300 }).forceAtN64.forceN, 18.7408514);
    const elongation = { stiffnessN: 12_000, beltLengthMm: 280, centreDistanceMm: 99.18161425 };
    close(
      run("belt-tension", { spanMm: 98.36096132, massKgPerM: 1, tensionN: 1, elongation }).tensionPerCentreMm,
      85.0,
      2,
    );
    expect(
      refusalOf("belt-tension", { spanMm: 60, massKgPerM: 0.004, frequencyHz: 10, bendingStiffnessNMm2: 900 }),
    ).toBe("stiffness-alone bendingStiffnessNMm2");
    expect(refusalOf("belt-tension", { spanMm: 60, massKgPerM: 0.004 })).toBe("one-of-missing frequencyHz");
  });

  test("what a frequency says of a tension, the tension says of the frequency, in any harmonic and stiffness", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 500, noNaN: true }),
        fc.integer({ min: 1, max: 4 }),
        fc.double({ min: 0, max: 500, noNaN: true }),
        (tensionN, harmonic, bendingStiffnessNMm2) => {
          const span = { spanMm: 220, massKgPerM: 0.05, harmonic, bendingStiffnessNMm2 };
          const { frequencyHz } = run("belt-tension", { ...span, tensionN });
          expect(run("belt-tension", { ...span, frequencyHz }).tensionN).toBeCloseTo(tensionN, 6);
        },
      ),
      { seed: 5, numRuns: 100 },
    );
  });
});

describe("chains", () => {
  // Pitch diameters for unit pitch: Machinery's Handbook and ISO 606 annex tables.
  test.each([
    [9, 2.9238],
    [11, 3.5495],
    [17, 5.4422],
    [25, 7.9787],
    [38, 12.1096],
    [57, 18.1529],
    [114, 36.2919],
  ])("%d teeth: pitch diameter %d times the pitch", (z, d) => {
    const drive = run("chain-drive", { pitchMm: 1, teeth: [z, z], links: 4 * z });
    expect(drive.pitchDiameterMm[0]).toBeCloseTo(d, 4);
  });

  test("lengths, even links, unevenness (handbook check values; ISO 606 short form beside them)", () => {
    const chain = { pitchMm: 12.7, teeth: [17, 51] };
    const hundred = run("chain-drive", { ...chain, links: 100 });
    close(hundred.centreDistanceMm, 413.374153);
    close(hundred.spanMm, 407.621547);
    const half = run("chain-drive", { ...chain, centreDistanceMm: 500 });
    close(half.links, 113.4850933);
    expect(half.linksEven).toBe(114);
    close(half.centreForEvenMm, 503.3007778);
    const iso = 1000 / 12.7 + 34 + ((34 / (2 * Math.PI)) ** 2 * 12.7) / 500;
    expect(half.links - iso).toBeCloseTo(0.0012, 4);
    [6.030738, 4.050703, 1.70269, 0.78853].map((percent, i) =>
      close(
        run("chain-drive", { pitchMm: 1, teeth: [[9, 11, 17, 25][i], 30], links: 100 }).chordalSpeedVariationPercent[0],
        percent,
      ),
    );
    const short = run("chain-drive", { ...chain, links: 40 });
    expect(short.feasible).toBe(false);
    expect(run("chain-drive", { ...chain, links: short.linksEven })).toMatchObject({ feasible: true });
    expect(run("chain-drive", { ...chain, links: short.linksEven - 2 })).toMatchObject({ feasible: false });
    expect(run("chain-drive", { ...chain, links: 101 })).toMatchObject({ feasible: true, links: 101, linksEven: 102 });
  });

  /** Sag of a span longer than its chord, by the exact parabola's arc found numerically. */
  const arcOver = (span: number, sag: number) => {
    const n = 20_000;
    let length = 0;
    const y = (x: number) => (4 * sag * x * (span - x)) / span ** 2;
    for (let i = 0; i < n; i++) length += Math.hypot(span / n, y(((i + 1) * span) / n) - y((i * span) / n));
    return length - span;
  };

  test("sag, elongation, wear limit; the move agrees with measured-out arcs to half a per cent", () => {
    const chain = { pitchMm: 12.7, teeth: [17, 51], centreDistanceMm: 500 };
    const sag = run("chain-condition", { ...chain, sagMm: 20, targetSagMm: 10 });
    close(sag.moveCentreMm, 0.8154042);
    close(sag.sagPercent, 4.038327);
    close(sag.sagPerCentreMm, -9.2, 2);
    const byArcs = (arcOver(sag.spanMm, 20) - arcOver(sag.spanMm, 10)) / (2 * (sag.spanMm / 500));
    expect(Math.abs(sag.moveCentreMm / byArcs - 1)).toBeLessThan(0.005);
    const worn = run("chain-condition", { ...chain, measured: { pitches: 20, mm: 256.5 } });
    close(worn.elongationPercent, 0.984252);
    expect(worn).toMatchObject({ wearVerdict: "within", wearLimitPercent: 3 });
    close(run("chain-condition", { pitchMm: 12.7, teeth: [19, 95], centreDistanceMm: 700 }).wearLimitPercent, 2.105263);
    expect(run("chain-condition", { ...chain, sagMm: 0 }).sagPerCentreMm).toBeUndefined();
    expect(refusalOf("chain-condition", { ...chain, centreDistanceMm: 137 })).toBe("circles-overlap centreDistanceMm");
  });
});

describe("dividing, steps, holes", () => {
  test("index plans (handbook check values)", () => {
    const sixty = run("index-plan", { stepsPerRev: 200, microsteps: 16, ratio: [40, 1], divisions: 60 });
    expect(sixty).toMatchObject({ stepsPerDivision: { num: 6400, den: 3 }, exact: false, closes: true });
    expect(sixty.moves.slice(0, 3)).toEqual([2133, 2134, 2133]);
    expect(sixty.moves).toHaveLength(12);
    close(sixty.maxErrorArcsec, 3.375);
    const seven = run("index-plan", { stepsPerRev: 200, microsteps: 16, ratio: [1, 1], divisions: 7 });
    expect(seven.moves).toEqual([457, 457, 457, 458, 457, 457, 457]);
    close(seven.maxErrorArcsec, 173.571429);
    close(
      run("index-plan", { stepsPerRev: 200, microsteps: 1, ratio: [90, 1], divisions: 127 }).maxErrorArcsec,
      35.716535,
    );
  });

  test("errors against counting every position in plain numbers", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 1, max: 50 }),
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 1, max: 90 }),
        (steps, num, den, divisions) => {
          const plan = run("index-plan", { stepsPerRev: steps, microsteps: 2, ratio: [num, den], divisions });
          const turn = (steps * 2 * num) / den;
          const errors = Array.from({ length: divisions + 1 }, (_, k) =>
            Math.abs(Math.floor((k * turn) / divisions + 0.5 + 1e-9) - (k * turn) / divisions),
          );
          expect(plan.maxErrorArcsec).toBeCloseTo((Math.max(...errors) * 1_296_000) / turn, 4);
          expect(plan.closes).toBe((steps * 2 * num) % den === 0);
        },
      ),
      { seed: 6, numRuns: 200 },
    );
  });

  test("steps a millimetre, computed and corrected, and the command", () => {
    const motor = { stepsPerRev: 200, microsteps: 16 };
    close(run("steps-per-unit", { ...motor, ratio: [50, 17], drumDiameterMm: 7.3 }).stepsPerMm, 410.3914729);
    expect(run("steps-per-unit", { ...motor, ratio: [1, 1], travelPerTurnMm: 40 })).toEqual({
      stepsPerMm: 80,
      gcode: "M92 X80.0000",
    });
    expect(run("steps-per-unit", { oldStepsPerMm: 80, commandedMm: 200, measuredMm: 199.2, axis: "Z" }).gcode).toBe(
      "M92 Z80.3213",
    );
    expect(refusalOf("steps-per-unit", {})).toBe("one-of-missing drumDiameterMm");
    expect(refusalOf("steps-per-unit", { ...motor, oldStepsPerMm: 80 })).toBe("one-of-doubled drumDiameterMm");
    expect(refusalOf("steps-per-unit", { ...motor, ratio: [1, 1], drumDiameterMm: 1, travelPerTurnMm: 1 })).toBe(
      "one-of-doubled drumDiameterMm",
    );
    expect(refusalOf("steps-per-unit", { ...motor, travelPerTurnMm: 1 })).toBe("missing ratio");
  });

  test("a grid of 8 mm holes against every offset and pair tried", () => {
    const question = {
      pitchMm: 8,
      moduleMm: 1,
      teeth: [12, 16, 20, 24, 40],
      maxHoles: 6,
      band: { loMm: 0, hiMm: 0.3 },
    };
    const { pairs, viaIdler, unreachable } = run("hole-grid", question);
    const naive: string[] = [];
    for (const z1 of question.teeth)
      for (const z2 of question.teeth.filter((z) => z >= z1))
        for (let a = 1; a <= 6; a++)
          for (let b = 0; b <= a; b++) {
            const clearance = 8 * Math.sqrt(a * a + b * b) - (z1 + z2) / 2;
            if (clearance >= -1e-9 && clearance <= 0.3 + 1e-9) naive.push(`${z1}/${z2} ${a},${b}`);
          }
    const found = pairs.map((p: { teeth: number[]; holes: number[] }) => `${p.teeth.join("/")} ${p.holes.join(",")}`);
    expect([...found].sort()).toEqual(naive.sort());
    expect(found).toContain("12/20 2,0");
    const direct = new Set(pairs.map((p: { teeth: number[] }) => p.teeth.join("/")));
    for (const { teeth, idler } of viaIdler) {
      expect(direct.has(teeth.join("/"))).toBe(false);
      for (const z of teeth) expect(direct.has([z, idler].sort((a, b) => a - b).join("/"))).toBe(true);
    }
    const bridged = new Set(viaIdler.map((v: { teeth: number[] }) => v.teeth.join("/")));
    expect(direct.size + bridged.size + unreachable.length).toBe(15);
  });
});
