import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { measuredUnit } from "~/core/stages";
import { type Reading, type ReadingPlan, type ReadingStep, readingNow, readingStep } from "./reading-steps";

const plan: ReadingPlan = {
  positions: [1, 4, 7, 10],
  unit: measuredUnit["circumferential-backlash"],
  bareUnit: "mm",
  canRead: (mm) => mm < 5,
  least: 3,
  stopsEarly: false,
};
const empty: Reading = { round: { field: "", at: 0, readings: [] }, asks: null, problem: null, done: false };
const doing = (steps: readonly ReadingStep[], from = empty, by = plan) =>
  steps.reduce((now, step) => readingStep(now, step, by), from);
const typed = (...texts: string[]): ReadingStep[] =>
  texts.flatMap((text): ReadingStep[] => [{ do: "type", text }, { do: "enter" }]);
/** "1 0.10, 4 0.12 struck": places and what was read there. */
const written = ({ round }: Reading) =>
  round.readings
    .map(
      ({ tooth, typed: text, struck, repeats }) =>
        `${tooth} ${text}${struck ? " struck" : ""}${repeats === null ? "" : ` repeats ${repeats}`}`,
    )
    .join(", ");
const at = (now: Reading) => readingNow(now.round, plan).place;

describe("blind reading", () => {
  test("goes on by itself to the next place without a reading, and ends on Enter when all are read", () => {
    const all = doing(typed("0.10", "0.12", "0.11", "0.13"));
    expect(written(all)).toBe("1 0.10, 4 0.12, 7 0.11, 10 0.13");
    expect([at(all), all.done]).toEqual([null, false]);
    expect(doing([{ do: "enter" }], all).done).toBe(true);
    expect(doing(typed("0.2"), all).problem).toBe("every-place-read");
  });

  test("an empty Enter passes a place by; what was passed is come back to", () => {
    const passed = doing([...typed("0.10"), { do: "enter" }, ...typed("0.11", "0.13")]);
    expect(written(passed)).toBe("1 0.10, 7 0.11, 10 0.13");
    expect(at(passed)).toBe(4);
    // Three places are enough, four were planned: the round is not called complete.
    expect(readingNow(passed.round, plan)).toMatchObject({ enough: true, complete: false });
    expect(readingNow(passed.round, { ...plan, stopsEarly: true }).complete).toBe(true);
  });

  test("a place that was read is asked about: a repeat, or instead of it", () => {
    const asked = doing([...typed("0.10"), { do: "step-back" }, ...typed("0.14")]);
    expect([asked.asks, written(asked)]).toEqual([0, "1 0.10"]);
    expect(written(doing([{ do: "enter" }], asked))).toBe("1 0.10, 1 0.14 repeats 0");
    const instead = doing([{ do: "keep-instead" }], asked);
    expect([written(instead), at(instead)]).toEqual(["1 0.10 struck, 1 0.14", 4]);
    // Typing on takes the question away.
    expect(doing([{ do: "key", key: "5" }], asked)).toMatchObject({ asks: null, round: { field: "0.145" } });
    expect(doing([{ do: "leave-asking" }], asked).round.field).toBe("0.14");
  });

  test("what an ear takes at one place is the reading and its repeats, all of them or none", () => {
    const heard = doing([...typed("0.10"), { do: "several", texts: ["0.12", "0.13 mm", "0.11"] }]);
    expect(written(heard)).toBe("1 0.10, 4 0.12, 4 0.13 mm repeats 1, 4 0.11 repeats 1");
    expect(at(heard)).toBe(7);
    const again = doing(
      [
        { do: "go", to: 0 },
        { do: "several", texts: ["0.14"] },
      ],
      heard,
    );
    expect(written(again)).toMatch(/, 1 0.14 repeats 0$/);
    const none = doing([{ do: "several", texts: ["0.12", "9"] }], heard);
    expect([none.problem, written(none)]).toEqual(["cannot-read-so", written(heard)]);
  });

  test("a struck reading is gone back to, and counts again when the strike is taken back", () => {
    const two = doing(typed("0.10", "0.55"));
    const struck = doing([{ do: "strike", index: 1 }], two);
    expect([written(struck), at(struck)]).toEqual(["1 0.10, 4 0.55 struck", 4]);
    expect(doing([{ do: "strike", index: 1 }], struck).round.readings[1]?.struck).toBe(false);
    expect(doing([{ do: "step-back" }, { do: "strike-last-here" }], two)).toMatchObject({
      round: { readings: [{}, { struck: true }] },
    });
  });

  test.each<[string, unknown]>([
    ["abc", { code: "not-a-number" }],
    ["-0.1", "below-nothing"],
    ["7", "cannot-read-so"],
    [`0.${"1".repeat(40)}`, "too-long"],
    ["3 kg", { code: "wrong-dimension" }],
  ])("%s is not taken, and stays in the field", (text, problem) => {
    const now = doing(typed(text));
    expect(now.problem).toEqual(typeof problem === "object" ? expect.objectContaining(problem as object) : problem);
    expect([now.round.field, written(now)]).toEqual([text, ""]);
  });

  test("what has another side is read below 0", () => {
    const behind = { ...plan, unit: { ...plan.unit, signed: true as const } };
    expect(written(doing(typed("-5.8"), empty, behind))).toBe("1 -5.8");
  });

  test("a bare number keeps the unit it was said to be in", () => {
    const thou = { ...plan, bareUnit: "thou" };
    expect(written(doing(typed("5", "0.1 mm"), empty, thou))).toBe("1 5 thou, 4 0.1 mm");
  });

  test("backspace rubs out, and on an empty field steps back", () => {
    const now = doing([...typed("0.10"), { do: "type", text: "12" }, { do: "rub-out" }]);
    expect([now.round.field, at(now)]).toEqual(["1", 4]);
    expect(at(doing([{ do: "rub-out" }, { do: "rub-out" }], now))).toBe(1);
  });

  test("whatever a hand does, no reading is lost and every place named is one of the plan", () => {
    const steps = fc.oneof(
      fc.constantFrom<ReadingStep>(
        { do: "enter" },
        { do: "rub-out" },
        { do: "step-back" },
        { do: "strike-last-here" },
        { do: "leave-asking" },
        { do: "keep-as-repeat" },
        { do: "keep-instead" },
      ),
      fc.record({ do: fc.constant("type" as const), text: fc.constantFrom("0.1", "0.2", "x", "") }),
      fc.record({ do: fc.constant("go" as const), to: fc.integer({ min: -2, max: 9 }) }),
      fc.record({ do: fc.constant("strike" as const), index: fc.integer({ min: 0, max: 5 }) }),
    );
    fc.assert(
      fc.property(fc.array(steps, { maxLength: 40 }), (list) => {
        let now = empty;
        for (const step of list) {
          const next = readingStep(now, step, plan);
          expect(next.round.readings.length).toBeGreaterThanOrEqual(now.round.readings.length);
          expect(next.round.readings.every(({ tooth }) => plan.positions.includes(tooth))).toBe(true);
          expect(next.round.at).toBeGreaterThanOrEqual(0);
          expect(next.round.at).toBeLessThanOrEqual(plan.positions.length);
          now = next;
        }
      }),
    );
  });
});
