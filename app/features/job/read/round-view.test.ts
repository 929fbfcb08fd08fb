import { describe, expect, test } from "vitest";
import type { KnownRound } from "~/core/rounds";
import { testInstrument, testStage } from "~/tests/stage";
import { roundView } from "./round-view";

const stage = testStage("s");
const instrument = testInstrument("i");
const reading = (tooth: number, typed: string, struck = false) => ({ tooth, turn: 1, typed, struck, repeats: null });
const view = (
  readings: ReturnType<typeof reading>[],
  more: { open?: { typed: string; tooth: number }; known?: KnownRound; phase?: "set" } = {},
) =>
  roundView({
    stage,
    instrument,
    method: { quantity: "circumferential-backlash", indicatorRadiusMm: null, indicatorAngleDeg: 0 },
    phase: more.phase ?? "as-found",
    readings,
    open: more.open ?? null,
    known: more.known ?? null,
    response: undefined,
  });

const loose = [reading(1, "0.30"), reading(11, "0.32"), reading(21, "0.34"), reading(31, "0.32")];

describe("while one types", () => {
  test("nothing typed, nothing shown; the first sign counts at once", () => {
    expect(view([])).toBeNull();
    expect(view([], { open: { typed: "about", tooth: 1 } })).toBeNull();
    expect(view([], { open: { typed: "0.3", tooth: 1 } })?.readings).toMatchObject([
      { tooth: 1, value: 0.3, open: true, state: "outside" },
    ]);
  });

  test("a move from three places on, standing at the tight one; before that it says nothing of it", () => {
    expect(view(loose.slice(0, 2))?.standTooth).toBeNull();
    const full = view(loose);
    expect(full).toMatchObject({ standTooth: 1, state: "outside", carried: false });
    expect(full?.move?.amount).toBeLessThan(0);
    expect(full?.move?.min).toBeCloseTo(0.15, 2);
    // The dashed line lies as far inside the fitted one as the move should bring it.
    const shift = (full?.predicted?.(90) ?? 0) - (full?.fitted?.(90) ?? 0);
    expect(shift).toBeCloseTo((full?.move?.min ?? 0) - (full?.now.min ?? 0), 9);
  });

  test("a struck reading is shown and does not count", () => {
    const struck = view([...loose, reading(36, "0.01", true)]);
    expect(struck?.readings).toHaveLength(5);
    expect(struck?.now.min).toBeGreaterThan(0.29);
  });

  test("inside all round: no move, no dashed line", () => {
    const calm = view([reading(1, "0.16"), reading(11, "0.17"), reading(21, "0.18"), reading(31, "0.17")]);
    expect(calm).toMatchObject({ state: "inside", move: null, predicted: null });
  });
});

test("while setting, one reading at the tight spot tells the whole round, and says that it was carried over", () => {
  const known: KnownRound = {
    id: "r",
    readings: [1, 11, 21, 31].map((tooth, i) => ({
      tooth,
      gearAngleDeg: (tooth - 1) * 9,
      value: 0.3 + 0.02 * (i % 3),
    })),
  };
  const carried = view([reading(1, "0.15")], { known, phase: "set" });
  expect(carried).toMatchObject({ carried: true, standTooth: 1, state: "inside" });
  // 0.15 and 0.19 read; the fitted worst over the hunting cycle lies a little beyond.
  expect(carried?.now.min).toBeCloseTo(0.143, 3);
  expect(carried?.now.max).toBeCloseTo(0.19, 3);
  expect(view([reading(1, "0.15"), reading(11, "0.2"), reading(21, "0.2")], { known, phase: "set" })?.carried).toBe(
    false,
  );
});
