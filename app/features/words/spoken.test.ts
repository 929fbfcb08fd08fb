import { expect, test } from "vitest";
import { piecesKept, piecesText, piecesTyped, readPieces } from "../stacks/stack-words";
import { amountWords, asTyped, parseAmount } from "./amount";
import { readWords } from "./entry";
import { inUnitsOf, type Reader, readerOf } from "./reader";
import { spoken } from "./spoken";

const inch = readerOf({ preferences: { units: "inch" } });
const metric = readerOf({ preferences: { units: "metric" } });

test("what is read, moved and stored is said in the reader's inches, as finely as in millimetres", () => {
  expect(readWords(inch, { min: 0.12, max: 0.15, quantity: "backlash" })).toBe("0.0047 to 0.0059 in");
  expect(readWords(inch, { min: 180, max: 240, quantity: "tension" })).toBe("40.5 to 54.0 lbf");
  expect(readWords(inch, { min: 3, max: 4, quantity: "lost-motion" })).toBe("3.0 to 4.0 arcmin");
  expect(amountWords(inch, -0.14, "mm", 0.01)).toBe("0.0055 in");
  expect(amountWords(inch, 0.25, "turns", 1 / 16)).toBe("a quarter turn");
  expect(spoken(inch, "N·m", 0).said(40)).toBe("29.5 lbf·ft");
});

test("a size typed by an inch reader is inches, and says so when it is left standing", () => {
  const typed = parseAmount(inch, "0.006", "mm");
  expect(typed.ok && typed.value).toBeCloseTo(0.1524, 9);
  const left = asTyped(inch, "0.006", "mm");
  expect(left).toBe("0.006 in");
  expect(asTyped(inch, "5 thou", "mm")).toBe("5 thou");
  expect(asTyped(inch, "3/16", "turns")).toBe("3/16");
  const taken = parseAmount(metric, left, "mm");
  expect(taken.ok && taken.value).toBeCloseTo(0.1524, 9);
});

test("pieces of a stack read back as they were written", () => {
  const pieces = [
    { thicknessMm: 0.508, count: 2 },
    { thicknessMm: 0.1, count: 1 },
  ];
  for (const reader of [inch, readerOf({ preferences: { units: "metric", decimal: "comma" } })]) {
    const back = readPieces(reader, piecesTyped(reader, pieces));
    for (const [i, { thicknessMm, count }] of pieces.entries()) {
      expect(back?.[i]?.count).toBe(count);
      expect(back?.[i]?.thicknessMm).toBeCloseTo(thicknessMm, 3);
    }
  }
  expect(piecesText(inch, pieces)).toBe("2 × 0.02000 + 0.00394 in");
});

test("pieces left standing by an inch reader are the same pieces to whoever takes over", () => {
  const left = piecesKept(inch, "0.02 + 2 × 0.004 + 5 thou");
  expect(left).toBe("0.02 in + 2 × 0.004 in + 5 thou");
  expect(piecesKept(inch, left)).toBe(left);
  expect(piecesKept(inch, "nothing")).toBe("nothing");
  const typed = readPieces(inch, "0.02 + 2 × 0.004 + 5 thou");
  expect(readPieces(metric, left)).toEqual(typed);
  expect(piecesKept(metric, "0.5 + 2 × 0.1")).toBe("0.5 + 2 × 0.1");
});

test("as the machine says: each in its own; whoever chose gets what was chosen", () => {
  const words = (reader: Reader) => spoken(reader, "mm", 2).said(0.127);
  const onMetric = readerOf({}, { units: "metric" });
  expect(words(onMetric)).toBe("0.13 mm");
  expect(words(inUnitsOf(onMetric, { units: "inch" }))).toBe("0.0050 in");
  expect(words(inUnitsOf(metric, { units: "inch" }))).toBe("0.13 mm");
  expect(words(readerOf({ preferences: { units: "machine" } }, { units: "inch" }))).toBe("0.0050 in");
});
