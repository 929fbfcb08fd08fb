import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { refusalOf, run } from "./run";

/*
 * Order of parts, greasing, frames and wheels in line (READMEs of core/guides, core/greasing, core/frames). Check values: handbooks of belts in
 * use and of axes and frames.
 */

type Part = { id: string; after?: string[]; hides?: string[]; screws?: number };

describe("strip-order", () => {
  test("getting dressed, as the textbook has it", () => {
    // Cormen, Leiserson, Rivest, Stein, Introduction to Algorithms, topological sort (from memory): this order and these ties.
    const order = ["socks", "undershorts", "trousers", "shoes", "watch", "shirt", "belt", "tie", "jacket"];
    const after: Record<string, string[]> = {
      trousers: ["undershorts"],
      shoes: ["socks", "undershorts", "trousers"],
      belt: ["trousers", "shirt"],
      tie: ["shirt"],
      jacket: ["tie", "belt"],
    };
    const parts: Part[] = order.map((id) => ({ id, after: after[id] ?? [] }));
    const dressed = run("strip-order", { parts, part: "trousers" });
    expect(dressed).toMatchObject({ feasible: true, assembly: order, strip: [...order].reverse(), conflicts: [] });
    expect(dressed).toMatchObject({ before: ["undershorts"], toReach: ["jacket", "belt", "shoes"] });
  });

  test("captive nuts before the cover that hides them, the motor before the plate: what comes off to reach the pinion", () => {
    const parts: Part[] = [
      { id: "cover", after: ["frame"], hides: ["nuts", "pinion"], screws: 10 },
      { id: "frame" },
      { id: "nuts", after: ["frame"] },
      { id: "plate", after: ["frame"], hides: ["motor"], screws: 4 },
      { id: "motor", after: ["frame"], screws: 3 },
      { id: "pinion", after: ["motor"] },
    ];
    expect(run("strip-order", { parts, part: "pinion" })).toMatchObject({
      assembly: ["frame", "nuts", "motor", "plate", "pinion", "cover"],
      before: ["frame", "motor"],
      toReach: ["cover"],
      screwsToReach: 10,
      screws: 17,
    });
  });

  /** Ties of a few parts at random. */
  const ties = fc.integer({ min: 2, max: 6 }).chain((n) =>
    fc
      .array(
        fc
          .record({ from: fc.nat(n - 1), to: fc.nat(n - 1), hides: fc.boolean() })
          .filter(({ from, to }) => from !== to),
        { maxLength: 9 },
      )
      .map((list) => ({ n, list })),
  );
  const partsOf = ({ n, list }: { n: number; list: { from: number; to: number; hides: boolean }[] }): Part[] =>
    Array.from({ length: n }, (_, i) => ({
      id: `p${i}`,
      after: list.filter((tie) => tie.from === i && !tie.hides).map(({ to }) => `p${to}`),
      hides: list.filter((tie) => tie.from === i && tie.hides).map(({ to }) => `p${to}`),
    }));

  /** The second way: every order there is, and who waits for whom by Warshall. */
  function* orders(left: number[]): Generator<number[]> {
    if (left.length === 0) yield [];
    for (const first of left)
      for (const rest of orders(left.filter((other) => other !== first))) yield [first, ...rest];
  }

  test("is the first of all orders in which nothing comes before what it waits for; each ring is one, and there is one for each group", () => {
    fc.assert(
      fc.property(ties, ({ n, list }) => {
        const found = run("strip-order", { parts: partsOf({ n, list }), part: "p0" });
        const waits = Array.from({ length: n }, (_, i) =>
          Array.from({ length: n }, (_, j) => list.some(({ from, to }) => from === i && to === j)),
        );
        const far = waits.map((row) => [...row]);
        for (let k = 0; k < n; k++)
          for (let i = 0; i < n; i++)
            for (let j = 0; j < n; j++) if (far[i]?.[k] && far[k]?.[j]) (far[i] as boolean[])[j] = true;
        let first: number[] | undefined;
        for (const order of orders([...Array(n).keys()]))
          if (order.every((i, at) => !order.slice(at + 1).some((j) => waits[i]?.[j]))) {
            first = order;
            break;
          }
        const groups = new Set(
          [...Array(n).keys()]
            .filter((i) => far[i]?.[i])
            .map((i) => [...Array(n).keys()].find((j) => far[i]?.[j] && far[j]?.[i])),
        );
        expect(found.feasible).toBe(first !== undefined);
        expect(found.conflicts).toHaveLength(groups.size);
        for (const ring of found.conflicts)
          for (const [k, id] of ring.entries()) {
            const next = ring[(k + 1) % ring.length];
            expect(waits[Number(id.slice(1))]?.[Number(next.slice(1))]).toBe(true);
          }
        if (!first) return;
        expect(found.assembly).toEqual(first.map((i) => `p${i}`));
        expect(new Set(found.before)).toEqual(new Set(first.filter((i) => far[0]?.[i]).map((i) => `p${i}`)));
        expect(new Set(found.toReach)).toEqual(new Set(first.filter((i) => far[i]?.[0]).map((i) => `p${i}`)));
      }),
      { numRuns: 300 },
    );
  });

  test("a ring is told from its first in the list; what cannot be is refused at its place", () => {
    const parts: Part[] = [
      { id: "a", after: ["c"] },
      { id: "b", after: ["a"] },
      { id: "c", after: ["b"] },
      { id: "d", after: ["c"] },
      { id: "e" },
    ];
    expect(run("strip-order", { parts })).toMatchObject({
      feasible: false,
      assembly: ["e"],
      conflicts: [["a", "c", "b"]],
    });
    const refused = (list: Part[], part?: string) => refusalOf("strip-order", { parts: list, part });
    expect(refused([{ id: "a" }, { id: "a" }])).toBe("id-twice parts.1.id");
    expect(refused([{ id: "a", after: ["a"] }])).toBe("not-listed parts.0.after.0");
    expect(refused([{ id: "a" }, { id: "b", hides: ["a", "x"] }])).toBe("not-listed parts.1.hides.1");
    expect(refused([{ id: "a" }], "x")).toBe("not-listed part");
  });
});

describe("grease-due", () => {
  const point = { id: "bearing", intervalH: 1000, lastH: 200 };
  const due = (points: object[], more: object = {}) =>
    run("grease-due", { points, nowH: 250, hoursPerDay: 10, ...more });

  test("the handbook's: 1000 h at 100 °C, wet, are 100 h; 47 × 14 takes 3.29 g", () => {
    const [first] = due([{ ...point, tempC: 100, wet: "wet", bearing: { outerMm: 47, widthMm: 14 } }]).points;
    expect(first).toMatchObject({ dueAtH: expect.closeTo(300, 9), by: "hours", overdue: false });
    expect([first.factor, first.intervalH, first.grams, first.dueInDays]).toEqual(
      [0.1, 100, 3.29, 5].map((value) => expect.closeTo(value, 9)),
    );
  });

  test("soonest first, by hours or by days; what is due within the horizon, and how much", () => {
    const found = due(
      [
        { ...point, id: "late", grams: 2 },
        { ...point, id: "old", intervalDays: 90, daysSince: 100, grams: 5 },
        { ...point, id: "soon", intervalH: 60, grams: 1 },
        { ...point, id: "dirty", intervalH: 200, dirt: "dirty", vertical: true, wet: "damp" },
      ],
      { horizonDays: 1 },
    );
    expect(found.points.map(({ id }: { id: string }) => id)).toEqual(["old", "dirty", "soon", "late"]);
    expect(found.points[0]).toMatchObject({ by: "days", dueInDays: -10, overdue: true });
    // 0.4 · 0.7 · 0.5 of 200 h, 50 h since.
    expect(found.points[1].dueInDays).toBeCloseTo((28 - 50) / 10, 9);
    expect(found).toMatchObject({ due: ["old", "dirty", "soon"], gramsDue: 6 });
  });

  test.each([
    [{ ...point, intervalDays: 90 }, "missing points.0.daysSince"],
    [{ ...point, daysSince: 90 }, "missing points.0.intervalDays"],
    [{ ...point, grams: 1, bearing: { outerMm: 47, widthMm: 14 } }, "one-of-doubled points.0.grams"],
    [{ ...point, lastH: 251 }, "too-large points.0.lastH"],
  ])("%j is refused", (one, refused) => {
    expect(refusalOf("grease-due", { points: [one], nowH: 250, hoursPerDay: 10 })).toBe(refused);
  });
});

describe("flatness", () => {
  const at = (xMm: number, yMm: number, zMm: number) => ({ xMm, yMm, zMm });
  const corners = (z: readonly [number, number, number, number]) => [
    at(0, 0, z[0]),
    at(600, 0, z[1]),
    at(600, 400, z[2]),
    at(0, 400, z[3]),
  ];

  test("the handbook's corners: flatness 0.2, twist 0.4, the first shimmed by 0.4", () => {
    const found = run("flatness", { points: corners([0, 0.3, 0.1, 0.2]) });
    expect(found.flatnessMm).toBeCloseTo(0.2, 6);
    expect(found.twistMm).toBeCloseTo(0.4, 9);
    expect(found.shim).toEqual({ point: 0, mm: expect.closeTo(0.4, 9) });
    const shimmed = run("flatness", { points: corners([0.4, 0.3, 0.1, 0.2]) });
    expect(shimmed.flatnessMm).toBeCloseTo(0, 9);
    expect(shimmed.shim).toBeNull();
  });

  const height = fc.double({ min: -0.5, max: 0.5, noNaN: true });
  test("lifted by what it says every point lies in one plane; no other plane has less left in squares", () => {
    fc.assert(
      fc.property(
        fc.array(height, { minLength: 6, maxLength: 12 }),
        fc.tuple(height, height, height),
        (z, [da, dx, dy]) => {
          const points = z.map((zMm, i) => at(100 * (i % 4), 130 * Math.floor(i / 4), zMm));
          const { plane, raiseMm, deviationsMm } = run("flatness", { points });
          const lifted = run("flatness", { points: points.map((p, i) => ({ ...p, zMm: p.zMm + raiseMm[i] })) });
          expect(lifted.flatnessMm).toBeLessThan(1e-5);
          const left = (a: number, x: number, y: number) =>
            points.reduce((sum, p) => sum + (p.zMm - a - (x * p.xMm + y * p.yMm) / 1000) ** 2, 0);
          const own = left(plane.atOriginMm, plane.slopeXMmPerM, plane.slopeYMmPerM);
          expect(own).toBeLessThanOrEqual(
            left(plane.atOriginMm + da, plane.slopeXMmPerM + dx, plane.slopeYMmPerM + dy) + 1e-9,
          );
          expect(deviationsMm.reduce((sum: number, d: number) => sum + d, 0)).toBeCloseTo(0, 9);
        },
      ),
      { numRuns: 200 },
    );
  });

  test("a rail that climbs and leans away, and verdicts with the uncertainty of heights", () => {
    const points = [at(0, 0, 0), at(1000, 0, 0), at(0, 300, 0), at(1000, 301, 0.2)];
    const rails = { along: "x", a: [0, 1], b: [2, 3] };
    expect(run("flatness", { points, rails }).rails).toEqual({
      heightMmPerM: expect.closeTo(0.2, 9),
      planMmPerM: expect.closeTo(1, 9),
    });
    const verdict = (more: object) => run("flatness", { points, rails, ...more }).verdict;
    expect(verdict({})).toBeUndefined();
    expect(verdict({ railLimitMmPerM: 1.1 })).toBe("conforms");
    // 2000 · 0.06 / 1000 a metre.
    expect(verdict({ railLimitMmPerM: 1.1, expandedUncertaintyMm: 0.06 })).toBe("undecided");
    expect(verdict({ railLimitMmPerM: 0.8, expandedUncertaintyMm: 0.06 })).toBe("does-not-conform");
    expect(verdict({ railLimitMmPerM: 1.1, limitMm: 0.05 })).toBe("does-not-conform");
    expect(refusalOf("flatness", { points, railLimitMmPerM: 1 })).toBe("missing rails");
    expect(refusalOf("flatness", { points, rails: { ...rails, b: [2, 2] } })).toBe("positions-undetermined rails.b");
    expect(refusalOf("flatness", { points, rails: { ...rails, b: [2, 4] } })).toBe("not-listed rails.b.1");
    const line = [at(0, 0, 0), at(100, 100, 1), at(200, 200, 0)];
    expect(refusalOf("flatness", { points: line })).toBe("positions-undetermined points");
    expect(refusalOf("flatness", { points: [...line, at(0, 300, 0)] })).toBe("positions-undetermined points");
  });
});

describe("wheel-align", () => {
  const edge = { kind: "toothed", centreDistanceMm: 480, movable: { nearMm: 0.4, farMm: 1.1, apartMm: 150 } };

  test("the handbook's edge: 0.267378°, offset 0.75, together 0.356903°; feet and slide", () => {
    const found = run("wheel-align", { ...edge, feet: { frontMm: 85, rearMm: 265 } });
    expect([found.angleDeg, found.offsetMm, found.misalignmentDeg]).toEqual(
      [0.267378, 0.75, 0.356903].map((value) => expect.closeTo(value, 6)),
    );
    expect(found.moves.axialMm).toBe(-0.75);
    expect([found.moves.front.apartMm, found.moves.rear.apartMm]).toEqual(
      [0.396662, 1.236653].map((value) => expect.closeTo(value, 6)),
    );
    expect(found).toMatchObject({ limitDeg: 0.25, overDeg: expect.closeTo(0.106903, 6), verdict: "does-not-conform" });
    expect(run("wheel-align", { ...edge, kind: "v-belt" }).verdict).toBe("conforms");
  });

  test("the handbook's uncertainty: 0.164° with the gaps of a small fixed wheel, 0.029° without", () => {
    const small = { ...edge, movable: { nearMm: 0, farMm: 0, apartMm: 200 }, expandedUncertaintyMm: 0.05 };
    const verdict = (limitDeg: number, more: object = {}) =>
      run("wheel-align", { ...small, limitDeg, ...more }).verdict;
    const fixed = { nearMm: 0, farMm: 0, apartMm: 60 };
    expect([verdict(0.165, { fixed }), verdict(0.163, { fixed })]).toEqual(["conforms", "undecided"]);
    expect([verdict(0.03), verdict(0.028)]).toEqual(["conforms", "undecided"]);
  });

  test("two wheels stood askew in space, and the gaps read off a straight edge that leans: the same angle, twist and offset", () => {
    const small = fc.double({ min: -0.02, max: 0.02, noNaN: true });
    fc.assert(
      fc.property(small, small, small, fc.double({ min: -3, max: 3, noNaN: true }), (lean, angle, twist, offset) => {
        const [c, a1, a2] = [500, 90, 160];
        // The fixed face is the line y = 0; the edge leans against it. Gaps are square to the fixed face's own line, as small as they are.
        const gap = (x: number, y: number) => y - Math.tan(-lean) * x + 5;
        const movable = (x: number) => offset + Math.tan(angle) * (x - c);
        // Seen from the leaning edge angles turn by as much: tan(a − b) is taken whole.
        const found = run("wheel-align", {
          kind: "chain",
          centreDistanceMm: c,
          fixed: { nearMm: gap(a1 / 2, 0), farMm: gap(-a1 / 2, 0), apartMm: a1 },
          movable: {
            nearMm: gap(c - a2 / 2, movable(c - a2 / 2)),
            farMm: gap(c + a2 / 2, movable(c + a2 / 2)),
            apartMm: a2,
          },
          across: { topMm: Math.tan(twist) * 140, bottomMm: 0, apartMm: 140 },
        });
        expect(found.offsetMm).toBeCloseTo(offset, 6);
        expect(found.twistDeg).toBeCloseTo((twist * 180) / Math.PI, 9);
        // The gaps are added, not turned: third order in the two slopes.
        expect(Math.abs(found.angleDeg - (angle * 180) / Math.PI)).toBeLessThan(0.002);
      }),
    );
    expect(refusalOf("wheel-align", { ...edge, feet: { frontMm: 85, rearMm: 85 } })).toBe(
      "window-upside-down feet.frontMm",
    );
  });
});

describe("frame-pull", () => {
  const pull = {
    readings: [
      { tensionN: 0, offsetMm: 0.05, angleDeg: 0.02 },
      { tensionN: 120, offsetMm: 0.17, angleDeg: 0.08 },
    ],
    targetN: 400,
    bandN: { lo: 60, hi: 760 },
    limits: { offsetMm: 0.5, angleDeg: 0.25 },
  };

  test("the handbook's: 0.001 mm a newton; stood off by −0.41 mm and −0.205° it holds the band", () => {
    const found = run("frame-pull", pull);
    expect(found.perN).toEqual({ offsetMm: expect.closeTo(0.001, 9), angleDeg: expect.closeTo(0.0005, 9) });
    expect(found).toMatchObject({ action: "pre-set", feasible: true, verdict: "does-not-conform" });
    expect(found.preset).toEqual({ offsetMm: expect.closeTo(-0.41, 9), angleDeg: expect.closeTo(-0.205, 9) });
    expect(found.residual).toEqual({ offsetMm: 0, angleDeg: 0 });
  });

  test("set up slack to the pre-set the line lies within the limits over the whole band; where it cannot, the frame is braced", () => {
    const k = fc.double({ min: -0.002, max: 0.002, noNaN: true });
    fc.assert(
      fc.property(k, k, fc.double({ min: 50, max: 900, noNaN: true }), (offset, angle, hi) => {
        const readings = [0, 100, 300].map((tensionN) => ({
          tensionN,
          offsetMm: 0.1 + offset * tensionN,
          angleDeg: -0.3 + angle * tensionN,
        }));
        const found = run("frame-pull", { ...pull, readings, targetN: 50, bandN: { lo: 20, hi } });
        const from = found.preset ?? found.slack;
        const worst = (way: "offsetMm" | "angleDeg") =>
          Math.max(...[20, 50, hi].map((tension) => Math.abs(from[way] + found.perN[way] * tension))) /
          pull.limits[way];
        if (found.action !== "brace")
          expect(Math.max(worst("offsetMm"), worst("angleDeg"))).toBeLessThanOrEqual(1 + 1e-6);
        else {
          expect(found.feasible).toBe(false);
          // So much stiffer, and a pre-set holds it just.
          const stiffer = readings.map((r) => ({
            tensionN: r.tensionN,
            offsetMm: 0.1 + (offset / found.stiffenBy) * r.tensionN,
            angleDeg: -0.3 + (angle / found.stiffenBy) * r.tensionN,
          }));
          expect(run("frame-pull", { ...pull, readings: stiffer, targetN: 50, bandN: { lo: 20, hi } }).feasible).toBe(
            true,
          );
        }
      }),
      { numRuns: 200 },
    );
  });

  test("good as it stands; one tension only, and a target outside its band, are refused", () => {
    const still = { ...pull, readings: pull.readings.map((r) => ({ ...r, offsetMm: 0.01, angleDeg: 0 })) };
    expect(run("frame-pull", still)).toMatchObject({ action: "none", verdict: "conforms" });
    expect(run("frame-pull", { ...still, expandedUncertainty: { offsetMm: 0.495 } }).verdict).toBe("undecided");
    expect(refusalOf("frame-pull", { ...pull, readings: pull.readings.map((r) => ({ ...r, tensionN: 5 })) })).toBe(
      "too-few readings",
    );
    expect(refusalOf("frame-pull", { ...pull, targetN: 800 })).toBe("aim-outside targetN");
  });
});
