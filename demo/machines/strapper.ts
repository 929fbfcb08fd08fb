import { circle, gears, rectangle, toothedBelt } from "../parts";
import type { DemoMachine } from "../types";

export const strapper: DemoMachine = {
  key: "strapper",
  name: "Strapper",
  tag: "ST-1",
  site: "Finishing works",
  hall: "Dock",
  place: "gate 2",
  model: "Arch, 12 mm strap",
  serial: "",
  air: "yes",
  heaviestKg: 9,
  usageUnit: "cycles",
  usage: { perDay: 1100, first: 402_000 },
  stages: [
    {
      key: "feed",
      name: "Feed gears",
      geometry: {
        element: gears(
          { teeth: [15, 45], moduleMm: 1, faceWidthMm: 10, centreDistanceMm: 30.13 },
          { materials: ["acetal", "acetal"], boresMm: [8, 12] },
        ),
        clamps: { points: rectangle(40, 40), size: "M5 8.8", torqueNm: 5, passes: 2, compound: false },
      },
      adjuster: {
        name: "Motor in slots",
        means: "slot",
        adjuster: { type: "slide", angleDeg: 0 },
        step: 0.01,
        positiveWord: "away",
        negativeWord: "closer",
        hasScale: false,
      },
      limits: {
        quantity: "circumferential-backlash",
        lo: 0.07,
        aim: null,
        hi: 0.16,
        sourceKind: "recommended",
        source: "Fine pitch, moulded: common practice",
      },
      hidden: {
        mean: 0.11,
        gear: { eccentricityMm: 0.02, tightAngleDeg: 90 },
        pinion: { eccentricityMm: 0.005, tightAngleDeg: 0 },
        response: 1,
      },
    },
    {
      key: "tensioner",
      name: "Tensioner gears",
      geometry: {
        element: gears(
          { teeth: [17, 51], moduleMm: 1.5, faceWidthMm: 14, centreDistanceMm: 51.18 },
          { materials: ["steel", "steel"] },
          {
            gearName: "slow",
            gears: [{ name: "fast", teeth: [24, 44], profileShift: [0, 0] }],
            slide: {
              left: "slow",
              right: "fast",
              travel: {
                slider: { left: { fromMm: 0, toMm: 10 }, right: { fromMm: 14, toMm: 24 } },
                mates: { left: { fromMm: -13, toMm: -3 }, right: { fromMm: 28, toMm: 38 } },
                stops: { leftMm: -13, rightMm: 14 },
                wantedShare: 0.95,
                neutral: { loMm: 0.5 },
              },
              actuator: { by: "servo", unit: "µs", left: 1180, right: 1790, ends: [1000, 2000] },
            },
          },
        ),
        clamps: { points: rectangle(60, 50), size: "M6 8.8", torqueNm: 10, passes: 2, compound: false },
      },
      adjuster: {
        name: "Bearing plate",
        means: "slot",
        adjuster: { type: "slide", angleDeg: 0 },
        step: 0.02,
        positiveWord: "away",
        negativeWord: "closer",
      },
      limits: {
        quantity: "circumferential-backlash",
        lo: 0.08,
        aim: null,
        hi: 0.19,
        sourceKind: "recommended",
        source: "ISO/TR 10064-2",
      },
      hidden: {
        mean: 0.13,
        gear: { eccentricityMm: 0.015, tightAngleDeg: 10 },
        pinion: { eccentricityMm: 0.005, tightAngleDeg: 0 },
        response: 1,
      },
    },

    {
      key: "infeed",
      name: "Infeed belt",
      geometry: {
        element: toothedBelt(
          { pitchMm: 5, teeth: [20, 40], beltTeeth: 94, massKgPerM: 0.045, stiffnessN: null },
          159.5,
          [{ x: 80, y: 34, diameterMm: 30, side: "outside", strand: "upper" }],
        ),
        clamps: { points: rectangle(30, 20), size: "M5 8.8", torqueNm: 5, passes: 2, compound: false },
      },
      adjuster: {
        name: "Roller holes",
        means: "roller-holes",
        adjuster: { type: "slide", angleDeg: 0 },
        step: 2,
        positiveWord: "further in",
        negativeWord: "further out",
      },
      limits: {
        quantity: "span-frequency",
        lo: 80,
        aim: null,
        hi: 220,
        sourceKind: "house rule",
        source: "Strapper card 3",
      },
      hidden: {
        mean: 26,
        gear: { eccentricityMm: 0.004, tightAngleDeg: 0 },
        pinion: { eccentricityMm: 0, tightAngleDeg: 30 },
        response: 0.95,
      },
    },
    {
      key: "head",
      name: "Tension head",
      geometry: {
        element: {
          kind: "planetary",
          set: {
            kind: "compound-two-ring",
            sun: 12,
            planet: [18, 15],
            ring: [48, 45],
            planets: 3,
            moduleMm: 1,
            fixed: "ring1",
            input: "sun",
            output: "ring2",
          },
        },
        clamps: { points: circle(6, 40), size: "M5 8.8", torqueNm: 5, passes: 2, compound: false },
        turnedBy: "input",
      },
      adjuster: {
        name: "Nothing to adjust",
        means: null,
        adjuster: null,
        step: 1,
        positiveWord: "+",
        negativeWord: "−",
      },
      limits: {
        quantity: "angular-backlash",
        lo: 4,
        aim: null,
        hi: 30,
        sourceKind: "maker",
        source: "Head data sheet",
      },
      hidden: {
        mean: 16,
        gear: { eccentricityMm: 1.2, tightAngleDeg: 200 },
        pinion: { eccentricityMm: 0, tightAngleDeg: 30 },
        response: 0.95,
      },
    },
  ],
  driveLine: {
    sources: [{ id: "source-0", name: "Motor", rpm: 1380, torqueNm: 1.2 }],
    links: [
      { stageId: "infeed", from: "source-0", onto: null, gear: 0, angleDeg: 0 },
      { stageId: "feed", from: "infeed", onto: null, gear: 0, angleDeg: -20 },
      { stageId: "tensioner", from: "infeed", onto: null, gear: 0, angleDeg: 50 },
      { stageId: "head", from: "tensioner", onto: null, gear: 0, angleDeg: 0 },
    ],
    outputs: [
      { at: "feed", name: "Feed wheel", wheelDiameterMm: 60, scale: null },
      { at: "head", name: "Tension wheel", wheelDiameterMm: 55, scale: null },
    ],
  },
};
