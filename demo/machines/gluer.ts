import { circle, gears, rectangle, toothedBelt } from "../parts";
import type { DemoMachine } from "../types";

export const gluer: DemoMachine = {
  key: "gluer",
  name: "Folder-gluer",
  tag: "FG-4",
  site: "Finishing works",
  hall: "Hall C",
  place: "bay 1",
  model: "Three-section, 800 mm",
  serial: "FG 80-117",
  air: "yes",
  heaviestKg: 14,
  usageUnit: "hours",
  usage: { perDay: 15, first: 9120 },
  stages: [
    {
      key: "fold",
      name: "Fold drive",
      geometry: {
        element: gears(
          { teeth: [18, 54], moduleMm: 2, faceWidthMm: 20, centreDistanceMm: 72.21 },
          { materials: ["steel", "steel"] },
        ),
        clamps: { points: rectangle(90, 90), size: "M8 8.8", torqueNm: 24, passes: 2, compound: true },
      },
      adjuster: {
        name: "Motor lever",
        means: "pivot",
        adjuster: { type: "pivot", armMm: 84, angleDeg: 76, leverMm: 190 },
        step: 0.1,
        positiveWord: "up",
        negativeWord: "down",
      },
      limits: {
        quantity: "circumferential-backlash",
        lo: 0.11,
        aim: null,
        hi: 0.25,
        sourceKind: "recommended",
        source: "ISO/TR 10064-2",
      },
      hidden: {
        mean: 0.17,
        gear: { eccentricityMm: 0.02, tightAngleDeg: 280 },
        pinion: { eccentricityMm: 0.006, tightAngleDeg: 95 },
        response: 0.88,
      },
    },
    {
      key: "delivery",
      name: "Delivery drive",
      geometry: {
        element: gears(
          { teeth: [25, 50], moduleMm: 2, faceWidthMm: 20, centreDistanceMm: 75.2 },
          { materials: ["steel", "phenolic fabric"] },
        ),
        clamps: { points: circle(4, 48), size: "M8 8.8", torqueNm: 24, passes: 2, compound: false },
      },
      adjuster: {
        name: "Shims under the bearing",
        means: "shims",
        adjuster: { type: "shims", perMm: 1 },
        step: 0.05,
        positiveWord: "more",
        negativeWord: "fewer",
      },
      limits: {
        quantity: "circumferential-backlash",
        lo: 0.1,
        aim: 0.16,
        hi: 0.24,
        sourceKind: "maker",
        source: "Gluer manual 12.3",
      },
      hidden: {
        mean: 0.16,
        gear: { eccentricityMm: 0.018, tightAngleDeg: 33 },
        pinion: { eccentricityMm: 0.006, tightAngleDeg: 200 },
        response: 0.97,
      },
    },

    {
      key: "transport",
      name: "Transport belt",
      geometry: {
        element: toothedBelt(
          { pitchMm: 8, teeth: [30, 30], beltTeeth: 140, widthMm: 38, massKgPerM: 0.22, stiffnessN: 60_000 },
          435.5,
          [{ x: 217, y: -20, diameterMm: 50, side: "outside", strand: "lower" }],
        ),
        clamps: { points: rectangle(40, 40), size: "M8 8.8", torqueNm: 24, passes: 2, compound: false },
      },
      adjuster: {
        name: "Eccentric idler",
        means: "eccentric",
        adjuster: { type: "eccentric", throwMm: 4, angleDeg: 100 },
        step: 1,
        positiveWord: "clockwise",
        negativeWord: "counter-clockwise",
        seenFrom: "the front",
      },
      limits: { quantity: "tension", lo: 180, aim: null, hi: 320, sourceKind: "maker", source: "Gluer manual 14.1" },
      hidden: {
        mean: 240,
        gear: { eccentricityMm: 0.006, tightAngleDeg: 40 },
        pinion: { eccentricityMm: 0, tightAngleDeg: 30 },
        response: 0.95,
      },
    },
    {
      key: "cross",
      name: "Cross drive",
      geometry: {
        element: {
          kind: "bevel",
          shimmed: "gear",
          faceWidthMm: 14,
          bevel: { teeth: [20, 30], moduleMm: 2.5, shaftAngleDeg: 90, pressureAngleDeg: 20, spiralAngleDeg: 0 },
        },
        clamps: { points: circle(4, 44), size: "M6 8.8", torqueNm: 10, passes: 2, compound: true },
      },
      adjuster: {
        name: "Shims behind the gear",
        means: "shims",
        // They push the gear towards the apex, into the mesh.
        adjuster: { type: "shims", perMm: -1 },
        step: 0.05,
        positiveWord: "more",
        negativeWord: "fewer",
      },
      limits: {
        quantity: "circumferential-backlash",
        lo: 0.08,
        aim: null,
        hi: 0.2,
        sourceKind: "drawing",
        source: "Drawing FG-17 B",
      },
      hidden: {
        mean: 0.14,
        gear: { eccentricityMm: 0.02, tightAngleDeg: 20 },
        pinion: { eccentricityMm: 0, tightAngleDeg: 30 },
        response: 0.95,
      },
    },
  ],
  driveLine: {
    sources: [{ id: "source-0", name: "Motor", rpm: 1420, torqueNm: 10 }],
    links: [
      { stageId: "transport", from: "source-0", onto: null, gear: 0, angleDeg: 0 },
      { stageId: "fold", from: "transport", onto: null, gear: 0, angleDeg: -25 },
      { stageId: "delivery", from: "transport", onto: null, gear: 0, angleDeg: 45 },
      { stageId: "cross", from: "delivery", onto: null, gear: 0, angleDeg: 0 },
    ],
    outputs: [
      { at: "fold", name: "Fold rolls", wheelDiameterMm: 80, scale: null },
      { at: "delivery", name: "Delivery rolls", wheelDiameterMm: 90, scale: null },
    ],
  },
};
