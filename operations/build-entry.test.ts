import { describe, expect, test } from "vitest";
import type { Bodies, Entry, EntryKind } from "../core/logbook";
import type { Instrument, Stage } from "../core/records";
import { testInstrument, testStage } from "../tests/stage";
import { buildEntry, type Work, workInput } from "./build-entry";
import { liveChecks } from "./entries/power";

const stage = testStage("01a2124d-3f96-7055-baee-acd6aaaaaa01");
const ids = ["01a2124d-3f96-7055-baee-acd6aaaaaa11", "01a2124d-3f96-7055-baee-acd6aaaaaa12"] as const;
const coarse = testInstrument(ids[0]);
const fine: Instrument = { ...testInstrument(ids[1]), resolution: 0.002, expandedUncertainty: 0.003 };

let count = 0;
/** An entry as the logbook holds it. */
function entry<K extends EntryKind>(kind: K, body: Bodies[K], more: Partial<Entry> = {}): Entry {
  const seq = ++count;
  const id = `01a2124d-3f96-7055-baee-${String(seq).padStart(12, "0")}`;
  return { id, seq, kind, body, stageId: stage.id, readings: [], namesEntry: null, ...more } as Entry;
}
const isolated = () =>
  entry("isolated", { lock: "4", noLock: null, acknowledged: [], notAcknowledged: [] }, { stageId: null });
const live = () => entry("live", { acknowledged: [], saw: [], notKnown: [] }, { stageId: null });

const build = (work: Work, entries: readonly Entry[] = [], of: Stage = stage, stages = [of]) =>
  buildEntry(workInput.parse(work), of, [coarse, fine], entries, stages);
/** The body, or "code path" of the refusal. */
function bodyOf(...asked: Parameters<typeof build>): unknown {
  const built = build(...asked);
  return built.ok ? built.value.body : `${built.refusal.code} ${built.refusal.path.join(".")}`;
}

const way = { indicatorRadiusMm: null, indicatorAngleDeg: 0, temperatureC: null, sense: "clockwise" } as const;
const round = (instrumentId: string, read: Record<number, string>, more: object = {}): Work => ({
  kind: "round",
  phase: "set",
  method: { ...way, instrumentId },
  readings: Object.entries(read).map(([tooth, typed]) => ({
    tooth: Number(tooth),
    turn: 1,
    typed,
    struck: false,
    repeats: null,
  })),
  ...more,
});

describe("a round gone on with by another instrument", () => {
  const first = build(round(coarse.id, { 1: "0.15", 11: "0.16", 21: "0.18" }));
  if (!first.ok) throw new Error(first.refusal.code);
  const begun = entry("round", first.value.body as Bodies["round"], { readings: first.value.readings });
  const goneOn = (with_: Instrument) =>
    bodyOf(round(with_.id, { 31: "0.16" }, { continues: begun.id }), [begun]) as Bodies["round"];
  /** A step at zero and at the reading as r/√6, and the certificate (JCGM 100). */
  const good = ({ resolution: r, expandedUncertainty: u, coverage: k }: Instrument) =>
    2 * Math.sqrt(r ** 2 / 6 + (u / k) ** 2);

  test("is as good as its coarser readings, of what each is good to and not of its certificate", () => {
    // 2·√((0.01/√6)² + 0.003²) = 0.0101 mm of the coarse one, whose certificate says 0.006.
    expect(begun.body).toMatchObject({ result: { expandedUncertainty: expect.closeTo(0.0101, 4) } });
    expect(goneOn(fine).result.expandedUncertainty).toBeCloseTo(good(coarse), 9);
    expect(goneOn(coarse).result.expandedUncertainty).toBeCloseTo(good(coarse), 9);
    expect(good(fine)).toBeLessThan(0.006);
  });

  test("counts the readings of both, and is refused once something was moved", () => {
    expect(goneOn(fine).result).toMatchObject({ count: 4, min: 0.15, max: 0.18, tightTooth: 1 });
    const moved = entry("move", { amount: 0.1, direction: "apart" } as Bodies["move"]);
    expect(bodyOf(round(fine.id, { 31: "0.16" }, { continues: begun.id }), [begun, moved])).toBe(
      "no-such-round continues",
    );
  });
});

describe("a move", () => {
  const move = (amount: number, more: object = {}): Work => ({
    kind: "move",
    amount,
    did: "so",
    advised: null,
    reasons: [],
    note: "",
    ...more,
  });
  const with_ = (adjuster: Stage["adjuster"]["adjuster"]): Stage => ({
    ...stage,
    adjuster: { ...stage.adjuster, adjuster },
  });
  const oneWay = { type: "screw", leadMm: 1, angleDeg: 0, oneWay: true, springReturn: false } as const;

  test("says which way the centres went, in the adjuster's unit", () => {
    expect(bodyOf(move(0.1))).toMatchObject({ unit: "mm", direction: "apart", teaches: true });
    expect(bodyOf(move(-0.1))).toMatchObject({ direction: "together" });
    // A screw that pulls the parts together when it is driven in.
    expect(bodyOf(move(0.5), [], with_({ ...oneWay, angleDeg: 180 }))).toMatchObject({
      unit: "turns",
      direction: "together",
    });
  });

  test("whose part was brought back by hand teaches nothing of a screw that can only push", () => {
    expect(bodyOf(move(-0.5), [], with_(oneWay))).toMatchObject({ teaches: false });
    expect(bodyOf(move(0.5), [], with_(oneWay))).toMatchObject({ teaches: true });
    expect(bodyOf(move(-0.5), [], with_({ ...oneWay, springReturn: true }))).toMatchObject({ teaches: true });
  });

  test("is refused where nothing can be moved, by nothing, or in the unit of an adjuster that was revised since", () => {
    expect(bodyOf(move(0.1), [], with_(null))).toBe("nothing-to-adjust amount");
    expect(bodyOf(move(0))).toBe("no-amount amount");
    expect(bodyOf(move(0.1, { adjusterId: ids[0] }))).toBe("adjuster-revised amount");
  });

  test("by shims is what the stack grew by, and pieces carried across are the same pieces", () => {
    const piece = (thicknessMm: number, n = 1) => ({ thicknessMm, count: n });
    const stack = { was: [piece(0.5)], now: [piece(0.5), piece(0.1)] };
    const shims = with_({ type: "shims", perMm: 1 });
    expect(bodyOf(move(0.1, { stack }), [], shims)).toMatchObject({ unit: "mm-of-shim", stack });
    expect(bodyOf(move(0.2, { stack }), [], shims)).toBe("stack-is-not-the-move stack");
    const other = { was: [piece(0.1), piece(0.3)], now: [piece(0.3)] };
    expect(bodyOf(move(0.1, { stack: { ...stack, other } }), [], shims)).toMatchObject({ stack: { other } });
    const stray = { ...other, now: [piece(0.3), piece(0.2)] };
    expect(bodyOf(move(0.1, { stack: { ...stack, other: stray } }), [], shims)).toBe("sides-do-not-add-up stack");
  });
});

test("a clamp has the torque of its pass, the full one on the last, and none where it is let go", () => {
  const clamp = (pass: number, state: "eased" | "snug" | "firm", n = 1): Work => ({
    kind: "clamp",
    clamp: n,
    pass,
    state,
  });
  // 9 N·m in two passes.
  expect(bodyOf(clamp(1, "snug"))).toMatchObject({ clamp: 1, of: 1, passes: 2, torqueNm: 4.5 });
  expect(bodyOf(clamp(2, "firm"))).toMatchObject({ torqueNm: 9 });
  expect(bodyOf(clamp(7, "firm"))).toMatchObject({ torqueNm: 9 });
  expect(bodyOf(clamp(0, "eased"))).toMatchObject({ torqueNm: null });
  expect(bodyOf(clamp(1, "snug", 2))).toBe("no-such-clamp clamp");
});

test("what was put in comes out under the name and from the place where it was put, and once", () => {
  const put = entry("loose-thing", { thing: "paper strip", state: "in", where: "under the pinion" });
  const out: Work = { kind: "loose-thing", state: "out", names: put.id };
  expect(build(out, [put])).toMatchObject({
    value: { body: { thing: "paper strip", state: "out", where: "under the pinion" }, namesEntry: put.id },
  });
  const taken = entry("loose-thing", { thing: "paper strip", state: "out", where: "" }, { namesEntry: put.id });
  expect(bodyOf(out, [put, taken])).toBe("already-out names");
});

describe("power", () => {
  const said = (key: string) => ({ key, text: key });
  const goLive: Work = { kind: "live", acknowledged: liveChecks.map(said) };
  test("is held off by a lock or by what took its place, and never by both or neither", () => {
    const off = (lock: string, noLock: string | null): Work => ({
      kind: "isolated",
      lock,
      noLock: noLock === null ? null : said(noLock),
      acknowledged: [],
      notAcknowledged: [],
    });
    expect(bodyOf(off("17", null))).toMatchObject({ lock: "17", noLock: null });
    expect(bodyOf(off("", "plug"))).toMatchObject({ lock: null, noLock: said("plug") });
    expect(bodyOf(off("", null))).toBe("empty lock");
    expect(bodyOf(off("17", "plug"))).toBe("lock-and-none lock");
  });

  test("comes on when each question was answered, and the log keeps what stood open and what nobody had said", () => {
    const put = entry("loose-thing", { thing: "feeler", state: "in", where: "" });
    expect(bodyOf(goLive, [put])).toMatchObject({
      saw: [expect.stringContaining("feeler")],
      notKnown: [expect.stringContaining("clamp")],
    });
    const forgot = { ...goLive, acknowledged: goLive.acknowledged.slice(1) };
    expect(bodyOf(forgot)).toBe(`not-acknowledged acknowledged.${liveChecks[0]}`);
  });
});

describe("a run", () => {
  const run = (more: object): Work => ({
    kind: "proof",
    way: "powered",
    outcome: "ran",
    direction: "forwards",
    speed: "slow",
    current: "",
    temperature: "",
    noise: "",
    ...more,
  });
  test("goes under power while it is live, and by hand while it is isolated", () => {
    expect(bodyOf(run({ noise: "quiet" }), [isolated()])).toBe("not-live way");
    expect(bodyOf(run({ noise: "quiet", way: "by-hand" }), [isolated(), live()])).toBe("not-isolated way");
    expect(bodyOf(run({ noise: "quiet", way: "by-hand" }), [isolated()])).toMatchObject({ way: "by-hand" });
    expect(bodyOf(run({ noise: "quiet" }), [])).toBe("not-live way");
  });
  test("keeps what was measured in one unit, and what was not as not known", () => {
    expect(bodyOf(run({ current: "850 mA", temperature: "104 °F" }), [live()])).toMatchObject({
      currentA: 0.85,
      temperatureC: expect.closeTo(40, 9),
      noise: "",
    });
    expect(bodyOf(run({ outcome: "stalled" }), [live()])).toMatchObject({ currentA: null, temperatureC: null });
    expect(bodyOf(run({ current: "some" }), [live()])).toBe("not-a-number current");
  });
  test("that went well has something to show for it", () => {
    expect(bodyOf(run({}), [live()])).toBe("nothing-noted noise");
  });
});

test("something read beside it is judged by limits of its own, and only kept where it has none", () => {
  const side: Work = { kind: "side", quantity: "end-float", instrumentId: coarse.id, typed: ["0.05", "0.2"] };
  expect(bodyOf(side)).toMatchObject({ count: 2, min: 0.05, max: 0.2, limits: null, verdict: null });
  const limits = { id: "l", revision: 1, quantity: "end-float", sourceKind: "drawing", source: "D", effectiveFrom: "" };
  const judged = { ...stage, sideLimits: [{ ...limits, lo: 0, hi: 0.1 }] } as Stage;
  expect(bodyOf(side, [], judged)).toMatchObject({ verdict: "does-not-conform" });
  // Nothing is not too little.
  expect(bodyOf({ ...side, typed: ["0"] }, [], judged)).toMatchObject({ verdict: "conforms" });
  expect(bodyOf({ ...side, typed: ["-0.1"] })).toBe("below-nothing typed.0");
  expect(bodyOf({ ...side, instrumentId: "01a2124d-3f96-7055-baee-acd6aaaaaa19" })).toBe(
    "no-such-instrument instrumentId",
  );
});

test("readings of a gear that has been exchanged since are not taken for the new one's", () => {
  expect(bodyOf(round(coarse.id, { 1: "0.15" }, { teeth: [20, 41] }))).toBe("gear-exchanged readings");
  expect(bodyOf(round(coarse.id, { 1: "0.15" }, { teeth: [20, 40] }))).toMatchObject({ phase: "set" });
});
