import { circle, gears, rectangle, vBelt } from "../parts";
import type { DemoMachine } from "../types";

export const feeder: DemoMachine = {
  key: "feeder",
  name: "Sheet feeder",
  tag: "SF-2",
  site: "Main works",
  hall: "Hall B",
  place: "line 1",
  model: "Lead-edge, four belts",
  serial: "LE 209",
  air: "yes",
  usageUnit: "cycles",
  usage: { perDay: 41_000, first: 12_400_000 },
  stages: [
    {
      key: "cam",
      name: "Cam drive",
      geometry: {
        element: gears(
          { teeth: [17, 68], moduleMm: 1.5, faceWidthMm: 16, centreDistanceMm: 63.98 },
          { materials: ["steel", "brass"], boresMm: [14, 20] },
        ),
        clamps: { points: circle(3, 38), size: "M6 8.8", torqueNm: 10, passes: 2, compound: true },
      },
      adjuster: {
        name: "Eccentric bush",
        means: "eccentric",
        adjuster: { type: "eccentric", throwMm: 1.5, angleDeg: 64 },
        step: 1,
        positiveWord: "clockwise",
        negativeWord: "counter-clockwise",
        seenFrom: "the drive side",
      },
      limits: {
        quantity: "circumferential-backlash",
        lo: 0.08,
        aim: null,
        hi: 0.18,
        sourceKind: "house rule",
        source: "Feeder gears, house rule 7",
      },
      hidden: {
        mean: 0.15,
        gear: { eccentricityMm: 0.118, tightAngleDeg: 47 },
        pinion: { eccentricityMm: 0.005, tightAngleDeg: 10 },
        response: 1.05,
      },
    },
    {
      key: "register",
      name: "Register drive",
      geometry: {
        element: gears(
          { teeth: [21, 63], moduleMm: 1.5, faceWidthMm: 14, centreDistanceMm: 63.15 },
          { materials: ["steel", "steel"] },
        ),
        clamps: { points: rectangle(70, 54), size: "M6 8.8", torqueNm: 10, passes: 2, compound: false },
      },
      adjuster: {
        name: "Motor foot",
        means: "slot",
        adjuster: { type: "slide", angleDeg: 0 },
        step: 0.01,
        positiveWord: "away from the cylinder",
        negativeWord: "towards the cylinder",
        hasScale: false,
      },
      limits: {
        quantity: "circumferential-backlash",
        lo: 0.07,
        aim: null,
        hi: 0.15,
        sourceKind: "maker",
        source: "Feeder handbook, table 4",
      },
      hidden: {
        mean: 0.11,
        gear: { eccentricityMm: 0.012, tightAngleDeg: 150 },
        pinion: { eccentricityMm: 0.004, tightAngleDeg: 20 },
        response: 0.9,
      },
    },

    {
      key: "feed-belts",
      name: "Feed belts",
      geometry: {
        element: vBelt(
          { pitchDiameterMm: [95, 150], lengthMm: 1060, belts: 3, massKgPerM: 0.075, stiffnessN: 22_000 },
          336.6,
        ),
        clamps: { points: rectangle(120, 90), size: "M8 8.8", torqueNm: 24, passes: 2, compound: false },
      },
      adjuster: {
        name: "Motor cradle",
        means: "pivot",
        adjuster: { type: "pivot", armMm: 120, angleDeg: 82, leverMm: 210 },
        step: 0.5,
        positiveWord: "down",
        negativeWord: "up",
      },
      limits: {
        quantity: "tension",
        lo: 110,
        aim: null,
        hi: 190,
        sourceKind: "maker",
        source: "Feeder handbook, table 9",
      },
      sideLimits: [
        {
          quantity: "angle",
          lo: null,
          hi: 0.5,
          sourceKind: "recommended",
          source: "half a degree in all (common practice)",
        },
      ],
      hidden: {
        mean: 145,
        gear: { eccentricityMm: 0.01, tightAngleDeg: 60 },
        pinion: { eccentricityMm: 0, tightAngleDeg: 30 },
        response: 0.9,
        belts: [0.07, 0.05, -0.12],
      },
    },
  ],
  driveLine: {
    sources: [{ id: "source-0", name: "Motor", rpm: 960, torqueNm: 7.5 }],
    links: [
      { stageId: "feed-belts", from: "source-0", onto: null, gear: 0, angleDeg: 0 },
      { stageId: "cam", from: "feed-belts", onto: null, gear: 0, angleDeg: -15 },
      { stageId: "register", from: "feed-belts", onto: null, gear: 0, angleDeg: 60 },
    ],
    outputs: [
      { at: "cam", name: "Cam shaft", wheelDiameterMm: null, scale: null },
      { at: "register", name: "Register roll", wheelDiameterMm: 70, scale: null },
    ],
  },
};
