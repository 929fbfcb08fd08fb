export { conditionOf, pairTerms, separableCondition } from "./harmonics";
export {
  type BacklashReading,
  backlashAt,
  fitHarmonics,
  type Harmonics,
  type MeshRound,
  meshRound,
  type Runout,
  type WorstPosition,
} from "./mesh-round";
export { questionable } from "./outliers";
export { type RoundPlan, roundPlan } from "./round-plan";
