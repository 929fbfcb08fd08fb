import type { Adjuster } from "../core/advice";
import type { GearParts } from "../core/gears";
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
    leavesMm: [],
  },
  {
    key: "fine",
    name: "Dial indicator 0.002",
    kind: "dial indicator",
    resolutionMm: 0.002,
    expandedUncertaintyMm: 0.004,
    coverage: 2,
    leavesMm: [],
  },
  {
    key: "feelers",
    name: "Feelers 0.03 to 1.00",
    kind: "feeler set",
    resolutionMm: 0.01,
    expandedUncertaintyMm: 0.008,
    coverage: 2,
    leavesMm: [
      0.03, 0.04, 0.05, 0.06, 0.07, 0.08, 0.09, 0.1, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.6, 0.7, 0.8, 0.9, 1,
    ],
  },
];

export type DemoStage = {
  key: string;
  name: string;
  geometry: {
    pair: PairInput;
    clamps: { points: { x: number; y: number }[]; size: string; torqueNm: number; passes: number; compound: boolean };
    arcDeg?: [number, number];
    turnedBy?: "either" | "input" | "output" | "power";
    parts?: GearParts;
  };
  adjuster: {
    name: string;
    adjuster: Adjuster;
    step: number;
    positiveWord: string;
    negativeWord: string;
    hand?: "right" | "left";
    hasScale?: boolean;
    seenFrom?: string;
  };
  limits: {
    loMm: number;
    aimMm: number | null;
    hiMm: number;
    sourceKind: "drawing" | "maker" | "house rule" | "recommended" | "standard";
    source: string;
  };
  hidden: Omit<HiddenMesh, "pair">;
};

type PairInput = {
  teeth: [number, number];
  moduleMm: number;
  faceWidthMm: number;
  centreDistanceMm: number;
  profileShift?: [number, number];
};

export type DemoMachine = {
  key: string;
  name: string;
  tag: string;
  site: string;
  hall: string;
  place: string;
  model: string;
  serial: string;
  usageUnit: "hours" | "cycles" | "starts";
  /** Usage a day, and at the beginning of the log. */
  usage: { perDay: number; first: number };
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
    site: "Main works",
    hall: "Hall A",
    place: "bay 3",
    model: "Two-cylinder, 1 100 mm",
    serial: "DC 4471",
    usageUnit: "hours",
    usage: { perDay: 13.5, first: 18_240 },
    stages: [
      {
        key: "anvil",
        name: "Anvil drive",
        geometry: {
          pair: { teeth: [22, 57], moduleMm: 2.5, faceWidthMm: 28, centreDistanceMm: 98.97 },
          clamps: { points: rectangle(150, 110), size: "M10 8.8", torqueNm: 48, passes: 3, compound: true },
          parts: { materials: ["steel", "steel"], boresMm: [28, 45], keywaysMm: [3.3, 3.8] },
        },
        adjuster: {
          name: "Jack screw",
          adjuster: { type: "screw", leadMm: 1, angleDeg: 0, oneWay: false, springReturn: false },
          step: 1 / 16,
          positiveWord: "out",
          negativeWord: "in",
          hand: "right",
          seenFrom: "the operator side",
        },
        limits: { loMm: 0.14, aimMm: null, hiMm: 0.28, sourceKind: "drawing", source: "Drawing AD-118 C" },
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
        geometry: {
          pair: { teeth: [19, 46], moduleMm: 2, faceWidthMm: 22, centreDistanceMm: 65.22 },
          clamps: { points: circle(6, 62), size: "M8 8.8", torqueNm: 24, passes: 3, compound: false },
          parts: { materials: ["steel", "cast iron"] },
        },
        adjuster: {
          name: "Bearing plate",
          adjuster: { type: "slide", angleDeg: 15, travel: { min: -1.6, max: 1.4 } },
          step: 0.02,
          positiveWord: "outwards along its slots",
          negativeWord: "inwards along its slots",
        },
        limits: {
          loMm: 0.11,
          aimMm: 0.16,
          hiMm: 0.22,
          sourceKind: "recommended",
          source: "ISO/TR 10064-2 for the lower, twice that for the upper",
        },
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
    site: "Main works",
    hall: "Hall B",
    place: "line 1",
    model: "Lead-edge, four belts",
    serial: "LE 209",
    usageUnit: "cycles",
    usage: { perDay: 41_000, first: 12_400_000 },
    stages: [
      {
        key: "cam",
        name: "Cam drive",
        geometry: {
          pair: { teeth: [17, 68], moduleMm: 1.5, faceWidthMm: 16, centreDistanceMm: 63.98 },
          clamps: { points: circle(3, 38), size: "M6 8.8", torqueNm: 10, passes: 2, compound: true },
          parts: { materials: ["steel", "brass"], boresMm: [14, 20] },
        },
        adjuster: {
          name: "Eccentric bush",
          adjuster: { type: "eccentric", throwMm: 1.5, angleDeg: 64 },
          step: 1,
          positiveWord: "clockwise",
          negativeWord: "counter-clockwise",
          seenFrom: "the drive side",
        },
        limits: { loMm: 0.08, aimMm: null, hiMm: 0.18, sourceKind: "house rule", source: "Feeder gears, house rule 7" },
        hidden: {
          meanMm: 0.15,
          gear: { eccentricityMm: 0.118, tightAngleDeg: 47 },
          pinion: { eccentricityMm: 0.005, tightAngleDeg: 10 },
          response: 1.05,
        },
      },
      {
        key: "register",
        name: "Register drive",
        geometry: {
          pair: { teeth: [21, 63], moduleMm: 1.5, faceWidthMm: 14, centreDistanceMm: 63.15 },
          clamps: { points: rectangle(70, 54), size: "M6 8.8", torqueNm: 10, passes: 2, compound: false },
          parts: { materials: ["steel", "steel"] },
        },
        adjuster: {
          name: "Motor foot",
          adjuster: { type: "slide", angleDeg: 0 },
          step: 0.01,
          positiveWord: "away from the cylinder",
          negativeWord: "towards the cylinder",
          hasScale: false,
        },
        limits: { loMm: 0.07, aimMm: null, hiMm: 0.15, sourceKind: "maker", source: "Feeder handbook, table 4" },
        hidden: {
          meanMm: 0.11,
          gear: { eccentricityMm: 0.012, tightAngleDeg: 150 },
          pinion: { eccentricityMm: 0.004, tightAngleDeg: 20 },
          response: 0.9,
        },
      },
    ],
  },
  {
    key: "gluer",
    name: "Folder-gluer",
    tag: "FG-4",
    site: "Finishing works",
    hall: "Hall C",
    place: "bay 1",
    model: "Three-section, 800 mm",
    serial: "FG 80-117",
    usageUnit: "hours",
    usage: { perDay: 15, first: 9120 },
    stages: [
      {
        key: "fold",
        name: "Fold drive",
        geometry: {
          pair: { teeth: [18, 54], moduleMm: 2, faceWidthMm: 20, centreDistanceMm: 72.21 },
          clamps: { points: rectangle(90, 90), size: "M8 8.8", torqueNm: 24, passes: 2, compound: true },
          parts: { materials: ["steel", "steel"] },
        },
        adjuster: {
          name: "Motor lever",
          adjuster: { type: "pivot", armMm: 84, angleDeg: 76, leverMm: 190 },
          step: 0.1,
          positiveWord: "up",
          negativeWord: "down",
        },
        limits: { loMm: 0.11, aimMm: null, hiMm: 0.25, sourceKind: "recommended", source: "ISO/TR 10064-2" },
        hidden: {
          meanMm: 0.17,
          gear: { eccentricityMm: 0.02, tightAngleDeg: 280 },
          pinion: { eccentricityMm: 0.006, tightAngleDeg: 95 },
          response: 0.88,
        },
      },
      {
        key: "delivery",
        name: "Delivery drive",
        geometry: {
          pair: { teeth: [25, 50], moduleMm: 2, faceWidthMm: 20, centreDistanceMm: 75.2 },
          clamps: { points: circle(4, 48), size: "M8 8.8", torqueNm: 24, passes: 2, compound: false },
          parts: { materials: ["steel", "phenolic fabric"] },
        },
        adjuster: {
          name: "Shims under the bearing",
          adjuster: { type: "shims", perMm: 1 },
          step: 0.05,
          positiveWord: "more",
          negativeWord: "fewer",
        },
        limits: { loMm: 0.1, aimMm: 0.16, hiMm: 0.24, sourceKind: "maker", source: "Gluer manual 12.3" },
        hidden: {
          meanMm: 0.16,
          gear: { eccentricityMm: 0.018, tightAngleDeg: 33 },
          pinion: { eccentricityMm: 0.006, tightAngleDeg: 200 },
          response: 0.97,
        },
      },
    ],
  },
  {
    key: "slitter",
    name: "Slitter-rewinder",
    tag: "SR-1",
    site: "Finishing works",
    hall: "Hall C",
    place: "bay 5",
    model: "Razor and shear, 1 600 mm",
    serial: "SR 16-03",
    usageUnit: "hours",
    usage: { perDay: 9, first: 22_980 },
    stages: [
      {
        key: "knife",
        name: "Knife gears",
        geometry: {
          pair: { teeth: [31, 32], moduleMm: 2.5, faceWidthMm: 25, centreDistanceMm: 78.97 },
          clamps: { points: circle(5, 58), size: "M8 8.8", torqueNm: 24, passes: 3, compound: true },
          parts: { materials: ["steel", "steel"] },
        },
        adjuster: {
          name: "Eccentric bearing",
          adjuster: { type: "eccentric", throwMm: 0.8, angleDeg: 80 },
          step: 1,
          positiveWord: "clockwise",
          negativeWord: "counter-clockwise",
          seenFrom: "the knife side",
        },
        limits: { loMm: 0.1, aimMm: 0.15, hiMm: 0.22, sourceKind: "drawing", source: "Drawing KG-09 A" },
        hidden: {
          meanMm: 0.15,
          gear: { eccentricityMm: 0.018, tightAngleDeg: 190 },
          pinion: { eccentricityMm: 0.01, tightAngleDeg: 40 },
          response: 1.1,
        },
      },
      {
        key: "rewind",
        name: "Rewind drive",
        geometry: {
          pair: { teeth: [20, 71], moduleMm: 2, faceWidthMm: 24, centreDistanceMm: 91.24 },
          clamps: { points: rectangle(110, 80), size: "M8 8.8", torqueNm: 24, passes: 2, compound: false },
          parts: { materials: ["steel", "cast iron"] },
        },
        adjuster: {
          name: "Push screw",
          adjuster: { type: "screw", leadMm: 1.25, angleDeg: 180, oneWay: true, springReturn: false },
          step: 1 / 16,
          positiveWord: "in",
          negativeWord: "out",
          hand: "right",
        },
        limits: { loMm: 0.12, aimMm: null, hiMm: 0.27, sourceKind: "recommended", source: "ISO/TR 10064-2" },
        hidden: {
          meanMm: 0.19,
          gear: { eccentricityMm: 0.03, tightAngleDeg: 75 },
          pinion: { eccentricityMm: 0.006, tightAngleDeg: 130 },
          response: 0.9,
        },
      },
    ],
  },
  {
    key: "table",
    name: "Indexing table",
    tag: "IT-1",
    site: "Main works",
    hall: "Tool room",
    place: "",
    model: "Locking sector",
    serial: "IT 7",
    usageUnit: "starts",
    usage: { perDay: 320, first: 154_000 },
    stages: [
      {
        key: "sector",
        name: "Locking sector",
        geometry: {
          pair: { teeth: [18, 90], moduleMm: 1.5, faceWidthMm: 12, centreDistanceMm: 81.16 },
          clamps: { points: rectangle(60, 40), size: "M6 8.8", torqueNm: 10, passes: 2, compound: true },
          arcDeg: [0, 112],
          turnedBy: "input",
          parts: { materials: ["steel", "steel"] },
        },
        adjuster: {
          name: "Pinion bracket",
          adjuster: { type: "slide", angleDeg: 0, travel: { min: -0.8, max: 0.8 } },
          step: 0.01,
          positiveWord: "away from the sector",
          negativeWord: "towards the sector",
          hasScale: false,
        },
        limits: { loMm: 0.07, aimMm: null, hiMm: 0.16, sourceKind: "house rule", source: "Tool room, house rule 3" },
        hidden: {
          meanMm: 0.115,
          gear: { eccentricityMm: 0.014, tightAngleDeg: 60 },
          pinion: { eccentricityMm: 0.004, tightAngleDeg: 0 },
          response: 0.93,
        },
      },
    ],
  },
  {
    key: "strapper",
    name: "Strapper",
    tag: "ST-1",
    site: "Finishing works",
    hall: "Dock",
    place: "gate 2",
    model: "Arch, 12 mm strap",
    serial: "",
    usageUnit: "cycles",
    usage: { perDay: 1100, first: 402_000 },
    stages: [
      {
        key: "feed",
        name: "Feed gears",
        geometry: {
          pair: { teeth: [15, 45], moduleMm: 1, faceWidthMm: 10, centreDistanceMm: 30.13 },
          clamps: { points: rectangle(40, 40), size: "M5 8.8", torqueNm: 5, passes: 2, compound: false },
          parts: { materials: ["acetal", "acetal"], boresMm: [8, 12] },
        },
        adjuster: {
          name: "Motor in slots",
          adjuster: { type: "slide", angleDeg: 0 },
          step: 0.01,
          positiveWord: "away",
          negativeWord: "closer",
          hasScale: false,
        },
        limits: {
          loMm: 0.07,
          aimMm: null,
          hiMm: 0.16,
          sourceKind: "recommended",
          source: "Fine pitch, moulded: common practice",
        },
        hidden: {
          meanMm: 0.11,
          gear: { eccentricityMm: 0.02, tightAngleDeg: 90 },
          pinion: { eccentricityMm: 0.005, tightAngleDeg: 0 },
          response: 1,
        },
      },
      {
        key: "tensioner",
        name: "Tensioner gears",
        geometry: {
          pair: { teeth: [17, 51], moduleMm: 1.5, faceWidthMm: 14, centreDistanceMm: 51.18 },
          clamps: { points: rectangle(60, 50), size: "M6 8.8", torqueNm: 10, passes: 2, compound: false },
          parts: { materials: ["steel", "steel"] },
        },
        adjuster: {
          name: "Bearing plate",
          adjuster: { type: "slide", angleDeg: 0 },
          step: 0.02,
          positiveWord: "away",
          negativeWord: "closer",
        },
        limits: { loMm: 0.08, aimMm: null, hiMm: 0.19, sourceKind: "recommended", source: "ISO/TR 10064-2" },
        hidden: {
          meanMm: 0.13,
          gear: { eccentricityMm: 0.015, tightAngleDeg: 10 },
          pinion: { eccentricityMm: 0.005, tightAngleDeg: 0 },
          response: 1,
        },
      },
    ],
  },
];
