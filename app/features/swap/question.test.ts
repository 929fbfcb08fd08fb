import { expect, test } from "vitest";
import type { StoreItem } from "~/core/records";
import { everyKind } from "~/tests/elements";
import { testStage } from "~/tests/stage";
import { gearOf, swapQuestion } from "./question";

const gear = (more: Partial<StoreItem> = {}, figures: StoreItem["figures"] = {}): StoreItem =>
  ({
    id: "g",
    kind: "gear",
    name: "Gear 21",
    figures: { teeth: 21, moduleMm: 2, ...figures },
    price: 14,
    count: 2,
    ...more,
  }) as StoreItem;
const stage = testStage("s");
const problems = (texts: Record<string, string>) => Object.keys(swapQuestion(stage, [], texts)?.problems ?? {});

test("a gear of the stores as it is searched: 20° where nobody said, none without teeth or module or when none is left", () => {
  expect(gearOf(gear())).toMatchObject({
    teeth: 21,
    moduleMm: 2,
    pressureAngleDeg: 20,
    boreMm: null,
    count: 2,
    noise: "",
  });
  expect(gearOf(gear({}, { pressureAngleDeg: 14.5, noise: "loud" }))).toMatchObject({
    pressureAngleDeg: 14.5,
    noise: "loud",
  });
  expect(gearOf(gear({}, { teeth: "many" }))).toBeNull();
  expect(gearOf(gear({}, { moduleMm: 0 }))).toBeNull();
  expect(gearOf(gear({ count: 0 }))).toBeNull();
});

test("the present pair with its limits, and the slot's travel with the sign of the centres", () => {
  const { value } = swapQuestion(stage, [gear()], { from: "stores", out: "0,5", in: "0.01 in", rpm: "1400" }) ?? {};
  expect(value?.question).toMatchObject({
    present: { teeth: [20, 40], moduleMm: 2, centreDistanceMm: 60.2 },
    band: { lo: 0.1, hi: 0.24 },
  });
  expect(value?.question.travelMm.max).toBe(0.5);
  expect(value?.question.travelMm.min).toBeCloseTo(-0.254, 12);
  expect(value?.question.gears).toHaveLength(1);
  expect([value?.rpm, value?.torque]).toEqual([1400, null]);
});

test("gears to be made: a range about the present teeth unless one says which", () => {
  const teeth = (texts: Record<string, string>) => {
    const gears = swapQuestion(stage, [], { from: "range", ...texts })?.value?.question.gears ?? [];
    return [gears[0]?.teeth, gears.at(-1)?.teeth];
  };
  expect(teeth({})).toEqual([8, 52]);
  expect(teeth({ least: "18", most: "25" })).toEqual([18, 25]);
});

test("nonsense is named at its field, and a stage without a gear pair has no such question", () => {
  expect(problems({ from: "range", least: "2" })).toEqual(["least"]);
  expect(problems({ from: "range", least: "30", most: "20" })).toEqual(["most"]);
  expect(problems({ out: "-1" })).toEqual(["out"]);
  expect(problems({ in: "far" })).toEqual(["in"]);
  const belt = { ...stage, geometry: { ...stage.geometry, element: everyKind[7] } } as typeof stage;
  expect(swapQuestion(belt, [], {})).toBeNull();
});
