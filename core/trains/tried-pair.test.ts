import { expect, test } from "vitest";
import { holeGrid } from "./hole-grid";
import { bandAfter, openingOf } from "./tried-pair";

const grid = { pitchMm: 8, moduleMm: 1 };
const band = { loMm: -0.22, hiMm: 0.84 };

test("one pair that was tried moves the band, and with it every pair at or beyond its opening", () => {
  // 12 and 20 on two holes along: 16 mm between them, and 16 mm of radii.
  const opening = openingOf({ teeth: [12, 20], holes: [2, 0] }, grid);
  expect(opening).toBe(0);
  const mesh = (after: typeof band) =>
    holeGrid({ ...grid, teeth: [12, 16, 20, 24], maxHoles: 4, band: after }).pairs.map(
      ({ clearanceMm }) => clearanceMm,
    );
  const before = mesh(band);
  expect(before).toContain(0);
  expect(Math.min(...mesh(bandAfter(band, opening, "binds")))).toBeGreaterThan(0);
  expect(Math.max(...mesh(bandAfter(band, opening, "loose")))).toBeLessThan(0);
  expect(mesh(bandAfter(band, opening, "right"))).toEqual(before);
});

test("a pair that runs right beyond the band widens it; one that contradicts it leaves it empty", () => {
  expect(bandAfter(band, 1.1, "right")).toEqual({ loMm: -0.22, hiMm: 1.1 });
  const empty = bandAfter(band, 0.9, "binds");
  expect(empty.loMm).toBeGreaterThan(empty.hiMm);
});
