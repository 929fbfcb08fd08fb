import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { tensionByAge, warmTension } from "~/core/belts";
import { refusalOf, run } from "./run";

const close = (value: number, to: number, digits = 6) =>
  expect(Math.abs(value - to), `${value} for ${to}`).toBeLessThanOrEqual(
    0.5 * 10 ** -digits * Math.max(1, Math.abs(to)),
  );

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

describe("what bears on a tension beside the reading", () => {
  test("a bar held at both ends and cooled by 60 K: σ = E·κ·ΔT of statics, 200 GPa · 11.7e-6 · 60 = 140.4 MPa", () => {
    const areaMm2 = 100;
    const bar = { tensionN: 0, stiffnessN: 200_000 * areaMm2, framePerK: 0, cordPerK: 11.7e-6 };
    expect(warmTension({ ...bar, fromC: 20, toC: -40 }) / areaMm2).toBeCloseTo(140.4, 9);
    // A belt does not push.
    expect(warmTension({ ...bar, fromC: 20, toC: 80 })).toBe(0);
  });

  test("as the lengths give it, path and belt each grown by themselves", () => {
    const [EA, freeMm, pathMm, kFrame, kCord, dT] = [60_000, 1118.4, 1120, 23e-6, 5e-6, 35];
    const pull = (path: number, free: number) => EA * (path / free - 1);
    const warm = pull(pathMm * (1 + kFrame * dT), freeMm * (1 + kCord * dT));
    const said = warmTension({
      tensionN: pull(pathMm, freeMm),
      stiffnessN: EA,
      framePerK: kFrame,
      cordPerK: kCord,
      fromC: 20,
      toC: 55,
    });
    expect(Math.abs(said - warm)).toBeLessThan(0.1);
  });

  test("a new V-belt is set to 1.3 to 1.5 times (handbook of belts, common practice), a toothed one as it runs", () => {
    const limits = { lo: 200, hi: 300 };
    const [fresh, runIn, used] = tensionByAge("v-belt", limits);
    expect([fresh, runIn, used]).toEqual([
      { age: "new", loN: expect.closeTo(260, 9), hiN: expect.closeTo(300, 9) },
      { age: "run-in", loN: 200, hiN: 300 },
      { age: "used", loN: 200, hiN: 300 },
    ]);
    expect(tensionByAge("toothed-belt", limits)[0]).toEqual({ age: "new", loN: 200, hiN: 300 });
  });
});
