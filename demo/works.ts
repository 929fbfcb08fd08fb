import type { Adjuster } from "../core/advice";
import type { HiddenMesh } from "../core/practice";

export const workshop = { name: "Carton works", timeZone: "Europe/London" };
export const lead = { name: "I. Varga", signIn: "lead", password: "carton works" };

export const instruments = [
  {
    key: "lever",
    name: "Lever indicator 0.01",
    kind: "lever indicator",
    resolutionMm: 0.01,
    expandedUncertaintyMm: 0.006,
    coverage: 2,
  },
  {
    key: "fine",
    name: "Dial indicator 0.002",
    kind: "dial indicator",
    resolutionMm: 0.002,
    expandedUncertaintyMm: 0.004,
    coverage: 2,
  },
] as const;

export type DemoStage = {
  key: string;
  name: string;
  teeth: [number, number];
  moduleMm: number;
  faceWidthMm: number;
  centreDistanceMm: number;
  clamps: { points: { x: number; y: number }[]; size: string; torqueNm: number; passes: number; compound: boolean };
  adjusterName: string;
  adjuster: Adjuster;
  step: number;
  positiveWord: string;
  negativeWord: string;
  limits: { loMm: number; aimMm: number | null; hiMm: number };
  sourceKind: "drawing" | "maker" | "house rule" | "recommended" | "standard";
  source: string;
  hidden: Omit<HiddenMesh, "pair">;
};

export type DemoMachine = {
  key: string;
  name: string;
  tag: string;
  place: string;
  model: string;
  usageUnit: "hours" | "cycles" | "starts";
  stages: DemoStage[];
};

const rectangle = (width: number, height: number) => [
  { x: -width / 2, y: -height / 2 },
  { x: width / 2, y: -height / 2 },
  { x: width / 2, y: height / 2 },
  { x: -width / 2, y: height / 2 },
];

const circle = (count: number, radius: number) =>
  Array.from({ length: count }, (_, i) => ({
    x: radius * Math.sin((2 * Math.PI * i) / count),
    y: -radius * Math.cos((2 * Math.PI * i) / count),
  }));

export const machines: readonly DemoMachine[] = [
  {
    key: "die-cutter",
    name: "Rotary die-cutter",
    tag: "RDC-1",
    place: "Hall A, bay 3",
    model: "Two-cylinder, 1 100 mm",
    usageUnit: "hours",
    stages: [
      {
        key: "anvil",
        name: "Anvil drive",
        teeth: [22, 57],
        moduleMm: 2.5,
        faceWidthMm: 28,
        centreDistanceMm: 98.97,
        clamps: { points: rectangle(150, 110), size: "M10 8.8", torqueNm: 48, passes: 3, compound: true },
        adjusterName: "Jack screw",
        adjuster: { type: "screw", leadMm: 1, angleDeg: 0, oneWay: false, springReturn: false },
        step: 1 / 16,
        positiveWord: "out",
        negativeWord: "in",
        limits: { loMm: 0.14, aimMm: null, hiMm: 0.28 },
        sourceKind: "drawing",
        source: "Drawing AD-118 C",
        hidden: {
          meanMm: 0.205,
          gear: { eccentricityMm: 0.046, tightAngleDeg: 221 },
          pinion: { eccentricityMm: 0.008, tightAngleDeg: 70 },
          response: 0.82,
        },
      },
      {
        key: "cutter",
        name: "Cutter drive",
        teeth: [19, 46],
        moduleMm: 2,
        faceWidthMm: 22,
        centreDistanceMm: 65.22,
        clamps: { points: circle(6, 62), size: "M8 8.8", torqueNm: 24, passes: 3, compound: false },
        adjusterName: "Bearing plate",
        adjuster: { type: "slide", angleDeg: 15, travel: { min: -1.6, max: 1.4 } },
        step: 0.02,
        positiveWord: "outwards along its slots",
        negativeWord: "inwards along its slots",
        limits: { loMm: 0.11, aimMm: 0.16, hiMm: 0.22 },
        sourceKind: "recommended",
        source: "ISO/TR 10064-2 for the lower, twice that for the upper",
        hidden: {
          meanMm: 0.17,
          gear: { eccentricityMm: 0.016, tightAngleDeg: 118 },
          pinion: { eccentricityMm: 0.006, tightAngleDeg: 300 },
          response: 0.95,
        },
      },
    ],
  },
  {
    key: "feeder",
    name: "Sheet feeder",
    tag: "SF-2",
    place: "Hall B",
    model: "Lead-edge, four belts",
    usageUnit: "cycles",
    stages: [
      {
        key: "cam",
        name: "Cam drive",
        teeth: [17, 68],
        moduleMm: 1.5,
        faceWidthMm: 16,
        centreDistanceMm: 63.98,
        clamps: { points: circle(3, 38), size: "M6 8.8", torqueNm: 10, passes: 2, compound: true },
        adjusterName: "Eccentric bush",
        adjuster: { type: "eccentric", throwMm: 1.5, angleDeg: 64 },
        step: 1,
        positiveWord: "clockwise",
        negativeWord: "counter-clockwise",
        limits: { loMm: 0.08, aimMm: null, hiMm: 0.18 },
        sourceKind: "house rule",
        source: "Feeder gears, house rule 7",
        hidden: {
          meanMm: 0.15,
          gear: { eccentricityMm: 0.118, tightAngleDeg: 47 },
          pinion: { eccentricityMm: 0.005, tightAngleDeg: 10 },
          response: 1.05,
        },
      },
    ],
  },
];
