import { describe, expect, test } from "vitest";
import { spurPair } from "../gears";
import { mustHold } from "../quantity";
import { assessRound, type BacklashAt, type StageToAssess } from "./assess-round";

const stage: StageToAssess = {
  pair: spurPair([17, 68], 1.5, 63.98),
  limits: { lo: 0.08, hi: 0.18 },
  adjuster: { type: "slide", angleDeg: 0 },
};
const round = (count: number, wild?: number): BacklashAt[] =>
  Array.from({ length: count }, (_, i) => ({
    gearAngleDeg: (Math.round((i * 68) / 13) * 360) / 68,
    backlashMm: i === wild ? 0.55 : 0.1 + 0.01 * (i % 3),
  }));

describe("a round as far as it is read", () => {
  test("one or two readings give advice, but no fit", () => {
    const assessed = mustHold(assessRound(stage, round(2), 0.01));
    expect(assessed).toMatchObject({ fit: null, harmonics: null, questioned: [] });
    expect(assessed.advice.verdict).toBe("conforms");
  });

  test("the pinion is not blamed before ten places are read", () => {
    expect(mustHold(assessRound(stage, round(9), 0.01)).fit?.pinion).toBeNull();
    expect(mustHold(assessRound(stage, round(13), 0.01)).fit?.pinion).not.toBeNull();
  });

  test("a wild reading is named, and does not become a wave far below nothing", () => {
    const assessed = mustHold(assessRound(stage, round(8, 6), 0.01));
    expect(assessed.questioned).toEqual([6]);
    expect(assessed.fit?.worstTight.backlashMm).toBeGreaterThan(-0.1);
  });

  test("the refusal of an impossible pair comes through with its field", () => {
    const broken = { ...stage, pair: { ...stage.pair, centreDistanceMm: 40 } };
    expect(assessRound(broken, round(5), 0.01)).toMatchObject({ ok: false, refusal: { path: ["centreDistanceMm"] } });
    expect(assessRound(stage, [], 0.01)).toMatchObject({ ok: false, refusal: { code: "no-readings" } });
  });
});
