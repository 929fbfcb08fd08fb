import { expect, test } from "vitest";
import { toothOutlines } from "./outline";
import { type GearBlank, toothCircles } from "./tooth-circles";

const gear: GearBlank = {
  teeth: 57,
  moduleMm: 2.5,
  pressureAngleDeg: 20,
  helixAngleDeg: 0,
  profileShift: 0,
  thinningMm: 0,
  ring: false,
};

test("the drawing has the gear's own teeth: their number, height and thickness at the tip", () => {
  const outline = toothOutlines(gear, 8);
  const { tipDiameterMm, rootDiameterMm } = toothCircles(gear);
  const radii = outline.flat().map(([x, y]) => Math.hypot(x, y));
  expect(outline).toHaveLength(57);
  expect(Math.max(...radii)).toBeCloseTo(tipDiameterMm / 2, 9);
  expect(Math.min(...radii)).toBeCloseTo(rootDiameterMm / 2, 9);
  const tooth = outline[0] ?? [];
  const middle = tooth.length / 2;
  const [left, right] = [tooth[middle - 1], tooth[middle]] as [readonly [number, number], readonly [number, number]];
  // Tip thickness of m 2.5, z 57 at 20° by the thickness formula of ISO 21771: 1.9 to 2.1 mm.
  expect(right[0] - left[0]).toBeGreaterThan(1.9);
  expect(right[0] - left[0]).toBeLessThan(2.1);
  expect(left[0]).toBeCloseTo(-right[0], 9);
});

test("teeth run clockwise from the top, and a ring's teeth point inwards", () => {
  const quarter = toothOutlines({ ...gear, teeth: 56 })[14] ?? [];
  expect(quarter.every(([x]) => x > 60)).toBe(true);
  const ring = toothOutlines({ ...gear, ring: true }).flat();
  const circles = toothCircles({ ...gear, ring: true });
  expect(Math.min(...ring.map(([x, y]) => Math.hypot(x, y)))).toBeCloseTo(circles.tipDiameterMm / 2, 9);
});
