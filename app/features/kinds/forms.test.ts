import { describe, expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import { limitWays, ratiosOf, relativeSpread, type StageElement, waysToMeasure } from "~/core/stages";
import { everyKind, twoSpeeds } from "~/tests/elements";
import { rows } from "~/tests/rows";
import type { Texts } from "../form/texts";
import { flatTexts, nestedTexts } from "../form/texts";
import { readElement, textsOfElement } from "./forms";

const reader = readerOf();

const idlers = (said: string): Texts => rows("idlers", "x y d side strand press", said);
/** The first of them, by the strand that it touches. */
const pressed = (press: string): Texts => ({ "idlers.0.y": "", "idlers.0.press": press });
const gears = (said: string): Texts => rows("gears", "name z1 z2 x1 x2", said);
const kindTexts = (kind: string): Texts => {
  const element = everyKind.find((known) => known.kind === kind);
  if (!element) throw new Error(kind);
  return textsOfElement(reader, element);
};
const switched = textsOfElement(reader, twoSpeeds);
const problemsOf = (texts: Texts) =>
  Object.fromEntries(Object.entries(readElement(texts).problems ?? {}).map(([name, { code }]) => [name, code]));

test.each(everyKind.map((element) => [element.kind, element] as const))(
  "%s put into its fields reads as itself",
  (_, element) => {
    const texts = textsOfElement(reader, element);
    expect(readElement(texts).value).toEqual(element);
    // No field's name stands for a group of fields as well: the form would lose one of them.
    expect(flatTexts(nestedTexts(texts))).toEqual(texts);
  },
);

test("a belt whose mass nobody weighed has that of its class, and one of no class is read by force alone", () => {
  const read = (kind: string, texts: Texts) => readElement({ ...kindTexts(kind), mass: "", ...texts }).value;
  // 25 mm of a curvilinear belt of 8 mm pitch: 5.8 g a metre for every mm (from memory).
  const byClass = { massKgPerM: 0.145, massFrom: "class", widthMm: 25 };
  expect(read("toothed-belt", { profile: "curvilinear", beltWidth: "25" })).toMatchObject(byClass);
  expect(read("v-belt", { section: "13" })).toMatchObject({ massKgPerM: 0.109, massFrom: "class" });
  for (const [kind, texts] of [
    ["toothed-belt", { profile: "trapezoidal", beltWidth: "25" }],
    ["toothed-belt", { profile: "curvilinear" }],
    ["v-belt", {}],
  ] as const) {
    const unknown = read(kind, texts);
    expect(unknown).toMatchObject({ massKgPerM: null });
    expect(unknown && [...waysToMeasure(unknown), ...limitWays(unknown)]).not.toContain("span-frequency");
  }
  const told = read("v-belt", { section: "13" });
  // Half of 15 % against half of 5 %.
  expect(told && relativeSpread(told, "span-frequency")).toBeCloseTo(0.075, 9);
  expect(
    relativeSpread(readElement(kindTexts("v-belt")).value ?? (everyKind[0] as StageElement), "span-frequency"),
  ).toBeCloseTo(0.025, 9);
});

describe("what is wrong is named at the field of its kind", () => {
  test.each<[string, Texts, Record<string, string>]>([
    ["worm", { starts: "0" }, { starts: "too-small" }],
    ["worm", { d1: "-3" }, { d1: "too-small" }],
    ["worm", { centres: "" }, { centres: "empty" }],
    ["bevel", { shafts: "200" }, { shafts: "angle-out-of-turn" }],
    ["bevel", { spiral: "70" }, { spiral: "too-large" }],
    ["planetary", { planets: "2.5" }, { planets: "not-whole" }],
    ["planetary", { ring1: "1000000000" }, { ring1: "too-large" }],
    ["toothed-belt", { beltTeeth: "5" }, { beltTeeth: "too-small" }],
    ["toothed-belt", { mass: "heavy" }, { mass: "not-a-number" }],
    ["toothed-belt", idlers("120 -20"), { "idlers.0.d": "empty" }],
    ["toothed-belt", idlers("120 -20 40 outside lower 3"), { "idlers.0.press": "one-of-doubled" }],
    ["toothed-belt", { ...idlers("9000 - 40 outside lower"), ...pressed("3") }, { "idlers.0.x": "off-the-strand" }],
    ["toothed-belt", { ...idlers("120 - 40 outside lower"), ...pressed("-1") }, { "idlers.0.press": "too-small" }],
    ["toothed-belt", { moved: "1", ...idlers("120 -20 40 outside lower") }, { moved: "no-such-idler" }],
    ["axis", { "buffer.hi": "-40" }, { "buffer.hi": "window-upside-down" }],
    ["axis", { axisSpeed: "0", decel: "" }, { axisSpeed: "too-small", decel: "empty" }],
    ["axis", { "load.force": "" }, { "load.force": "missing" }],
    ["axis", { "strand.1.at": "90" }, { "strand.1.at": "too-small" }],
    ["axis", { "gear.0.efficiency": "120" }, { "gear.0.efficiency": "too-large" }],
    ["toothed-belt", { mass: "-1" }, { mass: "too-small" }],
    ["v-belt", { belts: "0" }, { belts: "too-small" }],
    ["chain", { links: "99.5" }, { links: "not-whole" }],
    ["chain", { z1: "2" }, { z1: "teeth-too-few" }],
    ["coupling", { "end1.inner": "" }, { "end1.inner": "empty" }],
    ["coupling", { rearFeet: "100" }, { rearFeet: "window-upside-down" }],
    ["coupling", { rpm: "0", allowAngular: "-1" }, { rpm: "too-small", allowAngular: "too-small" }],
    ["gap", { gapDiameter: "" }, { gapDiameter: "empty" }],
    ["gap", { gapNames: "left, right" }, { gapNames: "places-not-named" }],
    ["gap", { gapPlaces: "2", gapNames: "left; left" }, { gapNames: "places-not-named" }],
    ["gear-pair", { switches: "yes", gearName: "low", ...gears("") }, { gears: "one-gear-only" }],
    ["gear-pair", { switches: "yes", gearName: "low", ...gears("high 30") }, { "gears.0.z2": "empty" }],
    ["gear-pair", { switches: "yes", gearName: "", ...gears("high 30 30") }, { gearName: "missing" }],
    ["gear-pair", { ...switched, "positions.0.gear": "medium" }, { "positions.0.gear": "no-such-gear" }],
    ["gear-pair", { ...switched, "positions.0.gear": "high" }, { "positions.1.gear": "part-twice" }],
    ["gear-pair", { ...switched, "positions.0.per": "0" }, { "positions.0.per": "is-zero" }],
    ["gear-pair", { ...switched, "positions.1.lo": "0.3" }, { "positions.1.lo": "window-upside-down" }],
    ["gear-pair", { ...switched, "slide.right": "low" }, { "slide.right": "part-twice" }],
    ["gear-pair", { ...switched, "slide.mate1To": "-13" }, { "slide.mate1From": "window-upside-down" }],
    ["gear-pair", { ...switched, "slide.unit": "" }, { "slide.unit": "missing" }],
  ])("%s %j", (kind, change, problems) => {
    expect(problemsOf({ ...kindTexts(kind), ...change })).toEqual(problems);
  });
});

test("an idler placed by the strand that it presses stands where one does that was given its y", () => {
  const wheels = { ...kindTexts("v-belt"), d1: "60", d2: "60", centres: "200" };
  const by = (texts: Texts) => readElement({ ...wheels, ...texts }).value;
  expect(by({ ...idlers("100 - 16 outside upper"), ...pressed("16") })).toEqual(by(idlers("100 22 16 outside upper")));
});

test("inches, commas, hands and rows of idlers and gears are read as they are typed", () => {
  const belt = readElement({
    ...kindTexts("toothed-belt"),
    beltPitch: "3/8 in",
    ...idlers("120 -20,5 40; 180 30 35 inside"),
  });
  expect(belt.value).toMatchObject({
    pitchMm: expect.closeTo(9.525, 9),
    idlers: [
      { x: 120, y: -20.5, diameterMm: 40, side: "outside", strand: "lower" },
      { x: 180, y: 30, diameterMm: 35, side: "inside", strand: "upper" },
    ],
  });
  const switching = readElement({
    ...kindTexts("gear-pair"),
    switches: "yes",
    gearName: "low",
    ...gears("high 30 30; top 36 24 0,1 -0.1"),
  });
  expect(switching.value && ratiosOf(switching.value)).toEqual([
    { name: "low", ratio: -2 },
    { name: "high", ratio: -1 },
    { name: "top", ratio: -24 / 36 },
  ]);
  const helical = readElement({ ...kindTexts("gear-pair"), helix: "15", helixHand: "left" });
  expect(helical.value).toMatchObject({ pair: { helixAngleDeg: -15 } });
});
