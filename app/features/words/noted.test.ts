import { expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import type { Unwise } from "~/core/stages";
import { warningText } from "~/operations/warning-text";
import { notedWords } from "./noted";
import { unwiseWords } from "./unwise";

const reader = readerOf();

const warnings: Unwise[] = [
  { code: "odd-links", even: 102 },
  { code: "undercut", member: 0 } as Unwise,
  { code: "little-wrap", wrapDeg: 104.25, leastDeg: 120 },
  { code: "gear-does-not-mesh", name: "high", backlashMm: -0.125 },
  { code: "phases-do-not-meet", sum: 71, planets: 3 },
  { code: "worm-seems-self-locking", leadAngleDeg: 4.1 },
];

test("what was noted in the logbook is said as it was on the form", () => {
  for (const warning of warnings) expect(notedWords(reader, warningText(warning))).toBe(unwiseWords(reader, warning));
});

test("a warning of another release stays readable as it stands", () => {
  expect(notedWords(reader, "brand-new, depth 0.2")).toBe("brand-new, depth 0.2");
});
