import { describe, expect, test } from "vitest";
import { tools } from "~/calc";
import { refusalOf } from "./run";

/** A good input for every tool, with every optional key that can stand beside the others. */
const good: Record<string, Record<string, unknown>> = {
  "gear-identify": {
    toothCount: 24,
    tipDiameterMm: 26,
    rootDiameterMm: 21.5,
    spans: [{ teeth: 3, mm: 7.7 }],
    resolutionMm: 0.01,
    measuredBy: "caliper",
    tipToleranceMm: 0.1,
  },
  "gear-pair": {
    teeth: [20, 40],
    moduleMm: 1,
    pressureAngleDeg: 20,
    helixAngleDeg: 10,
    profileShift: [0.1, 0],
    thinningMm: [0.02, 0],
    faceWidthMm: 10,
    tipDiameterMm: [22, 42],
    internal: false,
    centreDistanceMm: 31,
  },
  "shaft-align": {
    method: "rim-face",
    rim: { topMm: 0, rightMm: 0.1, bottomMm: 0.3, leftMm: 0.2, sagMm: -0.06 },
    face: { topMm: 0, rightMm: 0, bottomMm: -0.1, leftMm: -0.1, sagMm: 0, diameterMm: 120 },
    feet: { frontMm: 180, rearMm: 460 },
    limits: { offsetMm: 0.1, angleMmPerM: 1 },
    closureLimitMm: 0.02,
    expandedUncertaintyMm: 0.01,
  },
  coupling: {
    ends: [
      { shaftMm: 19.98, boreMm: 20, hold: "key", key: { keyMm: 6, slotMm: 6.02 } },
      { shaftMm: 13.99, boreMm: 14, hold: "flat", flat: { shaftMm: 12.5, boreMm: 12.52 } },
    ],
    clearanceMm: { lo: 0, hi: 0.05 },
    holdClearanceMm: { lo: 0, hi: 0.05 },
    errors: { radialMm: 0.1, angularDeg: 0.2, axialMm: 0.1 },
    allow: { radialMm: 0.3, angularDeg: 1, axialMm: 0.5 },
    growth: { lengthMm: [140, 90], perK: [11.5e-6, 23e-6], fromC: 18, toC: [63, 48], runGapMm: 1.5 },
    torqueNm: 20,
    ratedNm: 60,
    serviceFactor: 1.5,
  },
  "gear-span": { toothCount: 24, moduleMm: 1, profileShift: 0, thinningMm: 0, spanTeeth: 3, pinDiameterMm: 1.7 },
  "mesh-round": {
    teeth: [20, 40],
    moduleMm: 1,
    readings: [0, 90, 180, 270].map((gearAngleDeg) => ({ gearAngleDeg, backlashMm: 0.1 })),
    separatePinion: true,
    arcDeg: [0, 200],
  },
  "round-plan": { teeth: [20, 40], positions: 9, maxTurns: 2 },
  verdict: { valueMm: 1, limits: { lo: 0, hi: 2 }, expandedUncertainty: 0.1 },
  advise: {
    quantity: "backlash",
    readings: [{ gearAngleDeg: 0, value: 0.2 }],
    worst: { min: 0.1, max: 0.3 },
    limits: { lo: 0.05, aim: 0.1, hi: 0.15 },
    expandedUncertainty: 0.01,
    sensitivity: 0.7,
    adjuster: {
      type: "screw",
      leadMm: 0.7,
      angleDeg: 0,
      oneWay: false,
      springReturn: false,
      travel: { min: -2, max: 2 },
    },
    response: { perUnit: 0.5, sd: 0.1 },
    school: "tight-spot",
    tightRisk: 0.01,
  },
  response: { prior: { perUnit: 0.7, sd: 0.2 }, moves: [{ amount: 0.5, change: 0.3 }], readingSd: 0.01 },
  "fasten-order": { bolts: 6, passes: 2, torqueNm: 9 },
  fit: { holeMm: [10, 10.02], shaftMm: [9.9, 9.98], nominalMm: 10 },
  trend: { points: [0, 1, 2].map((t) => ({ t, y: t })), resets: [5], limit: 9 },
  "warm-up": { points: [0, 1, 2, 4].map((minutes) => ({ minutes, tempC: 20 + minutes })), limitC: 50 },
  "thermal-mesh": {
    teeth: [20, 40],
    moduleMm: 1,
    housingPerK: 23e-6,
    gearPerK: [8e-5, 8e-5],
    fromC: 20,
    housingToC: 50,
    gearToC: [60, 70],
  },
  "worm-pair": { wormStarts: 2, wheelTeeth: 30, axialModuleMm: 3, wormPitchDiameterMm: 44, wheelBacklashMm: 0.1 },
  "bevel-pair": { teeth: [20, 40], moduleMm: 3, shaftAngleDeg: 80, spiralAngleDeg: 20 },
  planetary: { kind: "simple", sun: 24, planet: [24], ring: [72], planets: 4, moduleMm: 1, fixed: "ring" },
  train: { stages: [{ id: "a", ratio: 3, efficiency: 0.9 }], inputRpm: 1000, inputTorqueNm: 1, wheelDiameterMm: 40 },
  "belt-drive": { pitchMm: 2, teeth: [20, 60], beltTeeth: 140 },
  "belt-path": {
    pulleys: [
      { x: 0, y: 0, pitchDiameterMm: 40, side: "inside" },
      { x: 200, y: 0, pitchDiameterMm: 40, side: "inside" },
    ],
  },
  "belt-tension": {
    spanMm: 200,
    massKgPerM: 0.1,
    deflection: { forceN: 20, mm: 3 },
    elongation: { stiffnessN: 9000, beltLengthMm: 600, centreDistanceMm: 210 },
  },
  "idler-set": {
    pulleys: [
      { x: 0, y: 0, pitchDiameterMm: 40, side: "inside" },
      { x: 100, y: 0, pitchDiameterMm: 40, side: "inside" },
    ],
    eccentric: { index: 1, pivotX: 100, pivotY: 0, throwMm: 2 },
    targetLengthMm: 326,
  },
  "chain-drive": { pitchMm: 12.7, teeth: [17, 51], links: 100 },
  "chain-condition": {
    pitchMm: 12.7,
    teeth: [17, 51],
    centreDistanceMm: 500,
    measured: { pitches: 20, mm: 256 },
    sagMm: 12,
    targetSagMm: 10,
  },
  "shim-stack": {
    gapMm: 2.37,
    target: { loMm: 0.05, aimMm: 0.08, hiMm: 0.15 },
    stock: [{ thicknessMm: 0.1, count: 3 }],
    maxPieces: 4,
  },
  "shaft-stack": {
    lengthMm: 20,
    lengthUncertaintyMm: 0.02,
    items: [{ id: "gear", widthMm: 6, planeMm: 3, planeAtMm: 9.5, toleranceMm: 0.2, expandedUncertaintyMm: 0.02 }],
    spacers: [{ widthMm: 0.5, count: 4 }],
    endFloat: { loMm: 0.1, hiMm: 0.4 },
    makeAfter: "gear",
  },
  "hole-grid": { pitchMm: 8, moduleMm: 1, teeth: [12, 20], maxHoles: 5, band: { loMm: 0, hiMm: 0.3 } },
  "index-plan": { stepsPerRev: 200, microsteps: 16, ratio: [40, 1], divisions: 60 },
  "feel-round": { words: [{ place: 3, grade: 3 }], places: 12, arc: [2, 8] },
  "swap-pairs": {
    present: { teeth: [18, 72], moduleMm: 0.5, profileShift: [0, 0], centreDistanceMm: 22.6 },
    travel: { partMm: 0.5, closeMm: 0.1 },
    limits: { loMm: 0.03, aimMm: 0.06, hiMm: 0.1 },
    gears: [{ id: "a", teeth: 19, moduleMm: 0.5, boreMm: 3, shift: 0, thinningMm: 0, count: 1 }],
    newTeeth: { from: 16, to: 20 },
    driverBoreMm: 3,
    drivenBoreMm: 5,
    reversed: true,
    minContactRatio: 1.1,
    maxRejected: 5,
  },
  "roller-grid": {
    pulleys: [
      { x: 0, y: 0, pitchDiameterMm: 40, side: "inside" },
      { x: 150, y: 0, pitchDiameterMm: 60, side: "inside" },
      { x: 70, y: 60, pitchDiameterMm: 15, side: "inside" },
    ],
    roller: { index: 2, holes: [{ x: 70, y: 60 }], diametersMm: [15, 22], addRadiusMm: 0.5 },
    lengthMm: 482,
    stiffnessN: 9000,
    limitsN: { lo: 20, aim: 40, hi: 60 },
  },
  "hand-slack": {
    spanMm: 400,
    movementMm: 60,
    shape: "arc",
    forceN: 20,
    drive: "steep",
    centreDistanceMm: 420,
    roller: { alongMm: 130, diameterMm: 32, pressMm: 4, spanMm: 390, maxPressMm: 30 },
    expandedUncertaintyMm: 1,
  },
  "tension-first": {
    tensionN: 25,
    readingSdN: 2,
    perUnitN: 80,
    spread: 0.5,
    limitsN: { lo: 90, aim: 105, hi: 120 },
    risk: 0.01,
    moves: [{ amount: 0.3, readingN: 60 }],
  },
  "go-no-go": { goesMm: 0.1, stopsMm: 0.15, toleranceMm: 0.01, limits: { lo: 0.1, hi: 0.2 }, sizesMm: [0.12, 0.13] },
  "paper-strip": {
    thicknessMm: 0.1,
    flanks: 2,
    pressed: 0.9,
    toleranceMm: 0.01,
    pressureAngleDeg: 20,
    helixAngleDeg: 10,
    workingPressureAngleDeg: 21,
    limits: { lo: 0.1, hi: 0.3 },
    aimMm: 0.2,
  },
  "contact-print": {
    kind: "bevel",
    prints: [{ flank: "drive", depth: { from: 0.2, to: 0.8 }, length: { from: 0.1, to: 0.5 }, diagonal: false }],
    wholeDepthMm: 2.25,
    faceWidthMm: 10,
    boltSpanMm: 60,
    filmMm: 0.01,
    pressureAngleDeg: 20,
    spiral: true,
  },
  "shift-travel": {
    slider: { left: { fromMm: 0, toMm: 8 }, right: { fromMm: 0, toMm: 8 } },
    mates: { left: { fromMm: -12, toMm: -4 }, right: { fromMm: 12, toMm: 20 } },
    stops: { leftMm: -12, rightMm: 12 },
    wantedShare: 0.9,
    neutral: { loMm: 0.5, hiMm: 9 },
  },
  "stop-spacer": {
    ends: [{ id: "left", readingsMm: [0.02, 0.05], perMm: 0.73, spacerMm: 1.2 }],
    limits: { lo: 0.05, aim: 0.1, hi: 0.15 },
    expandedUncertaintyMm: 0.01,
    spacersMm: [1.2, 1.3],
  },
  "force-sweep": {
    points: [1, 2, 3].map((forceN) => ({ forceN, currentA: 1 + forceN / 100 })),
    allowedRisePercent: 5,
    resolutionA: 0.01,
  },
  "fit-series": {
    of: "hole",
    tries: [{ sizeMm: 5, felt: "presses" }],
    wanted: "slides",
    stepMm: 0.05,
    pair: { holeMm: 5, shaftMm: 4.99, expandedUncertaintyMm: 0.01 },
  },
  "part-runout": {
    radialMm: [0, 0.1, 0.2, 0.1],
    faceMm: [0, 0, 0.1, 0],
    faceDiameterMm: 60,
    shaftMm: [0, 0.01, 0, 0],
    limitMm: 0.1,
    expandedUncertaintyMm: 0.01,
  },
  "housing-line": {
    housings: [
      { xMm: 0, gapMm: 20, eased: "frees" },
      { xMm: 400, gapMm: 20.3 },
    ],
    expandedUncertaintyMm: 0.02,
    limitMm: 0.1,
  },
  "made-bore": {
    shaftMm: [4.99, 5],
    resolutionMm: 0.01,
    made: [1, 2].map((i) => ({ drawnMm: 5 + i / 10, madeMm: 4.8 + i / 10 })),
    wanted: { loMm: 0, hiMm: 0.1 },
    stepMm: 0.05,
  },
  "ratio-for-speed": {
    inputRpm: 1400,
    outputMPerS: 0.5,
    wheelDiameterMm: 60,
    teeth: { from: 12, to: 60 },
    toothSum: 72,
    stages: 2,
    results: 3,
    tolerancePercent: 1,
  },
  "strip-order": { parts: [{ id: "a", after: ["b"], hides: ["c"], screws: 4 }, { id: "b" }, { id: "c" }], part: "b" },
  "grease-due": {
    points: [
      {
        id: "a",
        intervalH: 1000,
        lastH: 100,
        dirt: "dusty",
        wet: "damp",
        tempC: 80,
        vertical: true,
        intervalDays: 90,
        daysSince: 20,
        bearing: { outerMm: 47, widthMm: 14 },
      },
    ],
    nowH: 250,
    hoursPerDay: 10,
    horizonDays: 7,
  },
  flatness: {
    points: [0, 1, 2, 3].map((i) => ({ xMm: 100 * (i % 2), yMm: 100 * Math.floor(i / 2), zMm: i / 10 })),
    expandedUncertaintyMm: 0.01,
    limitMm: 0.1,
    rails: { along: "x", a: [0, 1], b: [2, 3] },
    railLimitMmPerM: 1,
  },
  "wheel-align": {
    kind: "toothed",
    centreDistanceMm: 480,
    movable: { nearMm: 0.4, farMm: 1.1, apartMm: 150 },
    fixed: { nearMm: 0, farMm: 0.1, apartMm: 90 },
    rimWidthMm: [20, 22],
    across: { topMm: 0.1, bottomMm: 0, apartMm: 140 },
    feet: { frontMm: 85, rearMm: 265 },
    limitDeg: 0.25,
    expandedUncertaintyMm: 0.05,
  },
  "frame-pull": {
    readings: [0, 120].map((tensionN) => ({ tensionN, offsetMm: tensionN / 1000, angleDeg: 0.01 })),
    targetN: 100,
    bandN: { lo: 60, hi: 160 },
    limits: { offsetMm: 0.5, angleDeg: 0.25 },
    expandedUncertainty: { offsetMm: 0.01, angleDeg: 0.01 },
  },
  pluck: {
    simulated: {
      frequencyHz: 90,
      quality: 40,
      stiffness: 0.001,
      signalToNoiseDb: 30,
      hum: 0.1,
      mainsHz: 50,
      pluckAt: 0.4,
      hearAt: 0.3,
      secondHitS: 0.8,
      seed: 1,
    },
    expectedHz: 92,
    bandHz: [10, 1200],
  },
  "belt-width": {
    powerW: 100,
    rpm: 900,
    pitchMm: 5,
    teeth: 18,
    teethInMesh: 7.5,
    allowableNPerMm: 14,
    serviceFactor: 1.2,
    stockMm: [9, 15],
    behind: { ratio: 6, efficiency: 0.97, pitchDiameterMm: 57, teethInMesh: 6, allowableNPerMm: 14 },
  },
  strands: {
    strands: ["left", "right"].map((id) => ({ id, frequencyHz: 42 })),
    spanMm: 400,
    massKgPerM: 0.08,
    stiffnessNPerMm: 30,
    limitPercent: 10,
    expandedUncertaintyPercent: 2,
  },
  "open-run": {
    pitchMm: 9.525,
    teeth: 12,
    wrapDeg: 170,
    sides: [0, 1].map(() => ({ jointMm: 60, guardMm: 5, endMm: 120 })),
    neededDeg: { forward: 60, back: 60 },
    tackle: { falls: 3, sheaveEfficiency: 0.96, haulFrom: "moving", loadN: 100, loadTravelMm: 50 },
  },
  "axis-travel": {
    unit: "mm",
    pulley: { pitchMm: 5, teeth: 20 },
    work: { lo: 0, hi: 800 },
    low: { switchAt: -20, bufferAt: -50 },
    high: { switchAt: 820, bufferAt: 850 },
    speed: 200,
    decel: 2000,
    reactionS: 0.02,
    sensor: { turnsAvailable: 12, turnsPerShaftTurn: 1, turnsAtLow: 1 },
  },
  counterbalance: {
    loadKg: 30,
    strand: { points: [100, 500].map((extensionMm) => ({ extensionMm, forceN: 24 + extensionMm / 25 })) },
    strands: 8,
    reeving: 1,
    extensionAtTopMm: 120,
    travelMm: 400,
    frictionN: 12,
    maxStrands: 12,
    maxExtensionMm: 600,
    pulleyPitchDiameterMm: 60,
  },
  "index-error": {
    divisions: 24,
    wheels: [{ id: "wheel", eccentricityMm: 0.02, radiusMm: 40, turnsPerOutputTurn: [1, 1], pressureAngleDeg: 20 }],
    stepsPerOutputTurn: [12800, 3],
    lostMotionArcmin: 2,
    oneSided: false,
    others: [{ id: "coupling", arcmin: 0.5 }],
    toleranceArcmin: 5,
  },
  closure: {
    divisions: 24,
    turns: 2,
    forward: [-1.2, -1.4],
    backward: [-5.2, -5],
    radiusMm: 80,
    toleranceArcmin: 6,
    expandedUncertainty: 0.2,
    stepsPerTurn: 4800,
  },
  "heard-period": {
    sources: [{ id: "motor", perMinute: 700, fixed: false }],
    heard: { perMinute: 690, toleranceShare: 0.05 },
    maxTimes: 3,
  },
  "steps-per-unit": { stepsPerRev: 200, microsteps: 16, ratio: [1, 1], drumDiameterMm: 20, axis: "Y" },
};

type Spot = { path: (string | number)[]; value: unknown };

/** Every value inside an input, with its path. */
function spots(value: unknown, path: (string | number)[] = []): Spot[] {
  const here = path.length === 0 ? [] : [{ path, value }];
  if (Array.isArray(value)) return [...here, ...value.flatMap((item, i) => spots(item, [...path, i]))];
  if (value && typeof value === "object")
    return [...here, ...Object.entries(value).flatMap(([key, inner]) => spots(inner, [...path, key]))];
  return here;
}

function changed(input: unknown, path: readonly (string | number)[], to: unknown): unknown {
  const copy = structuredClone(input) as Record<string | number, unknown>;
  let at = copy;
  for (const part of path.slice(0, -1)) at = at[part] as Record<string | number, unknown>;
  const last = path[path.length - 1] as string | number;
  if (to === undefined) delete at[last];
  else at[last] = to;
  return copy;
}

describe.each(tools.map((tool) => tool.name))("%s", (name) => {
  const input = good[name] ?? {};

  test("takes its good input", () => {
    expect(refusalOf(name, input)).toBe("accepted");
  });

  test("names an unknown key, at every level", () => {
    expect(refusalOf(name, { ...input, extra: 1 })).toBe("unknown-key extra");
    for (const { path, value } of spots(input)) {
      if (!value || typeof value !== "object" || Array.isArray(value)) continue;
      expect(refusalOf(name, changed(input, [...path, "extra"], 1))).toBe(
        `unknown-key ${[...path, "extra"].join(".")}`,
      );
    }
  });

  test("names what has the wrong type, wherever it stands", () => {
    for (const { path, value } of spots(input)) {
      if (value && typeof value === "object") continue;
      const wrong = typeof value === "number" ? "text" : 7;
      expect(refusalOf(name, changed(input, path, wrong))).toMatch(new RegExp(` ${path.join(".")}$`));
      // null counts as left out, on a key; an item of a list cannot be left out.
      const nothing = refusalOf(name, changed(input, path, null));
      if (typeof path[path.length - 1] === "number") expect(nothing).toMatch(new RegExp(` ${path.join(".")}$`));
      else expect(nothing).toBe(refusalOf(name, changed(input, path, undefined)));
    }
  });

  test("is no object: refused as a whole", () => {
    for (const nothing of [null, [], "x", 3]) expect(refusalOf(name, nothing)).toMatch(/^wrong-type $/);
  });
});

test.each<[string, (string | number)[], unknown, string]>([
  ["gear-identify", ["toothCount"], 2, "too-small"],
  ["gear-identify", ["tipDiameterMm"], 0, "too-small"],
  ["gear-identify", ["rootDiameterMm"], 30, "root-not-below-tip"],
  ["gear-identify", ["measuredBy"], "eye", "not-listed"],
  ["gear-identify", ["spans"], [], "too-few"],
  ["gear-identify", ["tipToleranceMm"], -0.1, "too-small"],
  ["gear-pair", ["pressureAngleDeg"], 60, "too-large"],
  ["gear-pair", ["helixAngleDeg"], -60, "too-small"],
  ["gear-pair", ["thinningMm", 1], -0.01, "too-small"],
  ["gear-pair", ["faceWidthMm"], 0, "too-small"],
  ["gear-pair", ["teeth"], [20, 40, 60], "too-many"],
  ["gear-span", ["spanTeeth"], 2.5, "not-whole"],
  ["gear-span", ["thinningMm"], -1, "too-small"],
  ["mesh-round", ["readings"], [], "too-few"],
  ["mesh-round", ["arcDeg"], [10, 10], "arc-empty"],
  ["round-plan", ["positions"], 0, "too-small"],
  ["round-plan", ["positions"], 81, "too-many-positions"],
  ["verdict", ["expandedUncertainty"], -0.1, "too-small"],
  ["verdict", ["limits", "lo"], 3, "window-upside-down"],
  ["advise", ["limits", "lo"], 0.2, "window-upside-down"],
  ["advise", ["worst", "min"], 0.4, "window-upside-down"],
  ["advise", ["adjuster", "travel", "min"], 3, "window-upside-down"],
  ["advise", ["adjuster", "leadMm"], 0, "too-small"],
  ["advise", ["adjuster", "angleDeg"], 90, "cannot-move-the-centres"],
  ["advise", ["response", "perUnit"], 0, "is-zero"],
  ["advise", ["response", "sd"], 0, "too-small"],
  ["advise", ["tightRisk"], 1, "too-large"],
  ["advise", ["school"], "by-ear", "not-listed"],
  ["advise", ["quantity"], "noise", "not-listed"],
  ["response", ["prior", "sd"], 0, "too-small"],
  ["response", ["readingSd"], 0, "too-small"],
  ["fasten-order", ["bolts"], 0, "too-small"],
  ["fasten-order", ["passes"], 0, "too-small"],
  ["fasten-order", ["torqueNm"], -1, "too-small"],
  ["worm-pair", ["wheelTeeth"], 1e9, "too-large"],
  ["worm-pair", ["wheelBacklashMm"], -1, "too-small"],
  ["bevel-pair", ["shaftAngleDeg"], 180, "too-large"],
  ["planetary", ["planets"], 0, "too-small"],
  ["planetary", ["planet"], [24, 20], "too-many"],
  ["planetary", ["output"], "ring", "two-roles"],
  ["planetary", ["output"], "ring2", "not-listed"],
  ["train", ["stages"], [], "too-few"],
  ["train", ["stages", 0, "ratio"], 0, "is-zero"],
  ["train", ["stages", 0, "efficiency"], 1.2, "too-large"],
  ["belt-tension", ["deflection", "mm"], 0, "too-small"],
  ["idler-set", ["pulleys", 0, "side"], "above", "not-listed"],
  ["chain-drive", ["links"], 99.5, "not-whole"],
  ["chain-condition", ["measured", "pitches"], 0, "too-small"],
  ["hole-grid", ["band", "loMm"], 1, "window-upside-down"],
  ["shim-stack", ["target", "loMm"], 1, "window-upside-down"],
  ["shim-stack", ["stock", 0, "count"], -1, "too-small"],
  ["shaft-stack", ["endFloat", "loMm"], 1, "window-upside-down"],
  ["shaft-stack", ["items", 0, "id"], "left-face", "id-twice"],
  ["index-plan", ["ratio", 1], 0, "too-small"],
])("%s refuses %j = %j: %s", (name, path, value, code) => {
  expect(refusalOf(name, changed(good[name], path, value))).toBe(`${code} ${path.join(".")}`);
});
