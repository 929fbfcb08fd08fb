export type UsualInstrument = {
  /** By which it is told from the others. */
  key: string;
  name: string;
  kind: string;
  dimension: "length" | "angle" | "force" | "frequency" | "current" | "temperature";
  /** One step, mm, arcminutes, N, Hz, A or °C. */
  resolution: number;
  expandedUncertainty: number;
  coverage: number;
  leavesMm: number[];
};

/** What a workshop begins with, at figures that are common practice; each is to be set right by its own certificate. */
export const usualInstruments: readonly UsualInstrument[] = [
  {
    key: "lever",
    name: "Lever indicator 0.01",
    kind: "lever indicator",
    dimension: "length",
    resolution: 0.01,
    expandedUncertainty: 0.006,
    coverage: 2,
    leavesMm: [],
  },
  {
    key: "fine",
    name: "Dial indicator 0.002",
    kind: "dial indicator",
    dimension: "length",
    resolution: 0.002,
    expandedUncertainty: 0.004,
    coverage: 2,
    leavesMm: [],
  },
  {
    key: "feelers",
    name: "Feelers 0.03 to 1.00",
    kind: "feeler set",
    dimension: "length",
    resolution: 0.01,
    expandedUncertainty: 0.008,
    coverage: 2,
    leavesMm: [
      0.03, 0.04, 0.05, 0.06, 0.07, 0.08, 0.09, 0.1, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.6, 0.7, 0.8, 0.9, 1,
    ],
  },
  {
    key: "caliper",
    name: "Caliper 0.02",
    kind: "caliper",
    dimension: "length",
    resolution: 0.02,
    expandedUncertainty: 0.03,
    coverage: 2,
    leavesMm: [],
  },
  {
    key: "rule",
    name: "Steel rule 0.5",
    kind: "steel rule",
    dimension: "length",
    resolution: 0.5,
    expandedUncertainty: 0.3,
    coverage: 2,
    leavesMm: [],
  },
  {
    key: "meter",
    name: "Frequency meter 0.1",
    kind: "frequency meter",
    dimension: "frequency",
    resolution: 0.1,
    expandedUncertainty: 0.2,
    coverage: 2,
    leavesMm: [],
  },
  {
    key: "microphone",
    name: "Microphone",
    kind: "microphone",
    dimension: "frequency",
    resolution: 0.1,
    // Three plucks lie within 2 % of one another: half of that at a hundred hertz.
    expandedUncertainty: 1,
    coverage: 2,
    leavesMm: [],
  },
  {
    key: "gauge",
    name: "Force gauge 0.5",
    kind: "force gauge",
    dimension: "force",
    resolution: 0.5,
    expandedUncertainty: 1,
    coverage: 2,
    leavesMm: [],
  },
  {
    key: "protractor",
    name: "Protractor 5′",
    kind: "protractor",
    dimension: "angle",
    resolution: 5,
    expandedUncertainty: 3,
    coverage: 2,
    leavesMm: [],
  },
  {
    key: "clamp-meter",
    name: "Clamp meter 0.1",
    kind: "clamp meter",
    dimension: "current",
    resolution: 0.1,
    expandedUncertainty: 0.3,
    coverage: 2,
    leavesMm: [],
  },
  {
    key: "thermometer",
    name: "Thermometer 0.5",
    kind: "thermometer",
    dimension: "temperature",
    resolution: 0.5,
    expandedUncertainty: 1,
    coverage: 2,
    leavesMm: [],
  },
];
