import { spurPair } from "~/core/gears";
import type { BeltElement, ChainElement, GearElement, StageElement } from "~/core/stages";

/** Elements of every kind for tests that need no database. */
export const toothedBelt: BeltElement = {
  kind: "toothed-belt",
  pitchMm: 8,
  teeth: [24, 48],
  beltTeeth: 112,
  centreDistanceMm: 302.6,
  idlers: [],
  moved: "centres",
  massKgPerM: 0.15,
  stiffnessN: 60_000,
  bendingStiffnessNMm2: 0,
};

export const beltWithIdlers: BeltElement = {
  ...toothedBelt,
  beltTeeth: 120,
  idlers: [
    { x: 150, y: -60, diameterMm: 40, side: "inside", strand: "lower" },
    { x: 160, y: 25, diameterMm: 36, side: "outside", strand: "upper" },
  ],
  moved: 1,
};

export const vBelt: BeltElement = {
  kind: "v-belt",
  pitchDiameterMm: [95, 190],
  lengthMm: 1250,
  belts: 3,
  centreDistanceMm: 398,
  idlers: [],
  moved: "centres",
  massKgPerM: 0.19,
  stiffnessN: null,
  bendingStiffnessNMm2: 0,
};

export const chain: ChainElement = {
  kind: "chain",
  pitchMm: 12.7,
  teeth: [19, 38],
  links: 100,
  centreDistanceMm: 447,
  idlers: [],
  moved: "centres",
  inclinationDeg: 10,
};

/** Two speeds, each against a stop of its own; the gear slides between two mates. */
export const twoSpeeds: GearElement = {
  kind: "gear-pair",
  pair: spurPair([24, 36], 2, 60.2),
  parts: {},
  gearName: "low",
  gears: [{ name: "high", teeth: [30, 30], profileShift: [0, 0] }],
  positions: [
    { gear: "low", stop: { by: "spacer", thicknessMm: 1, perMm: 1 } },
    {
      gear: "high",
      centreDistanceMm: 60.18,
      limits: { lo: 0.08, aim: null, hi: 0.2, source: "Sheet 4" },
      stop: { by: "shoulder", thicknessMm: null, perMm: -1 },
    },
  ],
  slide: {
    left: "low",
    right: "high",
    travel: {
      slider: { left: { fromMm: 0, toMm: 8 }, right: { fromMm: 0, toMm: 8 } },
      mates: { left: { fromMm: -12, toMm: -4 }, right: { fromMm: 9, toMm: 17 } },
      stops: { leftMm: -12, rightMm: 9 },
      wantedShare: 0.95,
      neutral: { loMm: 0 },
    },
    actuator: { by: "servo", unit: "µs", left: 1100, right: 1900, ends: [1000, 2000] },
  },
};

export const everyKind: StageElement[] = [
  { kind: "gear-pair", pair: spurPair([20, 40], 2, 60.2), parts: {} },
  { kind: "gear-pair", pair: { ...spurPair([20, 40], 2, 62.4), helixAngleDeg: 15 }, parts: {} },
  { kind: "gear-pair", pair: { ...spurPair([17, 68], 2, 50.82), internal: true }, parts: {} },
  {
    kind: "worm",
    hand: "right",
    worm: {
      wormStarts: 2,
      wheelTeeth: 30,
      axialModuleMm: 3,
      wormPitchDiameterMm: 44,
      pressureAngleDeg: 20,
      centreDistanceMm: 67.1,
    },
  },
  {
    kind: "bevel",
    shimmed: "gear",
    bevel: { teeth: [20, 40], moduleMm: 3, shaftAngleDeg: 90, pressureAngleDeg: 20, spiralAngleDeg: 35 },
  },
  {
    kind: "planetary",
    set: {
      kind: "simple",
      sun: 18,
      planet: [18],
      ring: [54],
      planets: 3,
      moduleMm: 1.5,
      fixed: "ring",
      input: "sun",
      output: "carrier",
    },
    helix: { ring1Deg: -20 },
  },
  {
    kind: "planetary",
    set: {
      kind: "compound-two-ring",
      sun: 12,
      planet: [24, 23],
      ring: [60, 57],
      planets: 3,
      moduleMm: 1,
      fixed: "ring1",
      input: "sun",
      output: "ring2",
    },
  },
  toothedBelt,
  beltWithIdlers,
  vBelt,
  chain,
  { ...chain, inclinationDeg: 80 },
  {
    kind: "coupling",
    make: "jaw",
    ends: [
      { shaftMm: 28, boreMm: 28.02, hold: "key", key: { keyMm: 8, slotMm: 8.02 } },
      { shaftMm: 24, boreMm: 24.01, hold: "clamp" },
    ],
    rimDiameterMm: 65,
    gapMm: 16,
    allow: { radialMm: 0.22, angularDeg: 1, axialMm: 1 },
    rpm: 1450,
    feet: { frontMm: 180, rearMm: 460 },
  },
  {
    kind: "axis",
    unit: "mm",
    work: { lo: 0, hi: 900 },
    buffers: { lo: -35, hi: 941 },
    perTurn: 60,
    speed: 260,
    decel: 2600,
    reactionS: 0.02,
    stopsIn: null,
    switchRadiusMm: null,
    sensor: { turnsAvailable: 20, turnsPerShaftTurn: 1 },
    load: { forceN: 330, payloadN: 40, frictionN: 12, armMm: null },
    balance: {
      points: [
        { extensionMm: 100, forceN: 28 },
        { extensionMm: 1100, forceN: 44 },
      ],
      strands: 9,
      reeving: 1,
      extensionAtTopMm: 120,
      maxExtensionMm: 1200,
    },
    motor: { torqueNm: 2.4, gears: [{ name: "low", ratio: 10, efficiency: 0.8 }] },
  },
  {
    kind: "axis",
    unit: "deg",
    work: { lo: -48, hi: 95 },
    buffers: { lo: -56, hi: 103 },
    perTurn: 7.2,
    speed: 40,
    decel: 320,
    reactionS: 0.03,
    stopsIn: 4.5,
    switchRadiusMm: 140,
    sensor: null,
    load: null,
    balance: null,
    motor: null,
  },
  { kind: "gap", what: "end-float", places: 3, names: ["drive side", "middle", "far side"], diameterMm: 60 },
  twoSpeeds,
];
