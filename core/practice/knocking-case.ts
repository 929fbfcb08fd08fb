import { spurPair } from "../gears";
import type { KeptDriveLine, RecurringPart, StageElement } from "../stages";
import { type KnockingPart, type TurnedStage, tapAlong, turnLine } from "./knocking-line";
import type { Random } from "./random";

/** A drive line with one part at fault, as somebody meets it: the line, the taps along with its knock, and what is really behind it. */
export type KnockingCase = {
  kept: KeptDriveLine;
  stages: { id: string; kind: StageElement["kind"]; element: StageElement }[];
  /** At what its motor turns while it is tapped; slowed until a hand can follow. */
  motorRpm: number;
  taps: number[];
  cause: { stageId: string; part: RecurringPart };
  /** The line as it is turned, and what of it knocks. */
  turned: TurnedStage[];
  knocking: KnockingPart;
};

const tapsTaken = 12;
/** How far a hand is off the beat, s, and how often it misses one. */
const handSd = 0.03;
const handMisses = 0.05;

/**
 * Two to four gears, belts and chains in a row with teeth at random, one wheel or joint knocking once round; turned tooth by tooth, and tapped by
 * a hand. What is at fault is drawn first, and nothing here knows how often anything comes round.
 */
export function knockingCase(random: Random): KnockingCase {
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const count = whole(2, 4);
  const made = Array.from({ length: count }, () => madeStage(whole));
  const knocking = draw(made, random);
  const stage = made[knocking.stage] as (typeof made)[number];
  const turned = made.map((one) => one.turned);
  // Slowed down, or sped up, until it knocks as often as a hand can follow: found by listening.
  let motorRpm = 1400;
  const wanted = whole(30, 150);
  const listened = turnLine(turned, knocking, motorRpm, secondsFor(turned, motorRpm));
  const [first = 0, last = 1] = [listened[0], listened.at(-1)];
  motorRpm *= (wanted * (last - first)) / (60 * Math.max(1, listened.length - 1));
  const knocks = turnLine(turned, knocking, motorRpm, (60 * (tapsTaken + 2)) / wanted).slice(0, tapsTaken);
  return {
    kept: {
      sources: [{ id: "source-1", name: "Motor", rpm: motorRpm, torqueNm: null }],
      links: made.map((_, i) => ({
        ...{ stageId: `s${i}`, from: i === 0 ? "source-1" : `s${i - 1}` },
        ...{ onto: null, gear: 0, angleDeg: 0 },
      })),
      outputs: [],
    },
    stages: made.map(({ element }, i) => ({ id: `s${i}`, kind: element.kind, element })),
    motorRpm,
    taps: tapAlong(knocks, random, handSd, handMisses),
    ...{ turned, knocking },
    cause: { stageId: `s${knocking.stage}`, part: knocking.part === "joint" ? stage.joint : `${knocking.part}-turn` },
  };
}

/** Long enough for the slowest part of it to come round a few times. */
const secondsFor = (stages: readonly TurnedStage[], rpm: number): number =>
  (60 / rpm) *
  6 *
  stages.reduce((slow, { teeth, joint }) => slow * Math.max(1, teeth[1] / teeth[0], (joint ?? 0) / teeth[0]), 1);

function draw(made: readonly { turned: TurnedStage }[], random: Random): KnockingPart {
  const all = made.flatMap(({ turned }, stage): KnockingPart[] => [
    { stage, part: "driver" },
    { stage, part: "driven" },
    ...(turned.joint === null ? [] : [{ stage, part: "joint" as const }]),
  ]);
  return all[Math.floor(random() * all.length)] as KnockingPart;
}

/** Centres at which so many pitches just go round both wheels, a little nearer: the usual approximation, as catalogues give it. */
function centresFor(pitchMm: number, [z1, z2]: readonly [number, number], pitches: number): number {
  const straight = pitches - (z1 + z2) / 2;
  const taper = 8 * ((z2 - z1) / (2 * Math.PI)) ** 2;
  return 0.999 * (pitchMm / 4) * (straight + Math.sqrt(straight * straight - taper));
}

type Made = { element: StageElement; turned: TurnedStage; joint: "belt-round" | "chain-round" };

function madeStage(whole: (from: number, to: number) => number): Made {
  const kind = whole(0, 3);
  if (kind <= 1) {
    const teeth: [number, number] = [whole(14, 40), whole(20, 80)];
    const pair = spurPair(teeth, 2, teeth[0] + teeth[1] + 0.1);
    return { element: { kind: "gear-pair", pair, parts: {} }, turned: { teeth, joint: null }, joint: "belt-round" };
  }
  if (kind === 2) {
    const teeth: [number, number] = [whole(16, 40), whole(20, 72)];
    const beltTeeth = teeth[0] + teeth[1] + whole(30, 90);
    return {
      element: {
        ...{
          kind: "toothed-belt",
          pitchMm: 8,
          teeth,
          beltTeeth,
          centreDistanceMm: centresFor(8, teeth, beltTeeth),
        },
        ...{ idlers: [], moved: "centres", massKgPerM: 0.15, stiffnessN: 60_000, bendingStiffnessNMm2: 0 },
      },
      turned: { teeth, joint: beltTeeth },
      joint: "belt-round",
    };
  }
  const teeth: [number, number] = [whole(13, 25), whole(17, 57)];
  const links = 2 * Math.ceil((teeth[0] + teeth[1]) / 4) + 2 * whole(15, 40);
  return {
    element: {
      ...{ kind: "chain", pitchMm: 12.7, teeth, links, centreDistanceMm: centresFor(12.7, teeth, links) },
      ...{ idlers: [], moved: "centres", inclinationDeg: 0 },
    },
    turned: { teeth, joint: links },
    joint: "chain-round",
  };
}
