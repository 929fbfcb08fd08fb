export { daysToIso, isoToDays } from "./days";
export {
  type Bodies,
  type ChangedThing,
  type ClampState,
  type Entry,
  type EntryKind,
  type EntryOf,
  type FeltAt,
  isKind,
  type LaidStack,
  type MovedStack,
  type Provisional,
  type ReadingRecord,
  type RoundPhase,
  type RoundResult,
  type Sense,
  type SignedRecord,
} from "./entry";
export { type Feel, type FeelMethod, type FeelSays, feelMethods, feels, judgeFeel } from "./feel";
export {
  type ClampNow,
  type Clamps,
  isSlack,
  type JobRecord,
  jobRecord,
  type LooseThing,
  type StageOfJob,
  signedRecord,
  voidedBy,
} from "./job-record";
export { type CountingReading, countingReadings, type KnownRound, knownIn, knownRounds } from "./known-round";
export { type KnownStack, lastStack } from "./last-stack";
export { isOverdue } from "./overdue";
export { pastMoves } from "./past-moves";
export { type Drift, type StageTrend, stageTrend, type TrendAxis, type TrendPointAt } from "./stage-trend";
export { roundVerdict, type StageState, type Standing, standingOf } from "./standing";
export { type WearLeft, wearLeft } from "./wear-left";
export { firstOfRound, wholeRound } from "./whole-round";
