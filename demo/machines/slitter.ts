import { circle, gears, rectangle, vBelt } from "../parts";
import type { DemoMachine } from "../types";

export const slitter: DemoMachine = {
  key: "slitter",
  name: "Slitter-rewinder",
  tag: "SR-1",
  site: "Finishing works",
  hall: "Hall C",
  place: "bay 5",
  model: "Razor and shear, 1 600 mm",
  serial: "SR 16-03",
  air: "no",
  heaviestKg: 22,
  usageUnit: "hours",
  usage: { perDay: 9, first: 22_980 },
  stages: [
    {
      key: "knife",
      name: "Knife gears",
      geometry: {
        element: gears(
          { teeth: [31, 32], moduleMm: 2.5, faceWidthMm: 25, centreDistanceMm: 78.97 },
          { materials: ["steel", "steel"] },
        ),
        clamps: { points: circle(5, 58), size: "M8 8.8", torqueNm: 24, passes: 3, compound: true },
      },
      adjuster: {
        name: "Eccentric bearing",
        means: "eccentric",
        adjuster: { type: "eccentric", throwMm: 0.8, angleDeg: 80 },
        step: 1,
        positiveWord: "clockwise",
        negativeWord: "counter-clockwise",
        seenFrom: "the knife side",
      },
      limits: {
        quantity: "circumferential-backlash",
        lo: 0.1,
        aim: 0.15,
        hi: 0.22,
        sourceKind: "drawing",
        source: "Drawing KG-09 A",
      },
      hidden: {
        mean: 0.15,
        gear: { eccentricityMm: 0.018, tightAngleDeg: 190 },
        pinion: { eccentricityMm: 0.01, tightAngleDeg: 40 },
        response: 1.1,
      },
    },
    {
      key: "rewind",
      name: "Rewind drive",
      geometry: {
        element: gears(
          { teeth: [20, 71], moduleMm: 2, faceWidthMm: 24, centreDistanceMm: 91.24 },
          { materials: ["steel", "cast iron"] },
        ),
        clamps: { points: rectangle(110, 80), size: "M8 8.8", torqueNm: 24, passes: 2, compound: false },
      },
      adjuster: {
        name: "Push screw",
        means: "jack-screw",
        adjuster: { type: "screw", leadMm: 1.25, angleDeg: 180, oneWay: true, springReturn: false },
        step: 1 / 16,
        positiveWord: "in",
        negativeWord: "out",
        hand: "right",
      },
      limits: {
        quantity: "circumferential-backlash",
        lo: 0.12,
        aim: null,
        hi: 0.27,
        sourceKind: "recommended",
        source: "ISO/TR 10064-2",
      },
      hidden: {
        mean: 0.19,
        gear: { eccentricityMm: 0.03, tightAngleDeg: 75 },
        pinion: { eccentricityMm: 0.006, tightAngleDeg: 130 },
        response: 0.9,
      },
    },

    {
      key: "brake-belt",
      name: "Unwind belt",
      geometry: {
        element: vBelt(
          { pitchDiameterMm: [80, 160], lengthMm: 900, belts: 1, massKgPerM: 0.06, stiffnessN: null },
          250,
          [{ x: 120, y: -45, diameterMm: 50, side: "outside", strand: "lower" }],
        ),
        clamps: { points: rectangle(30, 30), size: "M8 8.8", torqueNm: 24, passes: 2, compound: false },
      },
      adjuster: {
        name: "Roller lever",
        means: "lever",
        adjuster: { type: "pivot", armMm: 60, angleDeg: 85, leverMm: 120 },
        step: 0.5,
        positiveWord: "up",
        negativeWord: "down",
      },
      limits: {
        quantity: "span-force",
        lo: 3,
        aim: null,
        hi: 6,
        sourceKind: "house rule",
        source: "V-belts, house rule 9",
      },
      hidden: {
        mean: 72,
        gear: { eccentricityMm: 0.01, tightAngleDeg: 0 },
        pinion: { eccentricityMm: 0, tightAngleDeg: 30 },
        response: 0.95,
      },
    },
  ],
  driveLine: {
    sources: [{ id: "source-0", name: "Motor", rpm: 1450, torqueNm: 20 }],
    links: [
      { stageId: "rewind", from: "source-0", onto: null, gear: 0, angleDeg: 0 },
      { stageId: "knife", from: "source-0", onto: null, gear: 0, angleDeg: 110 },
      { stageId: "brake-belt", from: "rewind", onto: null, gear: 0, angleDeg: -20 },
    ],
    outputs: [
      { at: "rewind", name: "Rewind drum", wheelDiameterMm: 120, scale: null },
      { at: "knife", name: "Lower knife", wheelDiameterMm: 156, scale: null },
    ],
  },
};
