export { type AtPlace, carryRound } from "./carry";
export { type CountingReading, countingReadings, type HowCounted, type KnownRound } from "./counting";
export {
  type FeelRound,
  type FeelSide,
  type FeelStep,
  type FeelVerdict,
  type FeltWord,
  feelRound,
} from "./feel-round";
export {
  type Extreme,
  fitRound,
  fittedAt,
  type Harmonics,
  type ReadingAt,
  type RoundFit,
  type RoundOptions,
  type Wave,
} from "./fit-round";
export { conditionOf, pairTerms, separableCondition } from "./harmonics";
export {
  type JudgedEnds,
  type JudgedRound,
  judgeEnds,
  judgeRound,
  limitsThatJudge,
  type RoundEnds,
  type RoundToJudge,
  scaleOf,
} from "./judge-round";
export { type BacklashReading, type MeshRound, meshRound, type Runout, type WorstPosition } from "./mesh-round";
export { questionable } from "./outliers";
export { placesToRead } from "./places";
export { type ReIndexed, reIndex } from "./re-index";
export { type RoundPlan, roundPlan } from "./round-plan";
export { type SetShares, setShares } from "./set-shares";
export {
  type InstrumentFigures,
  type RoundMethod,
  type RoundValues,
  type TypedReading,
  typedRound,
  wayOf,
} from "./typed-round";
