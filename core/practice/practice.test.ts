import { describe, expect, test } from "vitest";
import { mustHold } from "../quantity";
import { checkElement } from "../stages";
import { expertWay } from "./expert";
import { type LessonKey, lessonKeys } from "./lessons";
import { practiceCase } from "./practice-case";
import { practiceMachine } from "./practice-machine";
import { seededRandom } from "./random";
import { type PracticeEvent, practiceScore } from "./score";

const caseOf = (lesson: LessonKey, seed: number) => practiceCase(lesson, seededRandom(seed));
const read = (place: number): PracticeEvent => ({ did: "read", stage: 0, key: "lever", place, hold: "clamp" });
const damages = (lesson: LessonKey, seed: number, events: PracticeEvent[]) =>
  practiceScore(caseOf(lesson, seed), seed, events).damage.map(({ what }) => what);

test.each(lessonKeys)("whoever knows the trade sets %s right, and knows nothing that is hidden", (lesson) => {
  for (let seed = 1; seed <= 15; seed++) {
    const way = expertWay(caseOf(lesson, seed), 1000 * seed);
    expect(way.right, `seed ${seed}`).toBe(true);
    expect(way.moves, `seed ${seed}`).toBeLessThanOrEqual(4);
  }
});

test("every machine that is drawn is one that could be built", () => {
  for (const lesson of lessonKeys)
    for (let seed = 1; seed <= 200; seed++)
      for (const { element } of caseOf(lesson, seed).stages)
        expect(checkElement(element).ok, `${lesson} ${seed}`).toBe(true);
});

test("the same seed is the same machine, and what was done to it can be gone through again", () => {
  const texts = (seed: number) => {
    const machine = practiceMachine(caseOf("first-round", seed), seed);
    return [1, 9, 20].map((place) => machine.read(0, "lever", place, "motor"));
  };
  expect(texts(4)).toEqual(texts(4));
  expect(texts(4)).not.toEqual(texts(5));
});

describe("hidden faults show as the real ones do", () => {
  const spread = (values: (string | null)[]) => Math.max(...values.map(Number)) - Math.min(...values.map(Number));

  test("a loose bearing lets no place be read twice alike, clamped or not, until it is renewed", () => {
    const machine = practiceMachine(caseOf("loose-bearing", 3), 3);
    const five = () => Array.from({ length: 12 }, () => machine.read(0, "lever", 1, "clamp"));
    expect(spread(five())).toBeGreaterThan(0.06);
    machine.renew(0, "bearing");
    expect(spread(five())).toBeLessThan(0.025);
  });

  test("a motor’s rests go away with a clamp, warmth with an hour", () => {
    const machine = practiceMachine(caseOf("warm-steps", 3), 3);
    const ten = (hold: "motor" | "clamp") => Array.from({ length: 10 }, () => machine.read(0, "lever", 1, hold));
    expect(spread(ten("motor"))).toBeGreaterThan(0.05);
    const warm = ten("clamp");
    expect(spread(warm)).toBeLessThan(0.025);
    expect(machine.temperatureC()).toBeGreaterThan(45);
    machine.wait(240);
    expect(machine.temperatureC()).toBeLessThan(22);
    // Warm, the gears had grown into one another more than their housing gave way.
    expect(Number(ten("clamp")[0])).toBeGreaterThan(Number(warm[0]) + 0.06);
  });

  test("a worn screw does nothing at first when it is turned back", () => {
    const machine = practiceMachine(caseOf("worn-screw", 3), 3);
    machine.move(0, 1);
    const tight = machine.truth(0).greatest;
    machine.move(0, -0.2);
    expect(machine.truth(0).greatest).toBeCloseTo(tight, 9);
    machine.move(0, -0.8);
    expect(machine.truth(0).greatest).toBeLessThan(tight - 5);
  });

  test("only the part at fault looks broken; a mark stands still on whatever turns as often", () => {
    const practice = caseOf("knock", 3);
    const machine = practiceMachine(practice, 3);
    const parts = practice.stages.flatMap((_, stage) =>
      (["driver", "driven", "loop"] as const).map((part) => ({ stage, part })),
    );
    const seen = parts.filter(({ stage, part }) => machine.tells("look", stage, part));
    expect(seen).toHaveLength(1);
    const [{ stage, part }] = seen as [(typeof parts)[number]];
    expect(machine.tells("mark", stage, part)).toBe(true);
    expect(machine.tells("uncouple", stage, part)).toBe(true);
    if (stage > 0) expect(machine.tells("uncouple", stage - 1, part)).toBe(false);
    expect(machine.sound(30).length).toBeGreaterThan(5);
    machine.renew(stage, part);
    expect(machine.sound(30)).toEqual([]);
  });
});

describe("the score", () => {
  test("nothing done leaves the machine as it was, and says so", () => {
    const score = practiceScore(caseOf("first-round", 2), 2, []);
    expect(score).toMatchObject({ right: false, readings: 0, moves: 0, minutes: 0 });
    expect(score.damage).toEqual([{ what: "left-outside", stage: 0, times: 1 }]);
    expect(score.expert.right).toBe(true);
  });

  test("a reading that slipped is trusted only by who moves on it", () => {
    const practice = caseOf("first-round", 2);
    const nth = practice.stages[0]?.faults.badReading?.nth ?? 0;
    const machine = practiceMachine(practice, 2);
    const events: PracticeEvent[] = [];
    const readings = Array.from({ length: nth }, (_, i) => {
      events.push(read(5 * i + 1));
      return { place: 5 * i + 1, shown: Number(machine.read(0, "lever", 5 * i + 1, "clamp")), struck: false };
    });
    const round = (kept: typeof readings): PracticeEvent => ({ did: "round", stage: 0, readings: kept });
    const move: PracticeEvent = { did: "move", stage: 0, amount: 0.1 };
    expect(damages("first-round", 2, [...events, round(readings), move])).toContain("bad-reading-trusted");
    expect(damages("first-round", 2, [...events, round(readings)])).not.toContain("bad-reading-trusted");
    const struck = readings.map((one, i) => ({ ...one, struck: i === nth - 1 }));
    expect(damages("first-round", 2, [...events, round(struck), move])).not.toContain("bad-reading-trusted");
  });

  test("a figure that no instrument sent is no reading", () => {
    const round: PracticeEvent = { did: "round", stage: 0, readings: [{ place: 1, shown: 0.2, struck: false }] };
    expect(damages("first-round", 2, [read(1), round])).toContain("reading-not-taken");
  });

  test("pressed together, run so, a sound part renewed, the wrong one blamed: each is damage", () => {
    expect(
      damages("first-round", 2, [
        { did: "move", stage: 0, amount: -2 },
        { did: "power", stage: 0 },
        { did: "renew", stage: 0, part: "bearing" },
      ]),
    ).toEqual(["pressed-together", "ran-outside", "sound-part-renewed", "left-outside"]);
    const { cause } = mustHold({ ok: true, value: caseOf("knock", 2).knock ?? { cause: { stage: 0 } } });
    const wrong: PracticeEvent = { did: "found", stage: cause.stage + 1, part: "driver" };
    expect(damages("knock", 2, [wrong])).toEqual(["wrong-part-blamed", "knock-left"]);
  });

  test("set while warm, it is not set; the right part renewed, the knock is gone", () => {
    const move: PracticeEvent = { did: "move", stage: 0, amount: -0.1 };
    const round: PracticeEvent = { did: "round", stage: 0, readings: [] };
    expect(damages("warm-steps", 2, [move, round])).toContain("set-warm");
    expect(damages("warm-steps", 2, [{ did: "wait", minutes: 200 }, move, round])).not.toContain("set-warm");
    const practice = caseOf("knock", 5);
    const machine = practiceMachine(practice, 5);
    const stage = practice.knock?.cause.stage ?? 0;
    const part = (["driver", "driven", "loop"] as const).find((one) => machine.tells("look", stage, one)) ?? "loop";
    const score = practiceScore(practice, 5, [
      { did: "listen" },
      { did: "test", test: "look", stage, part },
      { did: "renew", stage, part },
    ]);
    expect(score).toMatchObject({ right: true, damage: [], minutes: 61 });
  });
});
