import { describe, expect, test } from "vitest";
import { mustHold } from "../../core/quantity";
import { layStack, type StockShim, shaftStack, shimStack, twoSides } from "../../core/stacks";
import { run } from "./run";

/** The handbook's drawer for its check values. */
const drawer = [
  [0.05, 4],
  [0.1, 4],
  [0.2, 4],
  [0.5, 2],
  [1, 2],
].map(([thicknessMm, count]) => ({ thicknessMm: thicknessMm as number, count: count as number }));

/** Small numbers without chance in core: a linear congruential generator (constants of Numerical Recipes, 2nd ed., ch. 7.1). */
function dice(seed: number) {
  let state = seed >>> 0;
  return (sides: number) => {
    state = (Math.imul(1_664_525, state) + 1_013_904_223) >>> 0;
    return Math.floor((state / 2 ** 32) * sides);
  };
}

describe("shim stack", () => {
  test.each([
    ["a window", { gapMm: 2.37, target: { loMm: 0.05, hiMm: 0.15 } }, 2.25, 0.12, 4, 1],
    ["an aim", { gapMm: 1.234, target: { loMm: 0.02, aimMm: 0.03, hiMm: 0.06 } }, 1.2, 0.034, 2, 0],
    ["nothing to put in", { gapMm: 0.08, target: { loMm: 0.05, hiMm: 0.1 } }, 0, 0.08, 0, 0],
    [
      "squeezed",
      {
        gapMm: 0.9,
        target: { loMm: -0.05, hiMm: -0.02 },
        stock: [
          { thicknessMm: 0.3, count: 2 },
          { thicknessMm: 0.32, count: 2 },
          { thicknessMm: 0.1, count: 3 },
        ],
      },
      0.94,
      -0.04,
      3,
      1,
    ],
  ])("%s (handbook check values)", (_, input, totalMm, clearanceMm, pieces, others) => {
    const answer = run("shim-stack", { stock: drawer, ...input });
    expect(answer).toMatchObject({ feasible: true, best: { totalMm, clearanceMm, pieces } });
    expect(answer.alternatives).toHaveLength(others);
  });

  test("three pieces do not fill 3.5: the nearest leaves 1.0 (handbook); in thou four of 0.002 count 204 µm", () => {
    const short = run("shim-stack", { gapMm: 3.5, target: { loMm: 0, hiMm: 0.04 }, stock: drawer, maxPieces: 3 });
    expect(short).toMatchObject({ feasible: false, best: null, nearestAbove: { clearanceMm: 1, pieces: 3 } });
    expect(short.nearestBelow).toBeUndefined();
    const thou = { gapMm: 0.204, target: { loMm: 0, hiMm: 0 }, stock: [{ thicknessMm: 0.0508, count: 4 }] };
    expect(run("shim-stack", thou)).toMatchObject({ best: { totalMm: 0.204, clearanceMm: 0, pieces: 4 } });
  });

  test.each(Array.from({ length: 60 }, (_, seed) => seed))(
    "seed %i: the same best, alternatives and nearest as trying every choice",
    (seed) => {
      const roll = dice(seed);
      const stock: StockShim[] = Array.from({ length: 1 + roll(5) }, () => ({
        thicknessMm: (1 + roll(90)) / 100,
        count: roll(4),
      }));
      const gapMm = (1 + roll(250)) / 100;
      const loMm = (roll(40) - 15) / 100;
      const target = { loMm, hiMm: loMm + roll(12) / 100, ...(seed % 3 ? {} : { aimMm: loMm + roll(9) / 100 }) };
      const maxPieces = 1 + roll(6);
      const fast = mustHold(shimStack({ gapMm, target, stock, maxPieces, alternatives: 100 }));

      const um = (mm: number) => Math.round(mm * 1000);
      const [gap, lo, hi] = [um(gapMm), um(target.loMm), um(target.hiMm)] as const;
      const aim = target.aimMm === undefined ? (lo + hi) / 2 : um(target.aimMm);
      const fewest = new Map<number, number>();
      const take = (index: number, total: number, pieces: number): void => {
        const size = stock[index];
        if (pieces > maxPieces) return;
        if (!size) {
          fewest.set(total, Math.min(pieces, fewest.get(total) ?? Number.POSITIVE_INFINITY));
          return;
        }
        for (let k = 0; k <= size.count; k++) take(index + 1, total + k * um(size.thicknessMm), pieces + k);
      };
      take(0, 0, 0);
      const off = (total: number) => Math.abs(gap - total - aim);
      const all = [...fewest].map(([total, pieces]) => ({ total, pieces, clearance: gap - total }));
      const inside = all
        .filter(({ clearance }) => clearance >= lo && clearance <= hi)
        .sort((a, b) => off(a.total) - off(b.total) || a.pieces - b.pieces || a.total - b.total);
      const found = [fast.best, ...fast.alternatives].flatMap((stack) => (stack ? [stack] : []));
      expect(found.map(({ totalMm, pieces }) => [um(totalMm), pieces])).toEqual(
        inside.map(({ total, pieces }) => [total, pieces]),
      );
      for (const { shims, totalMm } of found)
        expect(shims.reduce((sum, { thicknessMm, count }) => sum + count * um(thicknessMm), 0)).toBe(um(totalMm));
      if (inside.length > 0) return;
      const below = all.filter(({ clearance }) => clearance < lo).map(({ clearance }) => clearance);
      const above = all.filter(({ clearance }) => clearance > hi).map(({ clearance }) => clearance);
      expect(fast.nearestBelow && um(fast.nearestBelow.clearanceMm)).toBe(
        below.length ? Math.max(...below) : undefined,
      );
      expect(fast.nearestAbove && um(fast.nearestAbove.clearanceMm)).toBe(
        above.length ? Math.min(...above) : undefined,
      );
    },
  );

  test("what was in goes back in first where it makes no other difference", () => {
    const stock = [
      { thicknessMm: 0.4, count: 2 },
      { thicknessMm: 0.1, count: 2 },
      { thicknessMm: 0.3, count: 1, wereIn: 1 },
      { thicknessMm: 0.2, count: 1, wereIn: 1 },
    ];
    const question = { gapMm: 0.55, target: { loMm: 0.05, hiMm: 0.05 }, stock, maxPieces: 4, alternatives: 0 };
    expect(mustHold(shimStack(question)).best?.shims).toEqual([
      { thicknessMm: 0.3, count: 1 },
      { thicknessMm: 0.2, count: 1 },
    ]);
  });

  test("eighty sizes and ten pieces over 30 mm; a gap no table could hold is refused at its field", () => {
    const stock = Array.from({ length: 80 }, (_, i) => ({
      thicknessMm: (11 + 47 * i + ((i * i) % 13)) / 1000,
      count: 10,
    }));
    const answer = mustHold(
      shimStack({ gapMm: 30, target: { loMm: 0.05, hiMm: 0.06 }, stock, maxPieces: 10, alternatives: 3 }),
    );
    expect(answer.best?.clearanceMm).toBeCloseTo(0.055, 9);
    const endless = { gapMm: 1e6, target: { loMm: 0, hiMm: 1 }, stock, maxPieces: 10, alternatives: 3 };
    expect(shimStack(endless)).toMatchObject({ refusal: { code: "stack-too-long", path: ["gapMm"] } });
  });
});

test("thin ones lie between thick ones (handbook, common practice)", () => {
  const laid = layStack([
    { thicknessMm: 0.05, count: 2 },
    { thicknessMm: 1, count: 2 },
    { thicknessMm: 0.5, count: 1 },
  ]);
  expect(laid).toEqual([1, 0.5, 0.05, 0.05, 1]);
});

test.each(Array.from({ length: 20 }, (_, seed) => seed))(
  "seed %i: carried from side to side the sum stays, and no other choice comes nearer",
  (seed) => {
    const roll = dice(seed);
    const side = () =>
      Array.from({ length: 1 + roll(3) }, () => ({ thicknessMm: (1 + roll(60)) / 100, count: roll(3) }));
    const [left, right] = [side(), side()];
    const moveMm = (roll(80) - 40) / 100;
    const answer = twoSides({ left, right, moveMm });
    const sums = (stack: typeof left): number[] =>
      stack.reduce<number[]>(
        (known, { thicknessMm, count }) =>
          known.flatMap((sum) => Array.from({ length: count + 1 }, (_, k) => sum + k * Math.round(thicknessMm * 1000))),
        [0],
      );
    const nearest = Math.min(
      ...sums(left).flatMap((a) => sums(right).map((b) => Math.abs(a - b - Math.round(moveMm * 1000)))),
    );
    expect(Math.abs(Math.round(answer.errorMm * 1000))).toBe(nearest);
    const total = (stack: { thicknessMm: number; count: number }[]) =>
      stack.reduce((sum, { thicknessMm, count }) => sum + thicknessMm * count, 0);
    expect(total(answer.toRight) - total(answer.toLeft)).toBeCloseTo(answer.movedMm, 9);
  },
);

describe("shaft stack", () => {
  const shaft = {
    lengthMm: 20,
    items: [
      { id: "bearing", widthMm: 4 },
      { id: "gear", widthMm: 6, planeMm: 3, planeAtMm: 9.5 },
      { id: "bush", widthMm: 5 },
    ],
    spacers: [
      { widthMm: 0.5, count: 4 },
      { widthMm: 0.2, count: 3 },
      { widthMm: 1, count: 3 },
    ],
    endFloat: { loMm: 0.1, hiMm: 0.4 },
  };

  test("a gear between a bearing and a bush (handbook check value)", () => {
    const answer = run("shaft-stack", shaft);
    expect(answer).toMatchObject({ feasible: true, planes: [{ id: "gear", atMm: 9.5, errorMm: 0 }], endFloatMm: 0.3 });
    expect(answer.gaps).toHaveLength(4);
    const used = answer.gaps.flatMap((gap: { spacers: { count: number }[] }) => gap.spacers);
    expect(used.reduce((sum: number, { count }: { count: number }) => sum + count, 0)).toBe(7);
  });

  test.each(Array.from({ length: 25 }, (_, seed) => seed))(
    "seed %i: as good as trying every spacer in every gap",
    (seed) => {
      const roll = dice(seed);
      const items = Array.from({ length: 1 + roll(3) }, (_, i) => ({
        id: `part ${i}`,
        widthMm: (20 + roll(30)) / 10,
        planeMm: roll(10) / 10,
        toleranceMm: roll(4) / 10,
        ...(roll(3) ? { planeAtMm: (i * 40 + roll(30)) / 10 } : {}),
      }));
      const spacers = Array.from({ length: 1 + roll(2) }, () => ({ widthMm: (1 + roll(12)) / 10, count: 1 + roll(2) }));
      const lengthMm = (items.length * 40 + roll(30)) / 10;
      const endFloat = { loMm: 0.1, hiMm: 0.1 + roll(5) / 10 };
      const answer = mustHold(shaftStack({ lengthMm, items, spacers, endFloat }));

      const um = (mm: number) => Math.round(mm * 1000);
      const pieces = spacers.flatMap(({ widthMm, count }) => Array.from({ length: count }, () => um(widthMm)));
      type Rank = { feasible: boolean; rank: number[] };
      let best: Rank | null = null;
      const order = (a: number[], b: number[]) => a.map((value, i) => value - (b[i] as number)).find(Boolean) ?? 0;
      const place = (index: number, before: number[], used: number): void => {
        if (index < pieces.length) {
          place(index + 1, before, used);
          for (let gap = 0; gap <= items.length; gap++)
            place(
              index + 1,
              before.map((sum, k) => (k === gap ? sum + (pieces[index] as number) : sum)),
              used + 1,
            );
          return;
        }
        let at = 0;
        let squares = 0;
        let held = true;
        items.forEach(({ widthMm, planeMm, planeAtMm, toleranceMm }, i) => {
          at += before[i] as number;
          if (planeAtMm !== undefined) {
            const error = at + um(planeMm) - um(planeAtMm);
            squares += error * error;
            held &&= Math.abs(error) <= um(toleranceMm);
          }
          at += um(widthMm);
        });
        const float = um(lengthMm) - at - (before[items.length] as number);
        if (float < 0) return;
        const feasible = held && float >= um(endFloat.loMm) && float <= um(endFloat.hiMm);
        const rank = [squares, Math.abs(2 * float - um(endFloat.loMm) - um(endFloat.hiMm)), used];
        if (!best || (feasible && !best.feasible) || (feasible === best.feasible && order(rank, best.rank) < 0))
          best = { feasible, rank };
      };
      place(0, Array(items.length + 1).fill(0), 0);
      const used = answer.gaps.flatMap((gap) => gap.spacers).reduce((sum, { count }) => sum + count, 0);
      const rank = [
        answer.planes.reduce((sum, { errorMm }) => sum + um(errorMm) ** 2, 0),
        Math.abs(2 * um(answer.endFloatMm) - um(endFloat.loMm) - um(endFloat.hiMm)),
        used,
      ];
      const expected = best as Rank | null;
      if (expected) expect({ feasible: answer.feasible, rank }).toEqual(expected);
      else expect(answer).toMatchObject({ feasible: false });
      expect(answer.endFloatMm >= 0 || !expected).toBe(true);
    },
  );

  test("one name for two items, parts longer than the shaft", () => {
    const [bearing, gear] = shaft.items as [object, object];
    expect(() => run("shaft-stack", { ...shaft, items: [bearing, { ...gear, id: "bearing" }] })).toThrow();
    expect(run("shaft-stack", { ...shaft, lengthMm: 14 })).toMatchObject({ feasible: false, endFloatMm: -1 });
  });
});
