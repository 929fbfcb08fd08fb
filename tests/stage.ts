import { spurPair } from "~/core/gears";
import type { Instrument, InstrumentId, MachineId, Stage, StageId, StageLimits } from "~/core/records";

/** A gear stage for tests that need no database: 20 : 40, module 2, 0.1 to 0.24 mm, a slide that opens the centres. */
export const testStage = (id: string): Stage & { limits: StageLimits } => ({
  id: id as StageId,
  machineId: "m" as MachineId,
  position: 0,
  name: id,
  kind: "gear-pair",
  retiredAt: null,
  geometry: {
    id: "g",
    revision: 1,
    element: { kind: "gear-pair", pair: spurPair([20, 40], 2, 60.2), parts: {} },
    clamps: { points: [{ x: 0, y: 0 }], size: "M6", torqueNm: 9, passes: 2, compound: false },
    arcDeg: null,
    turnedBy: "either",
  },
  adjuster: {
    id: "01934076-bd4b-711c-88af-73b8ad15000a",
    revision: 1,
    name: "Slide",
    means: "slot",
    alsoMoves: [],
    adjuster: { type: "slide", angleDeg: 0 },
    step: 0.01,
    positiveWord: "out",
    negativeWord: "in",
    hand: null,
    hasScale: true,
    seenFrom: "",
  },
  limits: {
    id: "l",
    revision: 1,
    given: { quantity: "circumferential-backlash", held: null, lo: 0.1, aim: null, hi: 0.24 },
    lo: 0.1,
    aim: null,
    hi: 0.24,
    sourceKind: "drawing",
    source: "D",
    effectiveFrom: "2026-01-01T00:00:00Z",
  },
  sideLimits: [],
});

/** A lever indicator that shows hundredths. */
export const testInstrument = (id: string): Instrument => ({
  id: id as InstrumentId,
  name: "I",
  kind: "lever indicator",
  dimension: "length",
  resolution: 0.01,
  expandedUncertainty: 0.006,
  coverage: 2,
  leavesMm: [],
  serial: "",
  unit: "",
  calibratedOn: null,
  dueOn: null,
  retiredAt: null,
  revision: 1,
});
