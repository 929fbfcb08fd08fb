export { daysToIso, isoToDays } from "./days";
export {
  type Bodies,
  type ChangedThing,
  type ClampState,
  type Entry,
  type EntryKind,
  type EntryOf,
  isKind,
  type LaidStack,
  type MovedStack,
  type Provisional,
  type ReadingRecord,
  type RoundPhase,
  type RoundResult,
  type RunDirection,
  type RunOutcome,
  type RunWay,
  runOutcomes,
  runWays,
  type Said,
  type Sense,
  type SignedRecord,
  type UnprovenRun,
} from "./entry";
export {
  type Feel,
  type FeelMethod,
  type FeltAt,
  type FeltJudged,
  feelMethods,
  feels,
  feltArc,
  feltOf,
  hasClick,
  judgeFelt,
} from "./feel";
export {
  type ClampNow,
  type Clamps,
  feltOfStage,
  isSlack,
  type JobRecord,
  jobRecord,
  type LooseThing,
  ranWell,
  runsGoneWrong,
  type StageOfJob,
  signedRecord,
  voidedBy,
} from "./job-record";
export { knownIn, knownRounds, sameTeeth } from "./known-round";
export { type KnownStack, lastStack } from "./last-stack";
export { type MeterReading, meterOf, usageAt, usagePerDay } from "./meter";
export { movedBy } from "./moved";
export { isOverdue } from "./overdue";
export { pastMoves } from "./past-moves";
export { type Drift, type StageTrend, stageTrend, type TrendAxis, type TrendPointAt } from "./stage-trend";
export { type StageState, type Standing, standingOf } from "./standing";
export { type Left, type WearLeft, wearLeft } from "./wear-left";
export { firstOfRound, wholeRound } from "./whole-round";
