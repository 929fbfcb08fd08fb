import { type Assessment, assessRound, learnFromMoves, type PastMove } from "../advice";
import { mustHold } from "../quantity";
import { placesToRead, questionable } from "../rounds";
import { frameOf, placeAngle, sensitivityOf, toJudged } from "../stages";
import { expertHunt } from "./expert-hunt";
import type { PracticeWay } from "./expert-way";
import type { Hold, PracticeCase, PracticeStage } from "./lessons";
import { practiceMinutes, setBelowK } from "./lessons";
import { type PracticeMachine, practiceMachine } from "./practice-machine";
import { quantityReadBy, simulatedInstruments } from "./wedge";

const mostMoves = 8;

/**
 * How somebody who knows the trade goes about the same machine, with the same instruments and without being told what is hidden: the measure
 * of what the practice can be done with.
 */
export function expertWay(practice: PracticeCase, seed: number): PracticeWay {
  const machine = practiceMachine(practice, seed);
  const way: PracticeWay = { steps: [], readings: 0, moves: 0, minutes: 0, right: false };
  if (practice.knock) expertHunt(practice, machine, way);
  else
    practice.stages.forEach((stage, index) => {
      setStage(stage, index, machine, way);
    });
  way.readings = machine.taken();
  way.minutes += way.readings * practiceMinutes.read + way.moves * practiceMinutes.move;
  way.right = !machine.knocks() && practice.stages.every((stage, i) => isRight(stage, machine.truth(i)));
  return way;
}

export const isRight = ({ limits }: PracticeStage, { least, greatest }: { least: number; greatest: number }): boolean =>
  least >= limits.lo && greatest <= limits.hi;

function setStage(stage: PracticeStage, index: number, machine: PracticeMachine, way: PracticeWay): void {
  coolDown(index, machine, way);
  const hold = bringToRest(stage, index, machine, way);
  let round = readRound(stage, index, hold, machine, way);
  const learnt: PastMove[] = [];
  for (let moved = 0, sign = 0; moved < mostMoves; moved++) {
    const { advice } = assess(stage, round, learnt);
    if (!advice?.move) return;
    const { amount } = advice.move;
    // Against the way it came: past it, and back, so that the thread lies on the same flank as before.
    const reversed = sign !== 0 && Math.sign(amount) !== sign;
    if (reversed) {
      const beyond = -sign * 1;
      machine.move(index, amount + beyond);
      machine.move(index, -beyond);
      way.steps.push({ does: "comes-back", amount: amount + beyond, back: -beyond });
      way.moves += 2;
    } else {
      machine.move(index, amount);
      way.steps.push({ does: "moves", amount });
      way.moves++;
      sign = Math.sign(amount);
    }
    const after = readRound(stage, index, hold, machine, way);
    learnt.push({
      amount,
      from: 0,
      readingSd: doubtOf(stage, round[0]?.value ?? 0) / 2,
      teaches: true,
      before: round,
      after,
    });
    round = after;
  }
}

/** Nothing is set while it is warm from work. */
function coolDown(index: number, machine: PracticeMachine, way: PracticeWay): void {
  const warm = () => Number(machine.read(index, "thermometer", 1, "motor")) - hall(machine);
  way.steps.push({ does: "feels-temperature", tempC: machine.temperatureC() });
  let waited = 0;
  while (warm() > setBelowK && waited < 400) {
    machine.wait(30);
    waited += 30;
  }
  if (waited > 0) way.steps.push({ does: "waits", minutes: waited });
  way.minutes += waited;
}

const hall = (machine: PracticeMachine): number => machine.temperatureC() - machine.warmK();

/** The same place read five times: what does not come again is held, and where that does not help the bearing has to go. */
function bringToRest(stage: PracticeStage, index: number, machine: PracticeMachine, way: PracticeWay): Hold {
  for (const hold of ["motor", "clamp"] as const) {
    if (hold === "clamp") {
      way.steps.push({ does: "clamps" });
      way.minutes += practiceMinutes.clamp;
    }
    const values = Array.from({ length: 5 }, () => readAt(stage, index, 1, hold, machine));
    const repeatable = Math.max(...values) - Math.min(...values) <= 4 * doubtOf(stage, values[0] ?? 0);
    way.steps.push({ does: "repeats", place: 1, values, repeatable });
    if (repeatable) return hold;
  }
  machine.renew(index, "bearing");
  way.steps.push({ does: "renews", stage: index, part: "bearing" });
  way.minutes += practiceMinutes.renew;
  return "clamp";
}

type Read = { tooth: number; struck: boolean; angleDeg: number; value: number };

function readRound(
  stage: PracticeStage,
  index: number,
  hold: Hold,
  machine: PracticeMachine,
  way: PracticeWay,
): Read[] {
  const frame = frameOf(stage.element);
  const places = placesToRead(frame, null);
  const readings = places.map((tooth) => ({
    ...{ tooth, struck: false, angleDeg: placeAngle(frame, { tooth, turn: 1 }) },
    value: readAt(stage, index, tooth, hold, machine),
  }));
  const doubted = questionable(
    readings.map(({ angleDeg, value }) => ({ gearAngleDeg: angleDeg, value })),
    3 * doubtOf(stage, readings[0]?.value ?? 0),
  );
  for (const at of doubted) {
    const doubtful = readings[at];
    if (!doubtful) continue;
    const now = readAt(stage, index, doubtful.tooth, hold, machine);
    way.steps.push({ does: "reads-again", place: doubtful.tooth, was: doubtful.value, now });
    readings[at] = { ...doubtful, value: now };
  }
  const values = readings.map(({ value }) => value);
  way.steps.push({
    does: "reads-round",
    places: places.length,
    least: Math.min(...values),
    greatest: Math.max(...values),
  });
  return readings;
}

/** In the quantity that the stage is judged by. */
const readAt = (stage: PracticeStage, index: number, place: number, hold: Hold, machine: PracticeMachine): number =>
  judgedFrom(stage, Number(machine.read(index, stage.instrument, place, hold)));

function judgedFrom(stage: PracticeStage, shown: number): number {
  const quantity = quantityReadBy(stage.instrument, stage) ?? stage.quantity;
  const way = { quantity, held: null, indicatorRadiusMm: null, indicatorAngleDeg: 0 };
  return mustHold(toJudged(stage.element, way)).convert(shown);
}

/** Expanded uncertainty of a reading near a value, in the judged quantity. */
function doubtOf(stage: PracticeStage, near: number): number {
  const instrument = simulatedInstruments.find(({ key }) => key === stage.instrument);
  if (!instrument) throw new Error(`no instrument ${stage.instrument}`);
  const { expandedUncertainty: u } = instrument;
  // By the slope of what turns a reading into the judged quantity, about where it was read.
  const at = shownFor(stage, near);
  return Math.max(1e-9, Math.abs(judgedFrom(stage, at + u) - judgedFrom(stage, at)));
}

/** The reading that a value of the judged quantity shows: found by halving, for every way rises. */
function shownFor(stage: PracticeStage, value: number): number {
  let [low, high] = [1e-6, 1e4];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (judgedFrom(stage, middle) < value) low = middle;
    else high = middle;
  }
  return low;
}

function assess(stage: PracticeStage, readings: readonly Read[], learnt: readonly PastMove[]): Assessment {
  const { element, limits, adjuster } = stage;
  const mean = readings.reduce((sum, { value }) => sum + value, 0) / readings.length;
  const sensitivity = sensitivityOf(element, mean, (limits.lo + limits.hi) / 2);
  return mustHold(
    assessRound({
      ...{ element, limits, adjuster, readings, expandedUncertainty: doubtOf(stage, mean) },
      ...{ how: "as-found", known: null },
      ...(sensitivity && { response: learnFromMoves(element, adjuster, sensitivity, learnt) }),
    }),
  );
}
