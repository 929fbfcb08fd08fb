import { describe, expect, test } from "vitest";
import { twoSpeeds } from "~/tests/elements";
import { testStage } from "~/tests/stage";
import { buildEntry, workInput } from "../build-entry";
import { checkInput } from "../input";

const plain = testStage("s");
const stage = { ...plain, geometry: { ...plain.geometry, element: twoSpeeds } };
const live = [{ kind: "live", stageId: null, seq: 1, body: {} }] as never;

function put(work: object, entries: never = [] as never) {
  const checked = checkInput(workInput, work);
  if (!checked.ok) throw new Error(JSON.stringify(checked.refusal));
  const built = buildEntry(checked.value, stage, [], entries);
  return built.ok ? built.value.body : `${built.refusal.code} at ${built.refusal.path.join(".")}`;
}

describe("the shift of a sliding gear", () => {
  const shift = (stops: object, engaged: object[] = [], more = {}) => put({ kind: "shift", stops, engaged, ...more });

  test("is judged by its faces as it was measured", () => {
    // Slider 8 wide; the right mate lies from 9 to 17, so that at 11 two of its eight mm are out, and a spacer 2 thicker brings it back.
    expect(shift({ left: "-12", right: "11" }, [{ gear: "high", how: "tooth on tooth" }])).toMatchObject({
      gears: ["low", "high"],
      stops: { leftMm: -12, rightMm: 11 },
      travel: { left: { ok: true, share: 1 }, right: { ok: false, share: 0.75, spacerChangeMm: 2 }, neutralOk: true },
      engaged: [{ gear: "high", how: "tooth on tooth" }],
      actuator: null,
    });
    expect(shift({ left: "-12", right: "9" }, [], { actuator: { left: "1100", right: "1890" } })).toMatchObject({
      actuator: { left: 1100, right: 1890, unit: "µs" },
    });
  });

  test.each([
    [{ left: "", right: "" }, [], "missing at stops.left"],
    [{ left: "-12", right: "" }, [], "empty at stops.right"],
    [{ left: "12", right: "-9" }, [], "window-upside-down at stops.left"],
    [{ left: "-12", right: "9 kg" }, [], "wrong-dimension at stops.right"],
    [{ left: "", right: "" }, [{ gear: "third", how: "goes in" }], "no-such-gear at engaged.0.gear"],
  ])("%j %j is refused: %s", (stops, engaged, refused) => {
    expect(shift(stops, engaged)).toBe(refused);
  });
});

describe("the force of its actuator", () => {
  const sweep = (currents: readonly string[], entries: never = live, more = {}) =>
    put(
      {
        kind: "sweep",
        unit: "bar",
        gear: "low",
        points: currents.map((current, i) => ({ force: String(2 + i), current })),
        ...more,
      },
      entries,
    );

  test("is flat where the stop carries it, and rises where the mesh does", () => {
    expect(sweep(["1.02", "1.03", "1.02", "1.03", "1.03"])).toMatchObject({
      verdict: "flat",
      gear: "low",
      cause: null,
    });
    expect(sweep(["1.02", "1.1", "1.18", "1.26", "1.34"])).toMatchObject({ verdict: "rises", cause: "follows" });
  });

  test("is no finer than the figures were written, unless the meter's step is said", () => {
    expect(sweep(["1.0", "1.0", "1.0"])).toMatchObject({
      verdict: "undecided",
      resolutionA: 0.1,
      resolutionSaid: false,
    });
    expect(sweep(["1.0", "1.0", "1.0"], live, { step: "1 mA" })).toMatchObject({
      verdict: "flat",
      resolutionA: 0.001,
      resolutionSaid: true,
    });
  });

  test.each([
    [["1.02", "1.03"], live, {}, "too-few-readings at points"],
    [["1.02", "1.03", "x"], live, {}, "not-a-number at points.2.current"],
    [["1.02", "1.03", "0"], live, {}, "too-small at points.2.current"],
    [["1.02", "1.03", "1.02"], [] as never, {}, "not-live at points"],
    [["1.02", "1.03", "1.02"], live, { gear: "third" }, "no-such-gear at gear"],
    [["1.02", "1.03", "1.02"], live, { step: "fine" }, "not-a-number at step"],
  ])("%j is refused", (currents, entries, more, refused) => {
    expect(sweep(currents, entries, more)).toBe(refused);
  });
});

test("a stop is moved by its own law, in the gear that is named; without one the stage's adjuster is", () => {
  const move = (amount: number, more = {}) =>
    put({ kind: "move", amount, did: "so", advised: null, reasons: [], note: "", stock: [], ...more });
  // Thicker parts low and closes high.
  expect(move(0.1, { gear: "low" })).toMatchObject({ gear: "low", unit: "mm-of-shim", direction: "apart" });
  expect(move(0.1, { gear: "high" })).toMatchObject({ gear: "high", direction: "together" });
  expect(move(0.1)).toMatchObject({ unit: "mm", direction: "apart" });
  expect(move(0.1, { gear: "third" })).toBe("no-such-gear at method.gear");
});
