import { expect, test } from "vitest";
import { chain, toothedBelt, vBelt } from "~/tests/elements";
import type { BeltElement } from "../element";
import { pullAtPlace } from "./pull-at-place";

const belt = { ...toothedBelt, pitchMm: 5, beltTeeth: 90, idlers: [], moved: "centres" } as BeltElement;

test("the handbook's two belts in a train: 1.5 N·m on 18 teeth of 5 mm at 14 N/mm want 7.48 mm, behind 6 : 1 on 36 teeth 22.44", () => {
  const first = { ...belt, teeth: [18, 36], centreDistanceMm: 157, widthMm: 7.48 } as BeltElement;
  expect(pullAtPlace(first, 1.5)).toMatchObject({ perMmN: expect.closeTo(14, 2), meshFactor: 1 });
  const second = { ...first, teeth: [36, 36], centreDistanceMm: 135, widthMm: 22.44 } as BeltElement;
  expect(pullAtPlace(second, 9)?.perMmN).toBeCloseTo(14, 2);
  // Turning backwards it pulls as hard.
  expect(pullAtPlace(second, -9)?.pullN).toBeCloseTo(pullAtPlace(second, 9)?.pullN ?? 0, 9);
});

test("few teeth in mesh use more of the width, fewer than two carry nothing; of a width not known nothing is said", () => {
  const few = { ...belt, teeth: [10, 36], centreDistanceMm: 165, widthMm: 10 } as BeltElement;
  const found = pullAtPlace(few, 1);
  expect(found).toMatchObject({ teethInMesh: 4, meshFactor: expect.closeTo(0.6, 9) });
  expect(found?.perMmN).toBeCloseTo((found?.pullN ?? 0) / 6, 9);
  const { widthMm: _, ...unknown } = few as Extract<BeltElement, { kind: "toothed-belt" }>;
  expect(pullAtPlace(unknown, 1)?.perMmN).toBeNull();
  const tiny = { ...few, teeth: [3, 200], beltTeeth: 300, centreDistanceMm: 200 } as BeltElement;
  expect(pullAtPlace(tiny, 1)).toBeNull();
});

test("a set of V-belts shares the pull; a chain has all of it", () => {
  // 95 mm at 1.9 N·m: 40 N over three belts.
  expect(pullAtPlace(vBelt, 1.9)?.pullN).toBeCloseTo(40 / 3, 9);
  expect(pullAtPlace(chain, 1)?.pullN).toBeGreaterThan(0);
});
