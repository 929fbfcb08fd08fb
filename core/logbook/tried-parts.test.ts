import { expect, test } from "vitest";
import type { Entry } from "./entry";
import { triedParts } from "./tried-parts";

let seq = 0;
const entry = (kind: string, body: object, more = {}) =>
  ({ id: `e${++seq}`, seq, kind, body, namesEntry: null, ...more }) as unknown as Entry;
const trial = (
  version: string,
  drawnMm: number | null,
  madeMm: number | null,
  felt: string | null,
  outcome = "tried",
) => entry("trial", { part: "Pinion bore", version, making: "printed", of: "hole", drawnMm, madeMm, felt, outcome });

test("of a series the next size is named, until one is fitted; then it is kept for next time", () => {
  const tight = trial("A", 6, 5.86, "refuses", "dropped");
  const loose = trial("C", 6.25, 6.12, "falls", "dropped");
  const [open] = triedParts([tight, loose]);
  // Between 5.86 and 6.12, in steps of 0.05: the middle.
  expect(open?.series).toMatchObject({ done: false, nextMm: 6 });
  expect(open?.fitted).toBeNull();
  expect(open?.comesOutSmallerMm?.meanMm).toBeCloseTo(0.135, 9);
  const fitted = trial("B", 6.15, 6.02, "slides", "fitted");
  const [done] = triedParts([tight, loose, fitted]);
  expect(done?.fitted?.body).toMatchObject({ version: "B", drawnMm: 6.15 });
  expect(done?.series).toMatchObject({ done: true, chooseMm: 6.02 });
  expect(done?.comesOutSmallerMm?.of).toBe(3);
});

test("what was corrected does not count, parts stand by their names, and what was not measured says nothing", () => {
  const wrong = trial("A", 6, 5.86, "falls");
  const parts = triedParts([
    wrong,
    entry("correction", { voids: true, text: "" }, { namesEntry: wrong.id }),
    trial("B", null, null, "slides"),
    entry("trial", {
      part: "pinion BORE",
      version: "D",
      making: "filed",
      of: null,
      drawnMm: null,
      madeMm: null,
      felt: null,
    }),
    entry("trial", {
      part: "Bush",
      version: "1",
      making: "turned",
      of: "shaft",
      drawnMm: 8,
      madeMm: 8.01,
      felt: "presses",
    }),
  ]);
  expect(parts.map(({ part, tries }) => [part, tries.length])).toEqual([
    ["Bush", 1],
    ["pinion BORE", 2],
  ]);
  expect(parts[1]?.series).toBeNull();
  expect(parts[1]?.comesOutSmallerMm).toBeNull();
});
