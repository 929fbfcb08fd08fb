import { expect, test } from "vitest";
import { spurPair } from "../core/gears";
import type { Geometry, StageAdjuster } from "../core/records";
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
    means: "jack-screw",
    alsoMoves: [],
    adjuster: { type: "screw", leadMm: 1, angleDeg: 0, oneWay: true, springReturn: false },
    step: 0.1,
    positiveWord: "clockwise",
    negativeWord: "counter-clockwise",
    hand: "right",
    hasScale: true,
    seenFrom: "the right",
  } satisfies Omit<StageAdjuster, "id" | "revision">;
  const geometry = {
    element: { kind: "gear-pair", pair: { ...spurPair([20, 40], 1, 30.1), helixAngleDeg: 12 }, parts: {} },
    clamps: { points: [{ x: 5, y: 2 }], size: "M6", torqueNm: 9, passes: 2, compound: false },
    arcDeg: [-10, 80],
    turnedBy: "input",
  } satisfies Omit<Geometry, "id" | "revision">;
  expect(mirroredAdjuster(mirroredAdjuster(adjuster))).toEqual(adjuster);
  expect(mirroredGeometry(mirroredGeometry(geometry))).toEqual(geometry);
  expect(mirroredGeometry(geometry)).toMatchObject({ arcDeg: [-80, 10], element: { pair: { helixAngleDeg: -12 } } });
  const worm = { kind: "worm", hand: "right" } as Geometry["element"];
  expect(mirroredGeometry({ ...geometry, element: worm }).element).toMatchObject({ hand: "left" });
});
