import { describe, expect, test } from "vitest";
import { spurPair } from "../gears";
import { mustHold } from "../quantity";
import type { ReadingAt } from "../rounds";
import { assessRound, type StageToAssess } from "./assess-round";

const stage: StageToAssess = {
  element: { kind: "gear-pair", pair: spurPair([17, 68], 1.5, 63.98), parts: {} },
  limits: { lo: 0.08, hi: 0.18 },
  adjuster: { type: "slide", angleDeg: 0 },
};
const round = (count: number, wild?: number): ReadingAt[] =>
  Array.from({ length: count }, (_, i) => ({
    gearAngleDeg: (Math.round((i * 68) / 13) * 360) / 68,
    value: i === wild ? 0.55 : 0.1 + 0.01 * (i % 3),
  }));

describe("a round as far as it is read", () => {
  test("one or two readings give advice, but no fit", () => {
    const assessed = mustHold(assessRound(stage, round(2), 0.01));
    expect(assessed).toMatchObject({ fit: null, questioned: [] });
    expect(assessed.advice.verdict).toBe("conforms");
  });

  test("the pinion is not blamed before ten places are read", () => {
    expect(mustHold(assessRound(stage, round(9), 0.01)).fit?.harmonics.pinion).toBeNull();
    expect(mustHold(assessRound(stage, round(13), 0.01)).fit?.harmonics.pinion).not.toBeNull();
  });

  test("a wild reading is named, and does not become a wave far below nothing", () => {
    const assessed = mustHold(assessRound(stage, round(8, 6), 0.01));
    expect(assessed.questioned).toEqual([6]);
    expect(assessed.fit?.least.value).toBeGreaterThan(-0.1);
  });

  test("without readings there is nothing to judge; without an adjuster it is judged and nothing is moved", () => {
    const judged = mustHold(assessRound({ ...stage, adjuster: null }, round(8, 6), 0.01));
    expect(judged.advice).toMatchObject({ verdict: "does-not-conform", move: null, steps: [] });
    expect(assessRound(stage, [], 0.01)).toMatchObject({ ok: false, refusal: { code: "no-readings" } });
  });
});
