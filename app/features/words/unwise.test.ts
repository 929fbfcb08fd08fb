import { expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import { spurPair } from "~/core/gears";
import { mustHold } from "~/core/quantity";
import { checkElement, type StageElement, type Unwise } from "~/core/stages";
import { chain, everyKind, toothedBelt } from "~/tests/elements";
import { unwiseWords } from "./unwise";

const reader = readerOf();

const pair = (teeth: [number, number], moduleMm: number, centreDistanceMm: number): StageElement => ({
  kind: "gear-pair",
  pair: spurPair(teeth, moduleMm, centreDistanceMm),
  parts: {},
});
const said = (element: StageElement) => mustHold(checkElement(element)).map((unwise) => unwiseWords(reader, unwise));

test.each<[string, StageElement, RegExp]>([
  // 10 : 40 uses 1.0946 of 1.5415 (handbook of ratios), 8 : 40 less than one.
  ["too few teeth", pair([10, 40], 2, 50), /^The pinion is undercut: .* 1\.54 that the tips reach 1\.09 is usable/],
  ["far too few teeth", pair([8, 40], 2, 48), /^Usable contact ratio 0\.9\d: .* handed on with a jerk\.$/],
  ["centres too close", pair([20, 40], 2, 59.9), /teeth overlap by 0\.07 mm/],
  ["an odd chain", { ...chain, links: 101 }, /odd number of links .* 102 would not/],
  ["a small sprocket", { ...chain, teeth: [15, 38] }, /sprocket of 15 teeth/],
  ["a belt that hangs", { ...toothedBelt, beltTeeth: 118 } as StageElement, /belt is \d+\.\d mm longer than its path/],
  ["a small pulley", { ...toothedBelt, teeth: [10, 48], beltTeeth: 106 } as StageElement, /Only \d+ teeth in mesh/],
])("%s: said with its figure, and what comes of it", (_, element, words) => {
  expect(said(element).some((text) => words.test(text))).toBe(true);
});

test("every gear of a switchable pair is judged, not the first only", () => {
  const gears = [{ name: "slow", teeth: [8, 52] as const, profileShift: [0, 0] as const }];
  const found = said({ ...pair([20, 40], 2, 60.1), gears, gearName: "fast" } as StageElement);
  expect(found.join(" ")).toMatch(/^With slow in: The pinion is undercut/);
});

test("what is in order has nothing said of it, and nothing that is said is broken", () => {
  expect(said(pair([20, 40], 2, 60.1))).toEqual([]);
  const bored = { ...pair([14, 40], 1, 27.05), parts: { boresMm: [6.5, 8] } } as StageElement;
  expect(said(bored), "a plain small pinion on its shaft").toEqual([]);
  for (const element of everyKind) for (const text of said(element)) expect(text).not.toMatch(/NaN|undefined|Infinity/);
});

test.each<[Unwise, string]>([
  [{ code: "thin-contact-ratio", ratio: 1.1234 }, "1.12"],
  [{ code: "unequal-pitches", errorPercent: -4.56, match: "strips" }, "4.6 %"],
  [{ code: "thin-wall", member: 1, wallMm: 2, wantedMm: 3.456 }, "gear's root; 3.46 mm"],
  [{ code: "tip-fouls-root", member: 0, clearanceMm: -0.2 }, "pinion runs into the root of the other by 0.20 mm"],
  [{ code: "worm-jams", byMm: 0.05 }, "0.05 mm closer"],
  [{ code: "worm-thin", quotient: 6.54 }, "6.5 modules"],
  [{ code: "worm-seems-self-locking", leadAngleDeg: 3.18 }, "3.2°"],
  [{ code: "bevel-undercut", member: 0, virtualTeeth: 12.34, least: 17.1 }, "12.3 teeth"],
  [{ code: "bevel-internal", pitchAngleDeg: 95.04 }, "95.0°"],
  [{ code: "gear-does-not-mesh", name: "slow", backlashMm: -0.3 }, "slow overlaps by 0.30 mm"],
  [{ code: "little-wrap", wrapDeg: 110, leastDeg: 120 }, "110°; 120° are wanted"],
  [{ code: "centres-out-of-range", pitches: 93 }, "93 pitches"],
])("%o", (unwise, words) => {
  expect(unwiseWords(reader, unwise)).toContain(words);
});
