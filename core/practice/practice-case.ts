import type { Adjuster } from "../advice";
import { spurPair } from "../gears";
import type { StageElement } from "../stages";
import { knockingCase } from "./knocking-case";
import type { Faults, LessonKey, PracticeCase, PracticeStage } from "./lessons";
import type { Random } from "./random";
import type { HiddenStage } from "./simulated-stage";

/** A case of a lesson, drawn: the same seed gives the same one. */
export function practiceCase(lesson: LessonKey, random: Random): PracticeCase {
  if (lesson === "knock") return lineWithKnock(random);
  return { lesson, stages: [stageOf(lesson, random)], knock: null };
}

function stageOf(lesson: Exclude<LessonKey, "knock">, random: Random): PracticeStage {
  const from = (lo: number, hi: number) => lo + (hi - lo) * random();
  const slipped = () => ({ nth: Math.floor(from(3, 8)), off: random() < 0.5 ? from(0.16, 0.22) : -from(0.1, 0.14) });
  switch (lesson) {
    case "first-round":
      return mesh(random, from(0.34, 0.42), { badReading: slipped() });
    case "loose-bearing":
      return mesh(random, from(0.19, 0.23), { bearingPlay: from(0.11, 0.14) });
    case "worn-screw":
      return belt(random, from(70, 95), { lostMotionMm: from(0.3, 0.5) }, from(0.6, 0.7));
    case "warm-steps": {
      const warm = { aboveK: from(26, 34), perK: -from(0.0032, 0.0038), minutes: from(35, 50) };
      return mesh(random, from(0.31, 0.34), { warm, magnetRest: from(0.06, 0.09) });
    }
    case "drawn":
      return drawnStage(random, from);
  }
}

/** Anything of the lessons on one stage, or nothing but its runout. */
function drawnStage(random: Random, from: (lo: number, hi: number) => number): PracticeStage {
  const which = Math.floor(from(0, 5));
  if (which === 0) return belt(random, from(70, 300), { lostMotionMm: from(0.2, 0.5) }, from(0.6, 1));
  if (which === 1) return mesh(random, from(0.15, 0.45), { bearingPlay: from(0.11, 0.14) });
  const warm = { aboveK: from(20, 34), perK: -from(0.002, 0.0038), minutes: from(35, 50) };
  if (which === 2) return mesh(random, from(0.2, 0.42), { warm });
  if (which === 3) return mesh(random, from(0.2, 0.42), { magnetRest: from(0.06, 0.09) });
  return mesh(random, from(0.12, 0.45), { badReading: { nth: Math.floor(from(2, 9)), off: from(0.16, 0.22) } });
}

const screw: Adjuster = { type: "screw", leadMm: 1, angleDeg: 0, oneWay: false, springReturn: false };
const meshLimits = { lo: 0.14, hi: 0.28 };

function mesh(random: Random, mean: number, faults: Faults): PracticeStage {
  const from = (lo: number, hi: number) => lo + (hi - lo) * random();
  const teeth: [number, number] = [Math.floor(from(17, 26)), Math.floor(from(40, 62))];
  const pair = spurPair(teeth, 2.5, 1.25 * (teeth[0] + teeth[1]) + 0.25);
  return {
    element: { kind: "gear-pair", pair, parts: {} },
    ...{ quantity: "circumferential-backlash", instrument: "lever", adjuster: screw, limits: meshLimits },
    hidden: {
      ...{ mean, response: from(0.85, 1.1) },
      gear: { eccentricityMm: from(0.03, 0.05), tightAngleDeg: from(0, 360) },
      pinion: { eccentricityMm: from(0.003, 0.008), tightAngleDeg: from(0, 360) },
    },
    faults,
  };
}

const round = { eccentricityMm: 0, tightAngleDeg: 0 };

/** What a screw that is worn, or sticks, does of each turn is hidden in its response. */
function belt(random: Random, mean: number, faults: Faults, response: number): PracticeStage {
  const teeth: [number, number] = [20 + 2 * Math.floor(4 * random()), 40 + 2 * Math.floor(5 * random())];
  return {
    element: {
      ...{ kind: "toothed-belt", pitchMm: 5, teeth, beltTeeth: 125, idlers: [], moved: "centres" },
      ...{ centreDistanceMm: 2.5 * (125 - (teeth[0] + teeth[1]) / 2) - 1.5 },
      ...{ massKgPerM: 0.08, stiffnessN: 25_000, bendingStiffnessNMm2: 0 },
    },
    ...{ quantity: "tension", instrument: "meter", adjuster: screw, limits: { lo: 130, hi: 200 } },
    hidden: { mean, response, gear: { eccentricityMm: 0.02, tightAngleDeg: 360 * random() }, pinion: round },
    faults,
  };
}

/** A line in which nothing is out of adjustment, and one part knocks once round. */
function lineWithKnock(random: Random): PracticeCase {
  const { kept, stages, turned, knocking, cause, motorRpm } = knockingCase(random);
  return {
    lesson: "knock",
    stages: stages.map(({ element }) => ({ element, ...setRight(element), faults: {} })),
    knock: { kept, turned, knocking, motorRpm, cause: { stage: knocking.stage, part: cause.part } },
  };
}

/** How a stage of each kind reads where it is as it should be. */
function setRight(element: StageElement): Omit<PracticeStage, "element" | "faults"> {
  const still = (mean: number): Omit<HiddenStage, "element"> => ({ mean, response: 1, gear: round, pinion: round });
  const rest = { adjuster: screw };
  if (element.kind === "toothed-belt")
    return {
      ...rest,
      ...{ quantity: "tension", instrument: "meter", limits: { lo: 200, hi: 400 }, hidden: still(300) },
    };
  if (element.kind === "chain") {
    const span = element.centreDistanceMm;
    const limits = { lo: Math.round(0.01 * span), hi: Math.max(2, Math.round(0.03 * span)) };
    return { ...rest, quantity: "sag", instrument: "caliper", limits, hidden: still(0.02 * span) };
  }
  return {
    ...rest,
    ...{
      quantity: "circumferential-backlash",
      instrument: "lever",
      limits: { lo: 0.1, hi: 0.26 },
      hidden: still(0.18),
    },
  };
}
