import { expect, test } from "vitest";
import { everyKind } from "~/tests/elements";
import { spurPair } from "../gears";
import type { StageElement } from "../stages";
import type { Entry } from "./entry";
import { jobRecord } from "./job-record";
import { knownIn, knownRounds } from "./known-round";
import { pastMoves } from "./past-moves";

const pair: StageElement = { kind: "gear-pair", pair: spurPair([20, 40], 2, 60.2), parts: {} };
const stageWith = (points: unknown[], compound: boolean, element: StageElement = pair) => ({
  id: "s",
  geometry: { clamps: { points, compound }, element },
});
let seq = 0;
const entry = (kind: Entry["kind"], body: unknown, more: Partial<Entry> = {}): Entry =>
  ({
    id: `e${++seq}`,
    seq,
    kind,
    body,
    readings: [],
    namesEntry: null,
    adjusterId: "a1",
    stageId: "s",
    ...more,
  }) as unknown as Entry;
const round = (phase: string, verdict = "conforms", values: number[] = [0.2]) =>
  entry(
    "round",
    { phase, result: { verdict } },
    {
      readings: values.map((value, i) => ({ tooth: i + 1, value, struck: false })) as never,
    },
  );
const move = (amount: number) => entry("move", { amount, teaches: true });
const run = (direction: string, outcome = "ran", more = {}) =>
  entry("proof", { way: "powered", direction, speed: "slow", outcome, ...more });
const clamp = (n: number, state: string) => entry("clamp", { clamp: n, state, pass: 2 });

test("what is provisional follows from what was done, in order", () => {
  const of = (entries: Entry[], compound = true) => jobRecord(entries, stageWith([1, 2], compound)).provisional;
  const provisional = (entries: Entry[]) => of(entries);
  expect(provisional([])).toEqual(["no-as-found"]);
  expect(provisional([entry("job-opened", { reason: "new", firstBuild: true })])).toEqual(["clamps-not-known"]);
  const found = round("as-found", "does-not-conform");
  expect(provisional([found])).toEqual(["not-inside"]);
  const set = [found, move(0.1), round("set")];
  expect(provisional(set)).toEqual(["clamps-not-known", "not-proved"]);
  const firm = [...set, clamp(1, "firm"), clamp(2, "firm")];
  expect(provisional(firm)).toEqual(["no-check-round", "no-compound", "not-proved"]);
  const dressed = [...firm, clamp(1, "dressed"), clamp(2, "dressed"), round("check"), run("forwards")];
  expect(provisional(dressed)).toEqual([]);
  // Where no compound belongs on the screws, its absence is nothing provisional.
  expect(of(firm, false)).toEqual(["no-check-round", "not-proved"]);
  // What was done on the other stage of the job is not this one's.
  expect(of([found, { ...move(0.1), stageId: "other" } as Entry])).toEqual(["not-inside"]);
});

test("what was put in stays in, for every stage of the job, until that very thing is out", () => {
  const paper = entry("loose-thing", { thing: "paper strip", state: "in", where: "" }, { stageId: "other" });
  const pin = entry("loose-thing", { thing: "pin", state: "in", where: "" });
  const out = entry("loose-thing", { thing: "pin", state: "out", where: "" }, { namesEntry: pin.id });
  const record = jobRecord([paper, pin, out], stageWith([], false));
  expect(record.things.map((thing) => thing.thing)).toEqual(["paper strip"]);
  expect(record.provisional).toContain("things-left-in");
});

test("as left by feel stands only where nothing was moved after it; it never hides a measured round that stands", () => {
  const felt = () =>
    entry("feel", {
      phase: "check",
      method: "by hand",
      of: 40,
      judged: { verdict: "outside", side: "tight" },
      places: [],
    });
  const of = (entries: Entry[]) => jobRecord(entries, stageWith([], false));
  expect(of([round("as-found"), move(0.1), felt()]).provisional).toContain("not-inside");
  expect(of([round("as-found"), move(0.1), felt()]).provisional).not.toContain("no-check-round");
  expect(of([felt(), move(0.1)]).provisional).toContain("no-check-round");
  expect(of([felt(), round("check")]).provisional).not.toContain("not-inside");
});

test("only a run that went well proves anything; one that did not stays until the same run has gone well", () => {
  const of = (entries: Entry[], element = pair) => jobRecord(entries, stageWith([], false, element));
  const set = [round("as-found"), move(0.1), round("check")];
  expect(of([...set, run("forwards", "stalled")]).provisional).toEqual(["run-went-wrong", "not-proved"]);
  expect(of([...set, run("forwards", "stalled"), run("forwards")]).provisional).toEqual([]);
  expect(of([...set, run("forwards", "ran", { way: "by-hand" })]).provisional).toEqual(["not-proved"]);
  const [forwards, backwards] = ["forwards", "backwards"].map((direction) => ({ gear: null, direction }));
  expect(of(set).unproven).toEqual([forwards, backwards]);
  expect(of([...set, run("forwards")]).unproven).toEqual([backwards]);
  const two: StageElement = {
    ...(pair as Extract<StageElement, { kind: "gear-pair" }>),
    gearName: "low",
    gears: [{ name: "high", teeth: [24, 36], profileShift: [0, 0] }],
  };
  const ran = of([...set, run("forwards", "ran", { gear: "low" }), run("backwards", "ran", { gear: "low" })], two);
  expect(ran.unproven.map(({ gear, direction }) => `${gear} ${direction}`)).toEqual([
    "high forwards",
    "high backwards",
  ]);
});

test("an end switch is proven by a powered run that stopped before the buffer, and not by one from before it was moved", () => {
  const axis = everyKind.find(({ kind }) => kind === "axis") as StageElement;
  const of = (...entries: Entry[]) => jobRecord(entries, stageWith([], false, axis));
  const into = (direction: string, leftToBuffer: number | null) =>
    run(direction, "ran", { axis: { unit: "mm", leftToBuffer, overshoot: null, guidesLubricated: false } });
  const set = () => [round("as-found"), move(3), round("check")];
  expect(of(...set(), run("forwards")).unprovenEnds).toEqual(["low", "high"]);
  expect(of(...set(), into("forwards", 4.2), into("backwards", null)).unprovenEnds).toEqual(["low"]);
  expect(of(...set(), into("forwards", 4.2), into("backwards", 3)).provisional).toEqual([]);
  expect(of(...set(), into("forwards", 4.2), into("backwards", 0)).provisional).toEqual([
    "run-went-wrong",
    "switch-not-proved",
  ]);
  expect(of(into("forwards", 4.2), into("backwards", 3), ...set()).unprovenEnds).toEqual(["low", "high"]);
});

test("paper and paint used as the means of a round by feel are in until somebody says they are out", () => {
  const felt = (method: string) =>
    entry("feel", { phase: "set", method, of: 40, judged: { verdict: "inside", side: null }, places: [] });
  const paper = felt("paper strip");
  const of = (entries: Entry[]) => jobRecord(entries, stageWith([], false)).things.map(({ thing }) => thing);
  expect(of([felt("by hand")])).toEqual([]);
  expect(of([paper, felt("paper strip")])).toEqual(["paper strip"]);
  const again = felt("paper strip");
  const out = entry("loose-thing", { thing: "paper strip", state: "out", where: "" }, { namesEntry: again.id });
  expect(of([paper, again, out])).toEqual([]);
  expect(of([paper, again, out, felt("paper strip")])).toEqual(["paper strip"]);
});

test("a voided round no longer counts as found", () => {
  const wrong = round("as-found");
  const right = round("as-found", "undecided");
  const record = jobRecord(
    [wrong, right, entry("correction", { voids: true }, { namesEntry: wrong.id })],
    stageWith([], true),
  );
  expect(record.asFound?.id).toBe(right.id);
});

test("a move teaches only alone between two rounds, under the present adjuster, and not through the lock-up", () => {
  const entries = [
    round("as-found", "conforms", [0.1, 0.2]),
    move(0.25),
    round("set", "conforms", [0.3]),
    move(0.1),
    move(0.1),
    round("set"),
    entry("move", { amount: 0.3, teaches: true }, { adjusterId: "old" }),
    round("set"),
    move(0.4),
    round("check"),
  ];
  const moves = pastMoves(entries, "a1", 1.25);
  expect(moves.map(({ amount, teaches }) => [amount, teaches])).toEqual([
    [0.25, true],
    [0.3, false],
  ]);
  expect(moves[0]?.before).toContainEqual({ tooth: 1, value: 0.1 });
  // 1.25 in all, 0.85 of it in these entries: the first began 0.4 from where it was entered.
  expect(moves[0]?.from).toBeCloseTo(0.4, 12);
});

test("after two moves with one reading each the whole round is still known", () => {
  const at = (tooth: number, value: number) => ({ tooth, angleDeg: (tooth - 1) * 9, value, struck: false });
  const on = (phase: string, readings: unknown[]) =>
    entry("round", { phase, result: { verdict: "conforms" } }, { stageId: "s", readings } as never);
  const rounds = [
    on("as-found", [at(1, 0.1), at(11, 0.14), at(31, 0.12)]),
    on("set", [at(1, 0.2)]),
    on("set", [at(1, 0.15)]),
  ];
  const [known] = knownRounds(rounds, "s");
  expect(known?.readings.map(({ tooth, value }) => [tooth, Number(value.toFixed(6))])).toEqual([
    [1, 0.15],
    [11, 0.19],
    [31, 0.17],
  ]);
});

test("a round in one gear says nothing of the round in another, which is still known after it", () => {
  const at = (tooth: number, value: number) => ({ tooth, angleDeg: (tooth - 1) * 9, value, struck: false });
  const inGear = (gear: string, phase: string, readings: unknown[]) =>
    entry("round", { phase, result: { verdict: "conforms", gear } }, { stageId: "s", readings } as never);
  const known = knownRounds(
    [
      inGear("low", "as-found", [at(1, 0.1), at(11, 0.14), at(31, 0.12)]),
      inGear("high", "as-found", [at(1, 0.3), at(11, 0.34), at(31, 0.32)]),
      inGear("low", "set", [at(1, 0.2)]),
    ],
    "s",
  );
  const values = (gear: string) => knownIn(known, gear, null)?.readings.map(({ value }) => Number(value.toFixed(6)));
  expect(values("low")).toEqual([0.2, 0.24, 0.22]);
  expect(values("high")).toEqual([0.3, 0.34, 0.32]);
  expect(knownIn(known, undefined, null)).toBeNull();
});

test("what the exchanged gear read is not known of the one that is in now", () => {
  const at = (tooth: number, value: number) => ({ tooth, angleDeg: (tooth - 1) * 9, value, struck: false });
  const known = knownRounds(
    [
      entry("round", { phase: "as-found", result: { verdict: "conforms", teeth: [18, 72] } }, {
        stageId: "s",
        readings: [at(1, 0.1), at(11, 0.14), at(31, 0.12)],
      } as never),
    ],
    "s",
  );
  expect(knownIn(known, undefined, [18, 72])?.readings).toHaveLength(3);
  expect(knownIn(known, undefined, [20, 72])).toBeNull();
});
