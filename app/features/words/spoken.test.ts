import { afterEach, expect, test } from "vitest";
import { piecesKept, piecesText, piecesTyped, readPieces } from "../stacks/stack-words";
import { amountWords, asTyped, parseAmount } from "./amount";
import { readWords } from "./entry";
import { inUnitsOf, readerOf, writeFor } from "./figure";
import { spoken } from "./spoken";

const inch = readerOf({ units: "inch" });
afterEach(() => writeFor(readerOf()));

test("what is read, moved and stored is said in the reader's inches, as finely as in millimetres", () => {
  writeFor(inch);
  expect(readWords({ min: 0.12, max: 0.15, quantity: "backlash" })).toBe("0.0047 to 0.0059 in");
  expect(readWords({ min: 180, max: 240, quantity: "tension" })).toBe("40.5 to 54.0 lbf");
  expect(readWords({ min: 3, max: 4, quantity: "lost-motion" })).toBe("3.0 to 4.0 arcmin");
  expect(amountWords(-0.14, "mm", 0.01)).toBe("0.0055 in");
  expect(amountWords(0.25, "turns", 1 / 16)).toBe("a quarter turn");
  expect(spoken("N·m", 0).said(40)).toBe("29.5 lbf·ft");
});

test("a size typed by an inch reader is inches, and says so when it is left standing", () => {
  writeFor(inch);
  const typed = parseAmount("0.006", "mm");
  expect(typed.ok && typed.value).toBeCloseTo(0.1524, 9);
  const left = asTyped("0.006", "mm");
  expect(left).toBe("0.006 in");
  expect(asTyped("5 thou", "mm")).toBe("5 thou");
  expect(asTyped("3/16", "turns")).toBe("3/16");
  writeFor(readerOf({ units: "metric" }));
  const taken = parseAmount(left, "mm");
  expect(taken.ok && taken.value).toBeCloseTo(0.1524, 9);
});

test("pieces of a stack read back as they were written", () => {
  const pieces = [
    { thicknessMm: 0.508, count: 2 },
    { thicknessMm: 0.1, count: 1 },
  ];
  for (const reader of [inch, readerOf({ units: "metric", decimal: "comma" })]) {
    writeFor(reader);
    const back = readPieces(piecesTyped(pieces));
    for (const [i, { thicknessMm, count }] of pieces.entries()) {
      expect(back?.[i]?.count).toBe(count);
      expect(back?.[i]?.thicknessMm).toBeCloseTo(thicknessMm, 3);
    }
  }
  writeFor(inch);
  expect(piecesText(pieces)).toBe("2 × 0.02000 + 0.00394 in");
});

test("pieces left standing by an inch reader are the same pieces to whoever takes over", () => {
  writeFor(inch);
  const left = piecesKept("0.02 + 2 × 0.004 + 5 thou");
  expect(left).toBe("0.02 in + 2 × 0.004 in + 5 thou");
  expect(piecesKept(left)).toBe(left);
  expect(piecesKept("nothing")).toBe("nothing");
  const typed = readPieces("0.02 + 2 × 0.004 + 5 thou");
  writeFor(readerOf({ units: "metric" }));
  expect(readPieces(left)).toEqual(typed);
  expect(piecesKept("0.5 + 2 × 0.1")).toBe("0.5 + 2 × 0.1");
});

test("as the machine says: each in its own, and back to the page's after it; whoever chose gets what was chosen", () => {
  const words = () => spoken("mm", 2).said(0.127);
  writeFor(readerOf({}, { units: "metric" }));
  expect(inUnitsOf({ units: "inch" }, words)).toBe("0.0050 in");
  expect(words()).toBe("0.13 mm");
  writeFor(readerOf({ units: "metric" }, { units: "inch" }));
  expect(inUnitsOf({ units: "inch" }, words)).toBe("0.13 mm");
  writeFor(readerOf({ units: "machine" }, { units: "inch" }));
  expect(words()).toBe("0.0050 in");
});
