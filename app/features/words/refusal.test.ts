import { expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import { type Refusal, refusalCodes } from "~/core/quantity";
import { refusalWords } from "./refusal";

const reader = readerOf();

// That every code has words at all is for the compiler; this is about what they say.
const numbers = [
  "last",
  "reading",
  "least",
  "most",
  "given",
  "count",
  "tooth",
  "teeth",
  "clamp",
  "leastMm",
  "leastHz",
  "pinion",
  "megabytes",
  "idler",
  "sum",
  "centreMm",
  "fits",
  "line",
  "comma",
  "point",
  "seconds",
  "widthsMm",
  "lengthMm",
  "places",
  "pulleys",
];
const texts = [
  "form",
  "text",
  "name",
  "names",
  "by",
  "tag",
  "unit",
  "says",
  "is",
  "wanted",
  "gear",
  "nearest",
  "date",
  "words",
  "was",
  "now",
];
const facts = {
  ...Object.fromEntries(numbers.map((name) => [name, 3])),
  ...Object.fromEntries(texts.map((name) => [name, "x"])),
};

test.each(refusalCodes)("%s is said in the trade's words", (code) => {
  const words = refusalWords(reader, { code, path: [], facts } as Refusal);
  expect(words).not.toMatch(/undefined|null|NaN|\[object|JSON|server error|input/i);
  expect(words).toMatch(/[.?]$/);
});

test("what is said of a belt's path is not said of a chain", () => {
  expect(refusalWords(reader, { code: "no-path", path: [], facts: { kind: "chain", idler: 1 } })).not.toMatch(/belt/i);
});
