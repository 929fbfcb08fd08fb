import { expect, test } from "vitest";
import { type Adjuster, assessRound, centreChange } from "../advice";
import { spurPair } from "../gears";
import { mustHold } from "../quantity";
import { meshRound, placesToRead, roundPlan } from "../rounds";
import { frameOf, placeAngle, type StageElement, waysToMeasure } from "../stages";
import { seededRandom } from "./random";
import { type HiddenStage, simulatedStage } from "./simulated-stage";

const pair = spurPair([22, 57], 2.5, 98.97);
const hidden: HiddenStage = {
  element: { kind: "gear-pair", pair, parts: {} },
  mean: 0.3,
  gear: { eccentricityMm: 0.04, tightAngleDeg: 221 },
  pinion: { eccentricityMm: 0.015, tightAngleDeg: 70 },
  response: 0.8,
};

test("a round read on a simulated mesh finds the faults that are hidden in it", () => {
  const mesh = simulatedStage(hidden, "circumferential-backlash", 0.001, 0.001, seededRandom(3));
  const frame = frameOf(hidden.element);
  const planned = mustHold(roundPlan(pair.teeth, 16, 2)).gearToothIndices;
  const readings = planned.map((index) => {
    const at = { tooth: (index % 57) + 1, turn: 1 + Math.floor(index / 57) };
    return { gearAngleDeg: placeAngle(frame, at), backlashMm: mesh.read(at.tooth, at.turn) };
  });
  const round = mustHold(meshRound(pair, readings, { separatePinion: true }));
  expect(round.gear.eccentricityMm).toBeCloseTo(0.04, 2);
  expect(Math.abs(round.gear.tightAngleDeg - 221)).toBeLessThan(3);
  expect(round.pinion?.eccentricityMm).toBeCloseTo(0.015, 2);
  expect(round.residualMm).toBeLessThan(0.003);
});

const belt = {
  centreDistanceMm: 220,
  idlers: [],
  moved: "centres",
  massKgPerM: 0.08,
  stiffnessN: 25_000,
  bendingStiffnessNMm2: 0,
} as const;
const slide: Adjuster = { type: "slide", angleDeg: 0 };

/** A stage of every kind that can be adjusted, with limits and how far off it may be found. */
const kinds: [string, StageElement, Adjuster, { lo: number; hi: number }, resolution: number][] = [
  [
    "spur pair",
    hidden.element,
    { type: "screw", leadMm: 1, angleDeg: 0, oneWay: false, springReturn: false },
    { lo: 0.14, hi: 0.34 },
    0.01,
  ],
  [
    "worm",
    {
      kind: "worm",
      hand: "right",
      worm: {
        wormStarts: 1,
        wheelTeeth: 40,
        axialModuleMm: 2,
        wormPitchDiameterMm: 28,
        pressureAngleDeg: 20,
        centreDistanceMm: 54.2,
      },
    },
    slide,
    { lo: 0.1, hi: 0.26 },
    0.01,
  ],
  [
    "bevel",
    {
      kind: "bevel",
      shimmed: "gear",
      bevel: { teeth: [18, 36], moduleMm: 2.5, shaftAngleDeg: 90, pressureAngleDeg: 20, spiralAngleDeg: 0 },
    },
    { type: "shims", perMm: 1 },
    { lo: 0.08, hi: 0.24 },
    0.01,
  ],
  [
    "toothed belt",
    { kind: "toothed-belt", pitchMm: 5, teeth: [24, 48], beltTeeth: 125, ...belt },
    slide,
    { lo: 120, hi: 210 },
    0.1,
  ],
  [
    "V-belts",
    { kind: "v-belt", pitchDiameterMm: [90, 140], lengthMm: 810, belts: 3, ...belt },
    { type: "pivot", armMm: 100, angleDeg: 80, leverMm: 200 },
    { lo: 110, hi: 220 },
    0.1,
  ],
  [
    "chain",
    {
      kind: "chain",
      pitchMm: 12.7,
      teeth: [17, 34],
      links: 90,
      centreDistanceMm: 406,
      idlers: [],
      moved: "centres",
      inclinationDeg: 10,
    },
    slide,
    { lo: 8, hi: 16 },
    0.5,
  ],
  [
    "gap",
    { kind: "gap", what: "end-float", places: 3, diameterMm: 80 },
    { type: "shims", perMm: -1 },
    { lo: 0.1, hi: 0.3 },
    0.01,
  ],
];

test.each(kinds)(
  "following the advice brings a simulated %s inside its limits in a few moves, whatever its response",
  (_, element, adjuster, limits, resolution) => {
    const middle = (limits.lo + limits.hi) / 2;
    const frame = frameOf(element);
    const places = placesToRead(frame, null);
    const quantity = mustHold({ ok: true, value: waysToMeasure(element)[0] ?? "gap" });
    for (let seed = 1; seed <= 12; seed++) {
      const random = seededRandom(seed);
      const wobble = 0.08 * (limits.hi - limits.lo);
      const eccentricityMm = element.kind === "toothed-belt" || element.kind === "v-belt" ? 0.02 : wobble;
      const stage = simulatedStage(
        {
          ...hidden,
          element,
          mean: middle * (0.5 + random()),
          gear: { eccentricityMm, tightAngleDeg: 80 },
          pinion: { eccentricityMm: 0, tightAngleDeg: 0 },
          response: 0.7 + 0.6 * random(),
        },
        quantity,
        resolution,
        0.3 * resolution,
        random,
      );
      let moves = 0;
      for (; moves < 6; moves++) {
        const readings = places.map((tooth) => ({
          tooth,
          struck: false,
          angleDeg: placeAngle(frame, { tooth, turn: 1 }),
          value: stage.read(tooth),
        }));
        const { advice, judged } = mustHold(
          assessRound({
            element,
            limits,
            adjuster,
            readings,
            expandedUncertainty: 0.02 * (limits.hi - limits.lo),
            how: "as-found",
            known: null,
          }),
        );
        if (!advice?.move) {
          expect(judged.verdict).toBe("conforms");
          break;
        }
        stage.moveCentres(centreChange(adjuster, advice.move.amount));
      }
      expect(moves, `seed ${seed}`).toBeLessThanOrEqual(4);
    }
  },
);

test("the same seed reads the same, another one does not", () => {
  const readings = (seed: number) => {
    const mesh = simulatedStage(hidden, "circumferential-backlash", 0.001, 0.01, seededRandom(seed));
    return [1, 5, 10, 15].map((tooth) => mesh.read(tooth));
  };
  expect(readings(5)).toEqual(readings(5));
  expect(readings(5)).not.toEqual(readings(6));
});
