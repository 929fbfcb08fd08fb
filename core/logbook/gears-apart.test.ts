import { describe, expect, test } from "vitest";
import { twoSpeeds } from "~/tests/elements";
import type { Entry } from "./entry";
import { jobRecord, readInGear, signedRecord } from "./job-record";
import { pastMoves } from "./past-moves";
import { standingOf } from "./standing";

/*
 * A stage whose two gears rest against stops of their own, its log a line an entry:
 *   low 0.12, high 0.12   read in that gear, from there to 0.02 more    low click   felt in it    >low, >high   the spacer under its stop    >   the stage's own adjuster
 */
const stage = { id: "s", geometry: { clamps: { points: [], compound: false }, element: twoSpeeds } };
const log = (text: string, phase = "as-found"): Entry[] =>
  text.split(", ").map((line, i) => {
    const [what = "", least] = line.split(" ");
    const felt = {
      gear: what,
      of: 36,
      judged: null,
      places: [1, 7, 13, 19, 25, 31].map((tooth) => ({ tooth, feel: "small click" })),
    };
    if (least === "click")
      return { id: `e${i}`, seq: i + 1, stageId: "s", namesEntry: null, kind: "feel", body: felt } as unknown as Entry;
    const made = what.startsWith(">")
      ? { kind: "move", body: { amount: 0.1, teaches: true, ...(what === ">" ? {} : { gear: what.slice(1) }) } }
      : {
          kind: "round",
          body: {
            phase: i > 1 ? "set" : phase,
            result: {
              gear: what,
              min: Number(least),
              max: Number(least) + 0.02,
              worstMin: null,
              worstMax: null,
              quantity: "backlash",
              expandedUncertainty: 0.01,
              verdict: Number(least) >= 0.1 ? "conforms" : "does-not-conform",
            },
          },
        };
    const readings = least ? [{ tooth: 1, value: Number(least), struck: false, quantity: "x" }] : [];
    const more = { id: `e${i}`, seq: i + 1, stageId: "s", adjusterId: "a", namesEntry: null, readings };
    return { ...more, ...made, madeAt: `2026-11-0${i + 1}T08:00:00Z` } as unknown as Entry;
  });

const limits = { lo: 0.1, hi: 0.24 };
const standing = (text: string) => standingOf(log(text), { limits, element: twoSpeeds });

describe("each gear stands by itself", () => {
  test.each([
    ["low 0.12, high 0.12", "inside"],
    // 0.09 to 0.11 is inside the 0.08 to 0.2 of high, and would be outside those of the stage.
    ["low 0.12, high 0.095", "inside"],
    ["low 0.12, high 0.19", "near"],
    ["low 0.12, high 0.03", "outside"],
    // The stop of one gear says nothing of the other; the stage's own adjuster moves both.
    ["low 0.03, high 0.12, >low, low 0.12", "inside"],
    ["low 0.03, high 0.12, >low", "unknown"],
    ["low 0.12, high 0.12, >high, low 0.12", "unknown"],
    ["low 0.12, high 0.12, >, low 0.12", "unknown"],
    ["low 0.12, high 0.12, >, low 0.12, high 0.12", "inside"],
    // A word of the hand is of the gear that was felt.
    ["low 0.03, high 0.12, low click", "inside"],
    ["low 0.12, high 0.03, low click", "outside"],
  ])("%s stands %s", (text, state) => {
    expect(standing(text).state).toBe(state);
  });

  test.each([
    ["low 0.12", ["no-as-found"]],
    ["low 0.12, high 0.12", []],
    ["low 0.03, high 0.12", ["not-inside"]],
    ["low 0.03, high 0.12, >low", ["not-inside", "no-check-round", "not-proved"]],
    ["low 0.03, high 0.12, >low, low 0.12", ["not-proved"]],
    ["low 0.03, high 0.12, >, low 0.12", ["no-check-round", "not-proved"]],
  ])("of a job %s is left %j", (text, provisional) => {
    expect(jobRecord(log(text), stage).provisional).toEqual(provisional);
  });

  test("what is signed names as found and as left of each", () => {
    const record = jobRecord(log("low 0.03, high 0.12, >low, low 0.12, >high"), stage);
    expect(signedRecord(record, stage).gears).toMatchObject([
      { gear: "low", asFound: { min: 0.03 }, asLeft: { min: 0.12 } },
      { gear: "high", asFound: { min: 0.12 }, asLeft: null },
    ]);
    expect(readInGear(record, "high").changedSinceRound).toBe(true);
  });

  test("a stop learns from its own moves alone", () => {
    const entries = log("low 0.03, high 0.12, >low, high 0.12, low 0.12, >high, high 0.19");
    const change = (gear: string) =>
      pastMoves(entries, "a", 0, gear).map(({ before, after }) => [before[0]?.value, after[0]?.value]);
    expect(change("low")).toEqual([[0.03, 0.12]]);
    expect(change("high")).toEqual([[0.12, 0.19]]);
    expect(pastMoves(entries, "a", 0)).toEqual([]);
  });
});
