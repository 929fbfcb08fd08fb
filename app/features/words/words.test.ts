import { expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import { amountWords, parseAmount } from "./amount";
import { refusalWords } from "./refusal";
import { compoundWords, threadWords } from "./torque";

const reader = readerOf();

test.each([
  [0.125, "turns", "one eighth of a turn"],
  [-0.1875, "turns", "3/16 of a turn"],
  [1, "turns", "one whole turn"],
  [2.5, "turns", "2 1/2 turns"],
  [14, "deg", "14°"],
  [-0.04, "mm", "0.04 mm"],
] as const)("%d %s is said as %s", (amount, unit, words) => {
  expect(amountWords(reader, amount, unit, unit === "deg" ? 1 : 0.02)).toBe(words);
});

test.each([
  [4, "mm", 2, "roller-holes", "2 holes"],
  [-2, "mm", 2, "roller-holes", "one hole"],
  [1.5, "mm-of-shim", 0.5, "roller-diameter", "1.5 mm of roller diameter"],
  [0.05, "mm-of-shim", 0.05, "spacers", "0.05 mm of spacer"],
  [0.25, "turns", 1 / 16, "jack-screws", "a quarter turn on both screws alike"],
  [6, "mm-at-lever", 0.5, "pivot", "6.0 mm at the lever's end"],
  [0.2, "mm-of-shim", 0.05, "shims", "0.20 mm of shim"],
] as const)("%d %s in steps of %d by %s: %s", (amount, unit, step, means, words) => {
  expect(amountWords(reader, amount, unit, step, means)).toBe(words);
});

test.each([
  ["1/8", "turns", 0.125],
  ["3 sixteenths", "turns", 0.1875],
  ["45°", "turns", 0.125],
  ["0,25", "turns", 0.25],
  ["14", "deg", 14],
  ["5 thou", "mm", 0.127],
] as const)("%s as %s", (typed, unit, amount) => {
  const parsed = parseAmount(reader, typed, unit);
  expect(parsed.ok && parsed.value).toBeCloseTo(amount, 9);
});

test("a refusal nobody has words for still says that nothing typed is lost", () => {
  expect(refusalWords(reader, { code: "brand-new" as never, path: [], facts: {} })).toContain("still here");
});

test("a torque says for which threads it was given, and what wet compound makes of it", () => {
  expect(threadWords({})).toBe("whether for dry or oiled threads was not said");
  expect(threadWords({ threads: "dry" })).toBe("for dry threads");
  // K 0.20 dry, 0.15 oiled (Machinery's Handbook): three quarters.
  expect(compoundWords(reader, { threads: "dry", torqueNm: 10 })).toContain(
    "three quarters of the dry torque, 7.5 N·m",
  );
  expect(compoundWords(reader, { threads: "lubricated", torqueNm: 10 })).toContain(
    "the torque for oiled threads holds",
  );
  expect(compoundWords(reader, { torqueNm: 10 })).toContain("overdraws a wet one by about a third");
});

test("a roller moved by holes and barrel together is never said as whole holes", () => {
  expect(amountWords(reader, 4, "mm", 2, "roller-holes")).toBe("2 holes");
  expect(amountWords(reader, 5, "mm", 2, "roller-holes")).toBe("5.00 mm by holes and barrel");
});
