import { expect, test } from "vitest";
import { idlerLayout } from "./grid-layout";
import { holeGrid } from "./hole-grid";

const question = {
  pitchMm: 8,
  moduleMm: 1,
  teeth: [8, 12, 16, 24, 40],
  maxHoles: 6,
  band: { loMm: -0.22, hiMm: 0.84 },
};

test("an idler's hole: both meshes stand at offsets that pair, and the outer two clear each other", () => {
  const grid = holeGrid(question);
  expect(grid.viaIdler.length).toBeGreaterThan(0);
  for (const { teeth, idler } of grid.viaIdler) {
    const gears = idlerLayout(grid, teeth, idler, question);
    if (!gears) continue;
    const [driver, between, driven] = gears as [(typeof gears)[0], (typeof gears)[0], (typeof gears)[0]];
    expect([driver.teeth, between.teeth, driven.teeth]).toEqual([teeth[0], idler, teeth[1]]);
    const apart = (a: typeof driver, b: typeof driver) =>
      8 * Math.hypot(a.holes[0] - b.holes[0], a.holes[1] - b.holes[1]);
    for (const [a, b] of [
      [driver, between],
      [between, driven],
    ] as const) {
      const opening = apart(a, b) - (a.teeth + b.teeth) / 2;
      expect(opening).toBeGreaterThanOrEqual(-0.22 - 1e-9);
      expect(opening).toBeLessThanOrEqual(0.84 + 1e-9);
    }
    expect(apart(driver, driven)).toBeGreaterThan((teeth[0] + teeth[1] + 4) / 2);
  }
});
