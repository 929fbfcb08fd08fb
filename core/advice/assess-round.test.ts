import { describe, expect, test } from "vitest";
import { toothedBelt } from "../../tests/elements";
import { spurPair } from "../gears";
import { mustHold } from "../quantity";
import { judgedBy, sensitivityOf } from "../stages";
import { assessRound, type RoundToAssess } from "./assess-round";
import { learnFromMoves } from "./learn";

const read = (values: readonly number[], places = 68): RoundToAssess["readings"] =>
  values.map((value, i) => ({
    tooth: Math.round((i * places) / values.length) + 1,
    angleDeg: (Math.round((i * places) / values.length) * 360) / places,
    value,
    struck: false,
  }));
const stage: RoundToAssess = {
  element: { kind: "gear-pair", pair: spurPair([17, 68], 1.5, 63.98), parts: {} },
  limits: { lo: 0.08, hi: 0.18 },
  adjuster: { type: "slide", angleDeg: 0 },
  readings: [],
  expandedUncertainty: 0.01,
  how: "as-found",
  known: null,
};
const round = (count: number, wild?: number) =>
  read(Array.from({ length: count }, (_, i) => (i === wild ? 0.55 : 0.1 + 0.01 * (i % 3))));

describe("a round as far as it is read", () => {
  test("one or two readings give advice, but no fit", () => {
    const { judged, advice } = mustHold(assessRound({ ...stage, readings: round(2) }));
    expect(judged).toMatchObject({ fit: null, questioned: [], verdict: "conforms" });
    expect(advice?.move).toBeNull();
  });

  test("the pinion is not blamed before ten places are read", () => {
    const pinion = (count: number) =>
      mustHold(assessRound({ ...stage, readings: round(count) })).judged.fit?.harmonics.pinion;
    expect(pinion(9)).toBeNull();
    expect(pinion(13)).not.toBeNull();
  });

  test("a wild reading is named, and does not become a wave far below nothing", () => {
    const { judged } = mustHold(assessRound({ ...stage, readings: round(8, 6) }));
    expect(judged.questioned).toEqual([6]);
    expect(judged.fit?.least.value).toBeGreaterThan(-0.1);
  });

  test("without readings there is nothing to judge; without an adjuster it is judged and nothing is moved", () => {
    const { judged, advice } = mustHold(assessRound({ ...stage, adjuster: null, readings: round(8, 6) }));
    expect(judged.verdict).toBe("does-not-conform");
    expect(advice).toBeNull();
    expect(assessRound(stage)).toMatchObject({ ok: false, refusal: { code: "all-struck" } });
  });
});

describe("a belt whose stiffness is a guess", () => {
  const limits = { lo: 180, aim: 220, hi: 260 };
  const adjuster = { type: "slide" as const, angleDeg: 0 };
  const first = (element: typeof toothedBelt, values: readonly number[]) => {
    const sensitivity = sensitivityOf(element, 220, 220) as number;
    const response = learnFromMoves(element, adjuster, sensitivity, []);
    const base = { ...stage, element, limits, adjuster, readings: read(values, 24), expandedUncertainty: 6, response };
    return { ...mustHold(assessRound(base)), sensitivity, response };
  };

  test("is moved a safe part of the way, and the sentence can say so", () => {
    const guessed = first({ ...toothedBelt, stiffnessN: null }, [60, 62, 61, 60]);
    expect(guessed.advice?.reasons).toContain("guessed-stiffness");
    expect(guessed.advice?.reasons).not.toContain("provisional");
    // At a stiffness e^(z·ln 1.6) times the guess the greatest reading still stays below the upper limit less U.
    const stiffest = guessed.sensitivity * Math.exp(2.5758293 * Math.log(1.6));
    expect(62 + stiffest * (guessed.advice?.move?.amount ?? 0)).toBeLessThanOrEqual(260 - 6 + 1e-6);
    expect(guessed.advice?.move?.amount).toBeGreaterThan(0);
    expect(judgedBy(toothedBelt)).toBe("tension");
  });

  test("one of known stiffness goes all the way at once", () => {
    const known = first(toothedBelt, [60, 62, 61, 60]);
    expect(known.advice?.reasons).not.toContain("guessed-stiffness");
    expect(known.advice?.predicted.min).toBeGreaterThan(200);
  });
});
