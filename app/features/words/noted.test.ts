import { expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import type { Unwise } from "~/core/stages";
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
  { code: "of-a-gear", name: "low", of: { code: "thin-contact-ratio", ratio: 1.13 } },
];

test("what was noted in the logbook is said as it was on the form", () => {
  for (const warning of warnings) expect(notedWords(reader, warning)).toBe(unwiseWords(reader, warning));
});

test("what an earlier release kept as a text is said alike", () => {
  const said = unwiseWords(reader, { code: "little-wrap", wrapDeg: 104.3, leastDeg: 120 });
  expect(notedWords(reader, "little-wrap, wrapDeg 104.3, leastDeg 120")).toBe(said);
});

test("a warning of another release stays readable as it stands", () => {
  expect(notedWords(reader, "brand-new, depth 0.2")).toBe("brand-new, depth 0.2");
  expect(notedWords(reader, { code: "brand-new", depth: 0.2 })).toContain("brand-new");
});
