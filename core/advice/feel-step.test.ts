import { describe, expect, test } from "vitest";
import type { FeelGrade } from "../stages";
import { type FeelStepQuestion, type FeltMove, feelStep } from "./feel-step";

const slot: FeelStepQuestion = {
  quantity: "backlash",
  adjuster: { type: "slide", angleDeg: 0 },
  sensitivity: 0.75,
  band: 0.09,
  smallest: 0,
  way: "looser",
  felt: [5, 3],
  moves: [],
};
const felt = (amount: number, from: FeelGrade, to: FeelGrade): FeltMove => ({
  amount,
  before: [1, 9].map((tooth) => ({ tooth, grade: from })),
  after: [1, 9].map((tooth) => ({ tooth, grade: to })),
});

describe("the step by feel", () => {
  test("one word is a third of the band, by the adjuster's own law, either way", () => {
    // 0.03 of backlash at 0.75 a mm.
    expect(feelStep(slot)?.amount).toBeCloseTo(0.04, 9);
    expect(feelStep({ ...slot, way: "tighter" })?.amount).toBeCloseTo(-0.04, 9);
    const screw = { ...slot, adjuster: { type: "screw", leadMm: 0.8, angleDeg: 0 } } as FeelStepQuestion;
    expect(feelStep({ ...screw, smallest: 1 / 16 })?.amount).toBeCloseTo(1 / 16, 9);
    // A belt is tighter where its centres part.
    const belt = { ...slot, quantity: "tension", sensitivity: 60, band: 36 } as FeelStepQuestion;
    expect(feelStep({ ...belt, way: "tighter" })?.amount).toBeCloseTo(0.2, 9);
  });

  test("as many words as take no place beyond right: all binding, all knocking, and one place that is right already", () => {
    const words = (way: "tighter" | "looser", ...grades: FeelGrade[]) =>
      feelStep({ ...slot, way, felt: grades })?.words;
    expect(words("looser", 5, 5, 5)).toBe(3);
    expect(words("looser", 5, 4, 4)).toBe(2);
    expect(words("looser", 5, 3, 1)).toBe(1);
    expect(words("tighter", 1, 1)).toBe(3);
    expect(words("tighter", 2, 1)).toBe(2);
    expect(words("tighter", 3, 1)).toBe(1);
  });

  test("two moves teach nothing yet; after three the step follows what they did", () => {
    const half = [felt(0.08, 5, 4), felt(0.08, 4, 3), felt(-0.08, 3, 4)];
    expect(feelStep({ ...slot, moves: half.slice(0, 2) })).toMatchObject({
      learntFrom: 0,
      amount: expect.closeTo(0.04),
    });
    const learnt = feelStep({ ...slot, moves: half });
    expect(learnt?.learntFrom).toBe(3);
    // Two words were expected of each, one came: half as much, drawn towards the law.
    expect(learnt?.factor).toBeGreaterThan(0.5);
    expect(learnt?.factor).toBeLessThan(0.6);
    expect(learnt?.amount).toBeGreaterThan(0.065);
  });

  test("a place that bound before and after says nothing; where the slot ends there is no step", () => {
    const beyond = [1, 2, 3].map(() => felt(0.08, 5, 5));
    expect(feelStep({ ...slot, moves: beyond })?.learntFrom).toBe(0);
    const ended = {
      ...slot,
      adjuster: { type: "slide", angleDeg: 0, travel: { min: -1, max: 0 } },
    } as FeelStepQuestion;
    expect(feelStep(ended)).toBeNull();
  });
});
