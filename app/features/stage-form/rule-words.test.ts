import { expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import { recommendKind, recommendSide, sidesOf } from "~/core/stages";
import { chain, everyKind, toothedBelt, vBelt } from "~/tests/elements";
import { ruleWords } from "./rule-words";

const reader = readerOf();

const asked = { torqueNm: 12, powerKw: 2.2, speedMPerS: 9, bearing: "taper" } as const;

test.each(everyKind.map((element, i) => [element.kind, i, element] as const))(
  "%s (%i): what is recommended says its rule in whole numbers, and where it is from",
  (_, __, element) => {
    const found = [
      recommendKind(element, asked),
      ...sidesOf(element).map((side) => recommendSide(element, side, asked)),
    ];
    for (const one of found) {
      if (!one) continue;
      expect(one.hi).toBeGreaterThan(one.lo);
      const words = ruleWords(reader, one);
      expect(words).not.toMatch(/NaN|undefined| 0 mm|m 0\b/);
      expect(words).toMatch(/common practice|Handbook|from memory|its maker/);
    }
  },
);

test("the pull of a belt, worked out from its own sentence", () => {
  const belt = recommendKind(toothedBelt, asked);
  const [, torque = 0, d = 1, pull = 0] =
    /2000·([\d.]+)\/([\d.]+) = ([\d.]+) N/.exec(belt ? ruleWords(reader, belt) : "")?.map(Number) ?? [];
  expect(Math.abs((2000 * torque) / d - pull)).toBeLessThan(1);
  expect(belt?.hi).toBe(pull);
  expect(Math.abs((belt?.lo ?? 0) - pull / 2)).toBeLessThanOrEqual(0.5);

  const v = recommendKind(vBelt, asked);
  const [, factor = 1, power = 0, belts = 1, speed = 1] =
    /500·\(2\.5\/([\d.]+) − 1\)·([\d.]+)\/\(([\d.]+)·([\d.]+)\)/.exec(v ? ruleWords(reader, v) : "")?.map(Number) ?? [];
  const byHand = (500 * (2.5 / factor - 1) * power) / (belts * speed) + (vBelt.massKgPerM ?? 0) * speed ** 2;
  expect(Math.abs((v?.lo ?? 0) - byHand)).toBeLessThan(2);
});

test("a chain's sag is so many per cent of the span that is said", () => {
  const sag = recommendKind(chain, {});
  const [, low = 0, high = 0, span = 0] =
    /(\d) to (\d) % of the span of (\d+) mm/.exec(sag ? ruleWords(reader, sag) : "")?.map(Number) ?? [];
  expect(Math.abs((sag?.lo ?? 0) - (low * span) / 100)).toBeLessThan(0.5);
  expect(Math.abs((sag?.hi ?? 0) - (high * span) / 100)).toBeLessThan(0.5);
});
