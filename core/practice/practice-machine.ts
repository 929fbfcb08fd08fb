import { centreChange } from "../advice";
import { frameOf, linePeriodsAt, placeCount, type RecurringPart } from "../stages";
import { turnLine } from "./knocking-line";
import type { Hold, HuntTest, PracticeCase, PracticeStage, Renewal } from "./lessons";
import { seededRandom } from "./random";
import { type HiddenStage, simulatedStage } from "./simulated-stage";
import { type SimulatedKey, wedgeReading } from "./wedge";

/** Of the hall, °C. */
export const hallC = 21;

/** A machine with hidden faults, worked on: it answers as a real one would, and keeps what was done to it. */
export type PracticeMachine = {
  /** What an instrument would type at a place; null where it reads nothing on such a stage. */
  read: (stage: number, key: SimulatedKey, place: number, hold: Hold) => string | null;
  /** By the adjuster's own amount. */
  move: (stage: number, amount: number) => void;
  wait: (minutes: number) => void;
  renew: (stage: number, part: Renewal) => void;
  /** Of the housing, °C. */
  temperatureC: () => number;
  /** Least and greatest of the judged quantity round the turn, at the temperature of the hall; nobody in the practice sees it. */
  truth: (stage: number) => { least: number; greatest: number };
  /** Whether the bearing still has play. */
  looseBearing: (stage: number) => boolean;
  warmK: () => number;
  /** Knocks of so many seconds of running, s. */
  sound: (seconds: number) => number[];
  knocks: () => boolean;
  /** Whether a test of the knock says yes: still heard with what comes after the stage uncoupled; at the mark on the part; seen on it. */
  tells: (test: HuntTest, stage: number, part: Renewal) => boolean;
  /** Readings that were taken. */
  taken: () => number;
};

/**
 * @param seed of the readings' noise: each draws its own by its number, so what was done can be gone through again
 * @source faults and figures are made up for practice
 */
export function practiceMachine(practice: PracticeCase, seed: number): PracticeMachine {
  const stages = practice.stages.map((stage) => ({
    stage,
    hidden: { ...stage.hidden, element: stage.element } as HiddenStage,
    /** Where the adjuster is, and where what it moves has followed to, mm; both count from where it was found. */
    at: 0,
    followed: 0,
    renewed: new Set<Renewal>(),
  }));
  let count = 0;
  let minutes = 0;
  const knock = practice.knock;
  const of = (index: number) => {
    const found = stages[index];
    if (!found) throw new Error(`no stage ${index}`);
    return found;
  };
  const sim = (hidden: HiddenStage, quantity: PracticeStage["quantity"], n = 0) =>
    simulatedStage(hidden, quantity, 1e-9, 0, seededRandom(seed + n));
  const warmK = () =>
    Math.max(
      0,
      ...practice.stages.map(({ faults: { warm } }) => (warm ? warm.aboveK * Math.exp(-minutes / warm.minutes) : 0)),
    );
  const culprit = knock && partOf(knock.cause.part);
  const knocks = () => !!knock && !!culprit && !of(knock.cause.stage).renewed.has(culprit);
  return {
    read: (index, key, place, hold) => {
      const { stage, hidden, renewed } = of(index);
      count++;
      const random = seededRandom(seed + 7919 * count);
      const { faults } = stage;
      if (key === "thermometer") return (Math.round(2 * (hallC + warmK())) / 2).toFixed(1);
      const slip = faults.badReading?.nth === count ? faults.badReading.off : 0;
      const play = renewed.has("bearing") ? 0 : (faults.bearingPlay ?? 0) * (random() - 0.5);
      const rest = hold === "clamp" ? 0 : (faults.magnetRest ?? 0) * (random() < 0.5 ? -0.5 : 0.5);
      const mean = hidden.mean + slip + play + rest + (faults.warm?.perK ?? 0) * warmK();
      return wedgeReading(key, { ...hidden, mean }, [], place, random);
    },
    move: (index, amount) => {
      const one = of(index);
      one.at += centreChange(one.stage.adjuster, amount);
      const lost = one.renewed.has("adjuster") ? 0 : (one.stage.faults.lostMotionMm ?? 0);
      // What it pushes follows where the play between them is used up.
      const follows = Math.min(Math.max(one.followed, one.at - lost / 2), one.at + lost / 2);
      const moved = sim(one.hidden, one.stage.quantity);
      moved.moveCentres(follows - one.followed);
      one.followed = follows;
      one.hidden = { ...one.hidden, mean: moved.mean() };
    },
    wait: (passed) => {
      minutes += passed;
    },
    renew: (index, part) => {
      const one = of(index);
      one.renewed.add(part);
      if (part === "adjuster") one.hidden = { ...one.hidden, response: 1 };
      const round = { eccentricityMm: 0.004, tightAngleDeg: 0 };
      if (part === "driven") one.hidden = { ...one.hidden, gear: round };
      if (part === "driver") one.hidden = { ...one.hidden, pinion: round };
    },
    temperatureC: () => hallC + warmK(),
    truth: (index) => {
      const { stage, hidden } = of(index);
      const frame = frameOf(stage.element);
      const still = sim(hidden, stage.quantity);
      const values = Array.from({ length: Math.min(placeCount(frame), 200) }, (_, i) => still.read(i + 1));
      return { least: Math.min(...values), greatest: Math.max(...values) };
    },
    looseBearing: (index) => (of(index).stage.faults.bearingPlay ?? 0) > 0 && !of(index).renewed.has("bearing"),
    warmK,
    sound: (seconds) => (knock && knocks() ? turnLine(knock.turned, knock.knocking, knock.motorRpm, seconds) : []),
    knocks,
    tells: (test, index, part) => {
      if (!knock || !knocks()) return false;
      if (test === "uncouple") return knock.cause.stage <= index;
      if (test === "look") return knock.cause.stage === index && culprit === part;
      // A mark on what turns as often stands at the same spot each time it knocks.
      const ids = knock.kept.links.map(({ stageId }) => stageId);
      const periods = linePeriodsAt(
        knock.kept,
        practice.stages.map(({ element }, i) => ({ id: ids[i] ?? "", element })),
        knock.motorRpm,
      );
      const rate = (stage: number, what: Renewal | null | undefined) =>
        periods.find((one) => one.stageId === ids[stage] && partOf(one.part) === what)?.perMinute;
      const [cause, marked] = [rate(knock.cause.stage, culprit), rate(index, part)];
      return cause !== undefined && marked !== undefined && Math.abs(marked / cause - 1) < 1e-6;
    },
    taken: () => count,
  };
}

const renewedAs: Partial<Record<RecurringPart, Renewal>> = {
  "driver-turn": "driver",
  "driven-turn": "driven",
  "belt-round": "loop",
  "chain-round": "loop",
};
/** The thing that comes round, as one would renew it; undefined: no one thing. */
export const partOf = (part: RecurringPart): Renewal | undefined => renewedAs[part];
