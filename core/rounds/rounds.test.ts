import { describe, expect, test } from "vitest";
import { spurPair } from "../gears";
import { mustHold } from "../quantity";
import type { StageElement } from "../stages";
import { carryRound } from "./carry";
import { goesRound } from "./goes-round";
import { questionable } from "./outliers";
import { typedRound } from "./typed-round";

const element: StageElement = { kind: "gear-pair", pair: spurPair([20, 40], 2, 60), parts: {} };
const instrument = { resolution: 0.01, expandedUncertainty: 0.006, coverage: 2 };
const typed = (tooth: number, text: string, struck = false) => ({ tooth, turn: 1, typed: text, struck });
const at = (gearAngleDeg: number, value: number) => ({ tooth: (gearAngleDeg % 360) / 30 + 1, gearAngleDeg, value });

describe("carrying a round over a move", () => {
  const earlier = [at(0, 0.1), at(120, 0.14), at(240, 0.12)];
  test("the rest moves with the tooth read again, also one turn later", () => {
    const carried = carryRound(earlier, [at(360, 0.15)]);
    expect(carried?.map((r) => Number(r.value.toFixed(6)))).toEqual([0.19, 0.17, 0.15]);
  });
  test("nothing in common: nothing is made up", () => {
    expect(carryRound(earlier, [at(60, 0.15)])).toBeNull();
  });
});

describe("outliers", () => {
  const wave = (angle: number) => 0.15 - 0.03 * Math.cos(((angle - 40) * Math.PI) / 180);
  const angles = Array.from({ length: 12 }, (_, i) => i * 30);
  test("a wild reading is questioned, its neighbours are not", () => {
    const readings = angles.map((angle) => at(angle, Number(wave(angle).toFixed(2)) + (angle === 210 ? 0.2 : 0)));
    expect(questionable(readings, 0.03)).toEqual([7]);
  });
  test("two wild ones do not hide each other", () => {
    const readings = angles.map((angle) =>
      at(angle, wave(angle) + (angle === 210 || angle === 300 ? 0.2 : 0.002 * (angle % 7))),
    );
    expect(questionable(readings, 0.03)).toEqual([7, 10]);
  });
  test("an eccentric gear read well raises no question", () => {
    expect(
      questionable(
        angles.map((angle) => at(angle, Number(wave(angle).toFixed(2)))),
        0.03,
      ),
    ).toEqual([]);
  });
});

describe("typed readings", () => {
  test("an indicator at half the working radius reads half", () => {
    const values = mustHold(
      typedRound(element, instrument, { indicatorRadiusMm: 20, indicatorAngleDeg: 0 }, [typed(1, "0.05")]),
    );
    expect(values.readings[0]?.value).toBeCloseTo(0.1, 12);
    expect(values.expandedUncertainty).toBeCloseTo(2 * 2 * Math.hypot(0.01 / Math.sqrt(6), 0.003), 12);
  });
  test("scattering repeats widen the uncertainty, struck ones do not", () => {
    const scattered = [
      typed(1, "0.10"),
      typed(1, "0.14"),
      typed(5, "0.20"),
      typed(5, "0.16"),
      typed(9, "0.1"),
      typed(9, "0.13"),
    ];
    const method = { indicatorRadiusMm: null, indicatorAngleDeg: 0 };
    const wide = mustHold(typedRound(element, instrument, method, scattered));
    const calm = mustHold(
      typedRound(
        element,
        instrument,
        method,
        scattered.map((r, i) => ({ ...r, struck: i % 2 === 1 })),
      ),
    );
    expect(wide.expandedUncertainty).toBeGreaterThan(4 * calm.expandedUncertainty);
  });
  test("a tooth that the gear does not have is named", () => {
    const refused = typedRound(element, instrument, { indicatorRadiusMm: null, indicatorAngleDeg: 0 }, [
      typed(41, "0.1"),
    ]);
    expect(refused).toMatchObject({ ok: false, refusal: { code: "no-such-tooth", path: ["readings", 0, "tooth"] } });
  });
});

test.each([
  [[0, 90, 180], true],
  [[0, 120, 240], true],
  [[0, 57, 114], false],
  [[0, 180], true],
  [[10], false],
  // Read on over several turns.
  [[0, 400, 560], true],
  [[0, 360, 720], false],
])("places at %j go round: %s", (angles, round) => expect(goesRound(angles)).toBe(round));
