import { describe, expect, test } from "vitest";
import { everyKind } from "~/tests/elements";
import { mustHold } from "../../quantity";
import {
  checkElement,
  frameOf,
  judgedBy,
  judgedUnit,
  leastPlaces,
  limitWays,
  measuredUnit,
  mirroredElement,
  placeCount,
  ratiosOf,
  recommendKind,
  sensitivityOf,
  sidesOf,
  sideUnit,
  stageKinds,
  toJudged,
  waysToMeasure,
} from "../index";
import { elementSchema } from "../schema";

const asked = { torqueNm: 12, powerKw: 3, speedMPerS: 8, bearing: "taper" as const };

test("every kind is among the elements that tests are made of", () => {
  expect(new Set(everyKind.map(({ kind }) => kind))).toEqual(new Set(stageKinds));
});

describe.each(everyKind.map((element, i) => [element.kind, i, element] as const))("%s (%i)", (_, __, element) => {
  test("what is kept of it is read back as it was, and has a geometry", () => {
    expect(elementSchema.parse(JSON.parse(JSON.stringify(element)))).toEqual(element);
    expect(checkElement(element).ok).toBe(true);
  });

  test("it is read at places, in ways that have a unit, and fewer places than it has are enough", () => {
    const frame = frameOf(element);
    expect(placeCount(frame)).toBeGreaterThanOrEqual(leastPlaces(frame));
    expect(leastPlaces(frame)).toBeGreaterThanOrEqual(1);
    expect(judgedUnit[judgedBy(element)]).toBeDefined();
    expect(waysToMeasure(element).length).toBeGreaterThan(0);
    for (const way of [...waysToMeasure(element), ...limitWays(element)]) expect(measuredUnit[way]).toBeDefined();
    for (const side of sidesOf(element)) expect(sideUnit[side]).toBeDefined();
  });

  test("every way of measuring runs one way, with the slope that its uncertainty takes", () => {
    for (const quantity of waysToMeasure(element)) {
      const way = mustHold(toJudged(element, { quantity, indicatorRadiusMm: null, indicatorAngleDeg: 0, held: null }));
      // About what is read there: some hertz, newtons, millimetres, or the length of twenty pitches.
      const at =
        { "span-frequency": 60, "span-force": 30, tension: 200, "tip-clearance": 0.6, elongation: 320 }[
          quantity as string
        ] ?? 1.2;
      const step = 1e-5 * at;
      const slope = (way.convert(at + step) - way.convert(at - step)) / (2 * step);
      expect(Math.abs(way.factor(at) / slope), quantity).toBeCloseTo(1, quantity === "tip-clearance" ? 1 : 3);
    }
  });

  test("mirrored twice it is itself, and its ratio keeps its size", () => {
    const mirrored = mirroredElement(element);
    expect(mirroredElement(mirrored)).toEqual(element);
    expect(ratiosOf(mirrored).map(({ ratio }) => Math.abs(ratio))).toEqual(
      ratiosOf(element).map(({ ratio }) => Math.abs(ratio)),
    );
    const slope = sensitivityOf(element, 8, 100);
    expect(sensitivityOf(mirrored, 8, 100)).toEqual(slope === null ? null : expect.closeTo(slope, 9));
  });

  test("recommended limits are a window", () => {
    const found = recommendKind(element, asked);
    if (found) expect(found.hi).toBeGreaterThan(found.lo);
  });
});
