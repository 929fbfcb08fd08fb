export { type AtAngle, carryRound } from "./carry";
export { conditionOf, pairTerms, separableCondition } from "./harmonics";
export { indicatorFactor } from "./indicator";
export {
  type MeasuredQuantity,
  measuredQuantities,
  normalPerCircumferential,
  type ToBacklash,
  toBacklash,
} from "./measured";
export {
  type BacklashReading,
  backlashAt,
  fitMeshRound,
  type Harmonics,
  type MeshRound,
  meshRound,
  type Runout,
  type WorstPosition,
} from "./mesh-round";
export { questionable } from "./outliers";
export { placesToRead } from "./places";
export { type RoundPlan, roundPlan } from "./round-plan";
export {
  gearAngle,
  type InstrumentFigures,
  type RoundMethod,
  type RoundValues,
  type TypedReading,
  typedRound,
} from "./typed-round";
