import { chain, circle, rectangle } from "../parts";
import type { DemoMachine } from "../types";

export const lift: DemoMachine = {
  key: "lift",
  name: "Pallet lift",
  tag: "PL-2",
  site: "Finishing works",
  hall: "Dock",
  place: "gate 4",
  model: "Two-column, 1 000 kg",
  serial: "PL 2-08",
  usageUnit: "starts",
  usage: { perDay: 90, first: 41_000 },
  stages: [
    {
      key: "column-chain",
      name: "Column chain",
      geometry: {
        element: chain({ pitchMm: 15.875, teeth: [19, 19], links: 134, inclinationDeg: 90 }, 912.6),
        clamps: { points: rectangle(60, 40), size: "M10 8.8", torqueNm: 48, passes: 2, compound: true },
        turnedBy: "input",
      },
      adjuster: {
        name: "Roller",
        means: "roller-diameter",
        adjuster: { type: "shims", perMm: 0.5 },
        step: 1,
        positiveWord: "thicker",
        negativeWord: "thinner",
      },
      limits: {
        quantity: "elongation",
        lo: 0,
        aim: null,
        hi: 2,
        sourceKind: "house rule",
        source: "Lifting chains, house rule 2",
      },
      hidden: {
        mean: 0.9,
        gear: { eccentricityMm: 0, tightAngleDeg: 0 },
        pinion: { eccentricityMm: 0, tightAngleDeg: 0 },
        response: 1,
      },
    },
    {
      key: "screw-float",
      name: "Screw end float",
      geometry: {
        element: { kind: "gap", what: "end-float", places: 1, diameterMm: 60 },
        clamps: { points: circle(4, 36), size: "M8 8.8", torqueNm: 24, passes: 2, compound: true },
        turnedBy: "power",
      },
      adjuster: {
        name: "Spacers behind the nut",
        means: "spacers",
        adjuster: { type: "shims", perMm: -1 },
        step: 0.05,
        positiveWord: "thicker",
        negativeWord: "thinner",
      },
      limits: { quantity: "gap", lo: 0.05, aim: null, hi: 0.2, sourceKind: "maker", source: "Lift book, page 31" },
      hidden: {
        mean: 0.12,
        gear: { eccentricityMm: 0, tightAngleDeg: 0 },
        pinion: { eccentricityMm: 0, tightAngleDeg: 0 },
        response: 1,
      },
    },
    {
      key: "emergency",
      name: "Emergency pinion",
      geometry: {
        element: { kind: "gap", what: "pinion-clearance", places: 3, diameterMm: 280 },
        clamps: { points: circle(2, 60), size: "M10 8.8", torqueNm: 45, passes: 2, compound: false },
      },
      adjuster: {
        name: "Shims under the flange",
        means: "shims",
        adjuster: { type: "shims", perMm: 1 },
        step: 0.4,
        positiveWord: "more",
        negativeWord: "fewer",
        hasScale: true,
      },
      limits: {
        quantity: "gap",
        lo: 1.6,
        aim: 2.4,
        hi: 3.2,
        sourceKind: "recommended",
        source: "an eighth of an inch is usual on engine starters (common practice)",
      },
      hidden: {
        mean: 2.3,
        gear: { eccentricityMm: 0.15, tightAngleDeg: 120 },
        pinion: { eccentricityMm: 0, tightAngleDeg: 0 },
        response: 1,
      },
    },
  ],
  driveLine: {
    sources: [{ id: "source-0", name: "Gear motor", rpm: 1400, torqueNm: 9 }],
    links: [{ stageId: "column-chain", from: "source-0", onto: null, gear: 0, angleDeg: -90 }],
    outputs: [{ at: "column-chain", name: "Column", wheelDiameterMm: 96, scale: null }],
  },
};
