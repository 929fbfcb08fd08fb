import { describe, expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import { rows } from "~/tests/rows";
import { readClampPoints } from "../clamps/read-clamps";
import { readPitch } from "../form/text-reader";
import type { Texts } from "../form/texts";
import { readAdjuster } from "./adjuster-texts";
import { readLimits } from "./limits-texts";
import { readStage } from "./parts";
import { readGeometry, textsOf } from "./texts";

const reader = readerOf();

const stage: Texts = {
  z1: "18",
  z2: "54",
  pitch: "16 DP",
  centres: "2.25 in",
  "clamps.count": "3",
  "clamps.circle": "80",
  "clamps.size": "M6",
  "clamps.torque": "10 Nm",
  "adjuster.means": "jack-screw",
  "adjuster.name": "Jack screw",
  "adjuster.lead": "1,25",
  "adjuster.plus": "in",
  "adjuster.minus": "out",
  lo: "0,08",
  hi: "8 thou",
  source: "Sheet 4",
};
const problemsOf = (texts: Texts) =>
  Object.fromEntries(
    Object.entries({
      ...readGeometry(texts).problems,
      ...readAdjuster(texts).problems,
      ...readLimits(texts).problems,
    }).map(([name, refusal]) => [name, refusal.code]),
  );

describe("what a person types is read in metric and inch, with point and comma", () => {
  test("a stage in inches and millimetres at once", () => {
    expect(problemsOf(stage)).toEqual({});
    const element = readGeometry(stage).value?.element;
    const pair = element?.kind === "gear-pair" ? element.pair : undefined;
    expect(pair?.moduleMm).toBeCloseTo(1.5875, 9);
    expect(pair?.centreDistanceMm).toBeCloseTo(57.15, 9);
    expect(readAdjuster(stage).value?.adjuster).toMatchObject({ type: "screw", leadMm: 1.25 });
    expect(readLimits(stage).value?.hi).toBeCloseTo(0.2032, 9);
  });
  test.each([
    ["0.8", 0.8],
    ["0,8 module", 0.8],
    ["32 DP", 0.79375],
    ["32dp", 0.79375],
    ["2m", 2],
  ])("a pitch typed as %s", (typed, moduleMm) => {
    expect(readPitch(typed)).toMatchObject({ ok: true, value: moduleMm });
  });
});

describe("what is wrong is named at its field", () => {
  test.each<[Texts, Record<string, string>]>([
    [{ z1: "18.5" }, { z1: "not-whole" }],
    [{ z1: "" }, { z1: "empty" }],
    [{ pitch: "fine" }, { pitch: "not-a-number" }],
    [{ lo: "0.3" }, { lo: "window-upside-down" }],
    [{ aim: "0.5" }, { aim: "aim-outside" }],
    [{ "arc.part": "yes", "arc.from": "90", "arc.to": "10" }, { "arc.from": "window-upside-down" }],
    [{ "clamps.way": "points", ...rows("clamps.points", "x y", "0 0; 10") }, { "clamps.points.1.y": "empty" }],
    [{ "adjuster.means": "slot", "adjuster.angle": "90" }, { "adjuster.angle": "cannot-move" }],
    [{ source: " " }, { source: "missing" }],
    [{ "adjuster.back": "3" }, { "adjuster.on": "missing" }],
  ])("%j", (change, problems) => {
    expect(problemsOf({ ...stage, ...change })).toEqual(problems);
  });
});

test("clamps on a circle stand from the top, clockwise; points typed with y upwards", () => {
  const circle = readClampPoints({ "clamps.count": "4", "clamps.circle": "20" }).value;
  expect(circle).toEqual([
    { x: 0, y: -10 },
    { x: 10, y: 0 },
    { x: 0, y: 10 },
    { x: -10, y: 0 },
  ]);
  expect(readClampPoints({ "clamps.way": "points", ...rows("clamps.points", "x y", "1 2") }).value).toEqual([
    { x: 1, y: -2 },
  ]);
});

test("a stage put back into its fields reads as the same stage", () => {
  const [geometry, adjuster, limits] = [readGeometry(stage).value, readAdjuster(stage).value, readLimits(stage).value];
  if (!geometry || !adjuster || !limits) throw new Error("the stage was not read");
  const revision = { id: "r", revision: 1 };
  const texts = textsOf(reader, {
    name: "Drive",
    geometry: { ...revision, ...geometry },
    adjuster: { ...revision, ...adjuster },
    limits: { ...revision, ...limits, given: limits, effectiveFrom: "" },
    sideLimits: [],
  });
  expect(readGeometry(texts).value?.clamps).toEqual(geometry.clamps);
  expect(readGeometry(texts).value?.element).toMatchObject({ kind: "gear-pair", pair: { teeth: [18, 54] } });
  expect(readAdjuster(texts).value).toEqual(adjuster);
  expect(readLimits(texts).value).toMatchObject({ lo: limits.lo, sourceKind: limits.sourceKind });
});

describe("what its kind needs and how it is adjusted are enough for a stage", () => {
  const gears = { z1: "22", z2: "57", pitch: "1.5" };
  test("the rest is not known, or an open point; a rule's limits stand with their source", () => {
    const { value } = readStage(gears);
    expect(value?.name).toBe("Gear pair 22 : 57");
    expect(value?.geometry.clamps).toMatchObject({ points: [], size: "", torqueNm: null });
    expect(value?.adjuster).toMatchObject({ name: "Slot", positiveWord: "away", negativeWord: "closer" });
    expect(value?.limits).toMatchObject({ lo: 0.1, hi: 0.22, sourceKind: "recommended" });
    expect(value?.limits?.source).toContain("ISO/TR 10064-2");
    expect(value?.points).toEqual([
      "Limits were not given: a rule's stand until somebody has found the right ones",
      "Its clamps and their torque are not entered",
    ]);
  });
  test("a thread gives its own lead (ISO 261), and one that is neither is asked for", () => {
    const screw = { ...gears, "adjuster.means": "jack-screw" };
    expect(readStage({ ...screw, "adjuster.lead": "m8" }).value?.adjuster.adjuster).toMatchObject({ leadMm: 1.25 });
    expect(Object.keys(readStage(screw).problems ?? {})).toEqual(["adjuster.lead"]);
  });
  test("where no rule knows limits there are none yet, which is an open point; what is given leaves nothing open", () => {
    const set = { kind: "planetary", sun: "12", ring1: "60", planetA: "24", planets: "3", pitch: "1" };
    const { value, problems } = readStage(set);
    expect(problems).toBeNull();
    expect(value?.limits).toBeNull();
    expect(value?.points[0]).toContain("no rule knows them");
    const given = { ...gears, lo: "0.1", hi: "0.2", source: "sheet 4", "clamps.count": "4", "clamps.circle": "80" };
    expect(readStage(given).value?.points).toEqual([]);
  });
});
