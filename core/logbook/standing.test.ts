import { describe, expect, test } from "vitest";
import { spurPair } from "../gears";
import { daysToIso } from "./days";
import type { Entry } from "./entry";
import { standingOf, worseState } from "./standing";

/*
 * Logs made by hand, a line an entry, in the order of their numbers: what stands on the floor after each.
 *   r 0.14   read, from 0.14 to 0.02 more    f click    felt all round    m, c, g, l   moved, clamped, other geometry, other limits
 *   s ok|out|near   end float read beside it, with that verdict           x3   the third entry is taken back
 */
const limits = { lo: 0.1, hi: 0.2 };
const element = { kind: "gear-pair" as const, pair: spurPair([20, 40], 2, 60.2), parts: {} };
const verdicts = { ok: "conforms", near: "undecided", out: "does-not-conform" } as const;
const feels = { click: "small click", knocks: "knocks", binds: "binds" } as const;

const body: Record<string, (what: string) => { kind: Entry["kind"]; body: object; namesEntry?: string }> = {
  r: (least) => ({
    kind: "round",
    body: {
      phase: "as-found",
      result: {
        min: Number(least),
        max: Number(least) + 0.02,
        mean: Number(least) + 0.01,
        worstMin: null,
        worstMax: null,
        expandedUncertainty: 0.004,
        quantity: "backlash",
        holds: "provable",
        verdict: "conforms",
      },
    },
  }),
  f: (feel) => ({
    kind: "feel",
    body: {
      of: 40,
      places: [1, 8, 15, 22, 29, 36].map((tooth) => ({ tooth, feel: feels[feel as keyof typeof feels] })),
      judged: null,
    },
  }),
  m: () => ({ kind: "move", body: { amount: 0.1 } }),
  c: () => ({ kind: "clamp", body: {} }),
  g: () => ({ kind: "change", body: { what: "geometry" } }),
  l: () => ({ kind: "change", body: { what: "limits" } }),
  s: (verdict) => ({
    kind: "side",
    body: { quantity: "end-float", max: 0.4, verdict: verdicts[verdict as keyof typeof verdicts] },
  }),
  x: (which) => ({ kind: "correction", body: { voids: true }, namesEntry: `e${which}` }),
};
const log = (text: string): Entry[] =>
  text
    .split(", ")
    .filter(Boolean)
    .map((line, i) => {
      const [, letter = "", what = ""] = /^([a-z]) ?(.*)$/.exec(line) ?? [];
      const made = body[letter]?.(what);
      return {
        id: `e${i + 1}`,
        seq: i + 1,
        madeAt: daysToIso(20_000 + i),
        jobId: null,
        namesEntry: null,
        readings: [],
        usage: null,
        ...made,
      } as unknown as Entry;
    });

test.each<[string, string]>([
  ["", "unknown"],
  ["r 0.14", "inside"],
  ["r 0.101", "near"],
  ["r 0.05", "outside"],
  // The last word counts, whatever was before it.
  ["r 0.05, r 0.14", "inside"],
  ["r 0.14, m", "unknown"],
  ["r 0.14, c", "unknown"],
  ["r 0.14, g", "unknown"],
  ["r 0.14, l", "inside"],
  ["r 0.14, m, r 0.05", "outside"],
  ["m", "unknown"],
  // Taken back, an entry never was.
  ["r 0.14, r 0.05, x2", "inside"],
  ["r 0.14, m, x2", "inside"],
  ["r 0.14, x1", "unknown"],
  // By feel, where that is the last word; a number after it counts again.
  ["f click", "inside"],
  ["f knocks", "outside"],
  ["f binds", "outside"],
  ["r 0.14, f binds", "outside"],
  ["f binds, r 0.14", "inside"],
  ["f click, m", "unknown"],
  // What is read beside it makes it worse, never better.
  ["r 0.14, s ok", "inside"],
  ["r 0.14, s near", "near"],
  ["r 0.14, s out", "outside"],
  ["r 0.05, s ok", "outside"],
  ["r 0.14, s out, s ok", "inside"],
  ["s ok", "unknown"],
])("%s: %s", (text, state) => expect(standingOf(log(text), { limits, element }).state).toBe(state));

test("without limits what was read stands, and is not judged; given later, they judge it", () => {
  const unjudged = standingOf(log("r 0.14"), { limits: null, element });
  expect(unjudged).toMatchObject({ state: "unknown", judged: { verdict: null }, result: { min: 0.14 }, drift: null });
  expect(unjudged.readAt).not.toBeNull();
  expect(standingOf(log("r 0.14, s out"), { limits: null, element }).state).toBe("outside");
  expect(standingOf(log("r 0.14"), { limits, element }).state).toBe("inside");
});

describe("what makes it so is named", () => {
  test("a side that is worse than the round, and only then", () => {
    const because = (text: string) => standingOf(log(text), { limits, element }).because;
    expect(["r 0.14, s out", "r 0.05, s out", "r 0.14, s ok"].map(because)).toEqual(["end-float", null, null]);
  });

  test("when it was read, and that something was moved since", () => {
    expect(standingOf(log("r 0.14, m"), { limits, element })).toMatchObject({
      readAt: daysToIso(20_000),
      changedSince: true,
      result: { min: 0.14 },
    });
  });

  test("limits of today judge what was read before them", () => {
    const state = (lo: number, hi: number) => standingOf(log("r 0.14"), { limits: { lo, hi }, element }).state;
    expect([state(0.1, 0.2), state(0.2, 0.3), state(0.05, 0.162)]).toEqual(["inside", "outside", "near"]);
  });
});

test("the worse of two states: outside, near, not known, inside", () => {
  const states = ["outside", "near", "unknown", "inside"] as const;
  for (const [i, a] of states.entries())
    for (const [j, b] of states.entries()) expect(worseState(a, b)).toBe(states[Math.min(i, j)]);
});
