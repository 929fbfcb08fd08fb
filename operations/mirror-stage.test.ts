import { expect, test } from "vitest";
import { spurPair } from "../core/gears";
import type { Geometry, StageAdjuster } from "../data/queries/stages";
import { mirroredAdjuster, mirroredGeometry, mirroredWord } from "./mirror-stage";

test.each([
  ["clockwise", "counter-clockwise"],
  ["turn anticlockwise", "turn clockwise"],
  ["to the left", "to the right"],
  ["out", "out"],
  ["towards the cylinder", "towards the cylinder"],
])("%s is called %s on the other hand", (word, other) => expect(mirroredWord(word)).toBe(other));

test("the mirror image of a mirror image is the thing itself", () => {
  const adjuster = {
    name: "Screw",
    adjuster: { type: "screw", leadMm: 1, angleDeg: 0, oneWay: true, springReturn: false },
    step: 0.1,
    positiveWord: "clockwise",
    negativeWord: "counter-clockwise",
    hand: "right",
    hasScale: true,
    seenFrom: "the right",
  } satisfies Omit<StageAdjuster, "id" | "revision">;
  const geometry = {
    pair: { ...spurPair([20, 40], 1, 30.1), helixAngleDeg: 12 },
    clamps: { points: [{ x: 5, y: 2 }], size: "M6", torqueNm: 9, passes: 2, compound: false },
    arcDeg: [-10, 80],
    turnedBy: "input",
    parts: {},
  } satisfies Omit<Geometry, "id" | "revision">;
  expect(mirroredAdjuster(mirroredAdjuster(adjuster))).toEqual(adjuster);
  expect(mirroredGeometry(mirroredGeometry(geometry))).toEqual(geometry);
  expect(mirroredGeometry(geometry)).toMatchObject({ arcDeg: [-80, 10], pair: { helixAngleDeg: -12 } });
});
