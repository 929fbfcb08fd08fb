import { expect, test } from "vitest";
import { layOut } from "./kit";
import type { DueItem } from "./vocabulary";
import { walkOf } from "./walk";
import { daysUntil, whenDue } from "./when";

const due = (name: string, where: [site: string, hall: string, place: string], on: string | null): DueItem => ({
  ...{ kind: "visit", key: name, on, stage: null, what: "", between: null, atUsage: null, to: null, note: "" },
  machine: { id: name, name, tag: "", site: where[0], hall: where[1], place: where[2] },
});

test("how near a day is, over the end of a year and of a February", () => {
  expect(daysUntil("2027-12-30", "2028-01-02")).toBe(3);
  expect(daysUntil("2028-02-27", "2028-03-01")).toBe(3);
  const whens = ["2026-11-29", "2026-11-30", "2026-12-07", "2026-12-08", "2027-01-01", null].map((on) =>
    whenDue("2026-11-30", on),
  );
  expect(whens).toEqual(["passed", "today", "week", "month", "later", "undated"]);
});

test("one walk: each hall and each machine once, what waits longest first among halls, places as they are numbered", () => {
  const way = walkOf([
    due("press", ["Main", "Hall B", "bay 10"], "2026-12-01"),
    due("gluer", ["Main", "Hall B", "bay 2"], "2026-12-05"),
    due("press", ["Main", "Hall B", "bay 10"], "2026-11-01"),
    due("lift", ["Dock", "Gate", ""], "2026-12-02"),
    due("cutter", ["Main", "Hall A", "bay 1"], "2026-11-20"),
    due("stray", ["Main", "", ""], "2026-10-01"),
    { ...due("caliper", ["", "", ""], "2026-01-01"), machine: null },
  ]);
  expect(way.map(({ site, hall, stops }) => [site, hall, stops.map(({ machine }) => machine.name)])).toEqual([
    // The stray machine waits longest of all, so its site comes first; nobody said its hall, so it comes last there.
    ["Main", "Hall B", ["gluer", "press"]],
    ["Main", "Hall A", ["cutter"]],
    ["Main", "", ["stray"]],
    ["Dock", "Gate", ["lift"]],
  ]);
  expect(way[0]?.stops[1]?.items.map(({ on }) => on)).toEqual(["2026-11-01", "2026-12-01"]);
});

test("the same thing stands once in a kit, with who wants it; grams add up, and what is not known is said", () => {
  const need = (kind: "grease" | "instrument", what: string, machine: string, grams: number | null = null) => ({
    ...{ kind, what, machine, grams },
  });
  expect(
    layOut([
      need("grease", "lithium NLGI 2", "Lift", 4),
      need("instrument", "Caliper", "Lift"),
      need("grease", "lithium NLGI 2", "Press", 2.5),
      need("grease", "lithium NLGI 2", "Press"),
      need("instrument", "Caliper", "Lift"),
    ]),
  ).toEqual([
    { kind: "instrument", what: "Caliper", machines: ["Lift"], grams: null, andMore: true },
    { kind: "grease", what: "lithium NLGI 2", machines: ["Lift", "Press"], grams: 6.5, andMore: true },
  ]);
});
