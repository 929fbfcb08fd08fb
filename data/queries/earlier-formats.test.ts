import { expect, test } from "vitest";
import { entryBodies } from "../../core/logbook/schema";
import { bodyAsToday } from "./earlier-formats";

/** Bodies as the first two releases wrote them: each has to be read today, and what it did not note must come out as not known. */
type Kind = keyof typeof entryBodies;
const today = (format: 1 | 2, kind: Kind, body: Record<string, unknown>) => {
  const read = entryBodies[kind].safeParse(bodyAsToday(format, kind, body));
  if (!read.success) throw new Error(`${kind} of format ${format}: ${read.error.message}`);
  return read.data as Record<string, unknown>;
};

const roundOfFirst = {
  count: 12,
  minMm: 0.15,
  maxMm: 0.22,
  meanMm: 0.18,
  worstMinMm: 0.14,
  worstMaxMm: 0.23,
  tightTooth: 7,
  expandedUncertaintyMm: 0.02,
  verdict: "conforms",
  fits: true,
  carriedFrom: null,
};
const roundOfSecond = {
  quantity: "sag",
  count: 4,
  min: 18,
  max: 22,
  mean: 20,
  worstMin: null,
  worstMax: null,
  tightTooth: null,
  expandedUncertainty: 1,
  verdict: "undecided",
  fits: true,
  carriedFrom: null,
};
const signed = { moves: 1, clampsFirm: 4, proofs: 2 };
const signature = { comment: "", nextDate: null, provisional: ["not-proved"] };

/** Kinds whose shape was the same in all releases. */
const unchanged: [Kind, Record<string, unknown>][] = [
  ["job-opened", { reason: "Whines" }],
  ["note", { text: "grease seen" }],
  ["correction", { text: "read at the wrong tooth", voids: true }],
  ["clamp", { clamp: 1, of: 4, pass: 1, passes: 2, state: "snug", torqueNm: 6 }],
];

test.each(([1, 2] as const).flatMap((format) => unchanged.map(([kind, body]) => [format, kind, body] as const)))(
  "format %i, %s: as it was written",
  (format, kind, body) => expect(today(format, kind, body)).toEqual(body),
);

test("a round of the first format was all about backlash, and its figures lose the mm of their names", () => {
  expect(today(1, "round", { phase: "as-found", result: roundOfFirst })).toEqual({
    phase: "as-found",
    result: {
      quantity: "backlash",
      count: 12,
      min: 0.15,
      max: 0.22,
      mean: 0.18,
      worstMin: 0.14,
      worstMax: 0.23,
      tightTooth: 7,
      expandedUncertainty: 0.02,
      verdict: "conforms",
      holds: "fits",
      carriedFrom: null,
    },
  });
});

test.each([
  ["sag", true, null],
  ["elongation", true, null],
  ["tension", true, "fits"],
  ["tension", false, "too-wide"],
])(
  "whether one setting holds a round of %s that was said to fit (%s) is %s: on some scales it was not rightly judged",
  (quantity, fits, holds) => {
    const read = today(2, "round", { phase: "set", result: { ...roundOfSecond, quantity, fits } });
    expect(read.result).toMatchObject({ quantity, holds });
  },
);

test("a move of the first format keeps what was advised, by its names of today; one without advice has none", () => {
  const move = {
    amount: -0.1,
    unit: "mm",
    direction: "together",
    did: "so",
    reasons: ["provisional"],
    teaches: true,
    note: "",
  };
  const advised = { amount: -0.1, minMm: 0.12, maxMm: 0.2, atMm: 0.12, standTooth: 7 };
  expect(today(1, "move", { ...move, advised })).toMatchObject({
    advised: { amount: -0.1, min: 0.12, max: 0.2, at: 0.12, standTooth: 7 },
  });
  expect(today(1, "move", { ...move, advised: null })).toMatchObject({ advised: null });
});

test("of what was acknowledged the codes stand for the words; nobody noted what was not, nor what was not known", () => {
  expect(today(1, "isolated", { lock: "12", acknowledged: ["electric", "air"] })).toEqual({
    lock: "12",
    noLock: null,
    acknowledged: [
      { key: "electric", text: "" },
      { key: "air", text: "" },
    ],
    notAcknowledged: [],
  });
  expect(today(2, "live", { acknowledged: ["guards-on"], saw: ["2 clamps not firm"] })).toEqual({
    acknowledged: [{ key: "guards-on", text: "" }],
    saw: ["2 clamps not firm"],
    notKnown: [],
  });
});

test("a run was under power, and how it ended nobody was asked", () => {
  const run = { direction: "forwards", speed: "slow", currentA: 4.1, temperatureC: null, noise: "quiet" };
  expect(today(2, "proof", run)).toEqual({ ...run, way: "powered", outcome: null });
});

test("a round by feel keeps its words; what an older table made of them is not taken for today's", () => {
  const felt = { phase: "set", method: "by hand", verdict: "conforms", says: "right" };
  expect(
    today(2, "feel", {
      ...felt,
      places: [
        { tooth: 3, feel: "small click" },
        { tooth: 9, feel: "hums" },
      ],
    }),
  ).toEqual({
    phase: "set",
    method: "by hand",
    gear: null,
    of: null,
    // A word that is none of the five says nothing today.
    places: [{ tooth: 3, feel: "small click" }],
    judged: null,
  });
});

test("a signature puts its name to the same record, in today's names; what it saw nobody noted", () => {
  const first = today(1, "signature", { ...signature, record: { ...signed, asFound: roundOfFirst, asLeft: null } });
  expect(first).toMatchObject({ record: { asFound: { quantity: "backlash", min: 0.15 }, asLeft: null }, saw: null });
  for (const [says, verdict, side] of [
    ["right", "inside", null],
    ["leans-loose", "near", "loose"],
    ["too-tight", "outside", "tight"],
    ["not-round", "outside", "both"],
  ]) {
    const record = { ...signed, asFound: null, asLeft: null, asLeftByFeel: says };
    expect(today(2, "signature", { ...signature, record })).toMatchObject({
      record: { asLeftByFeel: { verdict, side } },
      unproven: [],
    });
  }
});
