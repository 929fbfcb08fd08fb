import { circle, gears, rectangle } from "../parts";
import type { DemoMachine } from "../types";

export const table: DemoMachine = {
  key: "table",
  name: "Indexing table",
  tag: "IT-1",
  site: "Main works",
  hall: "Tool room",
  place: "",
  model: "Locking sector",
  serial: "IT 7",
  usageUnit: "starts",
  units: "inch",
  usage: { perDay: 320, first: 154_000 },
  stages: [
    {
      key: "sector",
      name: "Locking sector",
      geometry: {
        element: gears(
          { teeth: [18, 90], moduleMm: 1.5, faceWidthMm: 12, centreDistanceMm: 81.16 },
          { materials: ["steel", "steel"] },
        ),
        clamps: { points: rectangle(60, 40), size: "M6 8.8", torqueNm: 10, passes: 2, compound: true },
        arcDeg: [0, 112],
        turnedBy: "input",
      },
      adjuster: {
        name: "Pinion bracket",
        means: "slot",
        adjuster: { type: "slide", angleDeg: 0, travel: { min: -0.8, max: 0.8 } },
        step: 0.01,
        positiveWord: "away from the sector",
        negativeWord: "towards the sector",
        hasScale: false,
      },
      limits: {
        quantity: "circumferential-backlash",
        lo: 0.07,
        aim: null,
        hi: 0.16,
        sourceKind: "house rule",
        source: "Tool room, house rule 3",
      },
      hidden: {
        mean: 0.115,
        gear: { eccentricityMm: 0.014, tightAngleDeg: 60 },
        pinion: { eccentricityMm: 0.004, tightAngleDeg: 0 },
        response: 0.93,
      },
    },

    {
      key: "ring",
      name: "Ring drive",
      geometry: {
        element: gears(
          { teeth: [17, 68], moduleMm: 2, faceWidthMm: 20, centreDistanceMm: 50.82, internal: true },
          { materials: ["steel", "cast iron"] },
        ),
        clamps: { points: circle(3, 40), size: "M6 8.8", torqueNm: 10, passes: 2, compound: false },
      },
      adjuster: {
        name: "Pinion slide",
        means: "slot",
        adjuster: { type: "slide", angleDeg: 180 },
        step: 0.02,
        positiveWord: "away from the rim",
        negativeWord: "towards the rim",
      },
      limits: {
        quantity: "circumferential-backlash",
        lo: 0.08,
        aim: null,
        hi: 0.2,
        sourceKind: "recommended",
        source: "ISO/TR 10064-2",
      },
      hidden: {
        mean: 0.15,
        gear: { eccentricityMm: 0.02, tightAngleDeg: 250 },
        pinion: { eccentricityMm: 0.004, tightAngleDeg: 30 },
        response: 0.95,
      },
    },
    {
      key: "reducer",
      name: "Reducer",
      geometry: {
        element: {
          kind: "planetary",
          set: {
            kind: "simple",
            sun: 18,
            planet: [27],
            ring: [72],
            planets: 3,
            moduleMm: 1.5,
            fixed: "ring",
            input: "sun",
            output: "carrier",
          },
        },
        clamps: { points: circle(6, 66), size: "M6 8.8", torqueNm: 10, passes: 2, compound: false },
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
      limits: { quantity: "angular-backlash", lo: 2, aim: null, hi: 12, sourceKind: "maker", source: "Reducer plate" },
      hidden: {
        mean: 7.5,
        gear: { eccentricityMm: 0.6, tightAngleDeg: 90 },
        pinion: { eccentricityMm: 0, tightAngleDeg: 30 },
        response: 0.95,
      },
    },
  ],
  driveLine: {
    sources: [{ id: "source-0", name: "Motor", rpm: 900, torqueNm: 3 }],
    links: [
      { stageId: "reducer", from: "source-0", onto: null, gear: 0, angleDeg: 0 },
      { stageId: "ring", from: "reducer", onto: null, gear: 0, angleDeg: 0 },
      { stageId: "sector", from: "reducer", onto: null, gear: 0, angleDeg: 120 },
    ],
    outputs: [
      { at: "ring", name: "Table", wheelDiameterMm: 600, scale: null },
      { at: "sector", name: "Locking arm", wheelDiameterMm: null, scale: null },
    ],
  },
};
