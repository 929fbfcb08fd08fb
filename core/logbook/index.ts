export {
  type Account,
  type Apart,
  apartOf,
  filedOn,
  isOfParts,
  type PartNow,
  screwName,
  type Unaccounted,
} from "./apart";
export {
  gapPerJudged,
  gradeOfPaper,
  judgePaper,
  judgePins,
  judgePrint,
  judgeStrip,
  type PinsTried,
  type Sheet,
  type StripJudged,
  stripIn,
  takesPaper,
} from "./by-hand";
export { type ClosureRead, type Closures, closuresOf } from "./closures";
export {
  type ClunkSearch,
  type ClunkStep,
  clunkNoise,
  clunkSearch,
  whineNoise,
} from "./clunk-search";
export { daysToIso, isoToDays } from "./days";
export { type Entry, type EntryKind, type EntryOf, isKind, type ReadingRecord, type WrittenEntry } from "./entry";
export { canBeFelt, feltArc, feltOf, feltPlaces, feltSaid, type GradeAt, judgeFelt, judgeGrades } from "./feel";
export { feltMoves, gradesOf } from "./felt-moves";
export { type FleetDrift, fleetDrift, type OwnDrift, reachesIn } from "./fleet-drift";
export { type Held, type HeldFor, heldFor } from "./held-for";
export {
  type ClampNow,
  type Clamps,
  clampsTouched,
  endOfRun,
  feltOfStage,
  type GearSoFar,
  gearsByThemselves,
  isRead,
  isSlack,
  type JobRecord,
  jobRecord,
  type LooseThing,
  type ReadSoFar,
  readInGear,
  type StageOfJob,
  shiftsRight,
  signedRecord,
  voidedBy,
} from "./job-record";
export { knownIn, knownRounds, sameTeeth } from "./known-round";
export { type KnownStack, lastStack } from "./last-stack";
export { knownShafts, type MachineShaft, shaftsNotRight, shaftsRight } from "./machine-shafts";
export { measuredBefore, measuredOpen, measuredRight } from "./measured";
export { dayOfUsage, type MeterReading, meterOf, usageAbout, usageAt, usagePerDay } from "./meter";
export { movedBy } from "./moved";
export { optionsOf } from "./options";
export { isOverdue } from "./overdue";
export { pastMoves } from "./past-moves";
export {
  lastGoodRun,
  outstandingOf,
  outstandingRuns,
  type PlannedRun,
  plannedRuns,
  provesRun,
  runFigures,
} from "./planned-runs";
export { ranWell, runsGoneWrong } from "./ran-well";
export { type RunsThatDiffer, runsThatDiffer, unlikeDirections } from "./runs-that-differ";
export type {
  Bodies,
  FeltAt,
  FeltJudged,
  FeltSaid,
  LaidStack,
  MovedStack,
  Noted,
  OutstandingRun,
  PaperTried,
  PartNamed,
  PinsLogged,
  PrintMarked,
  RoundResult,
  Said,
  ScrewsBack,
  SignedRecord,
  UnprovenRun,
} from "./schema";
export { type Drift, gearOfTrend, type StageTrend, stageTrend, type TrendAxis, type TrendPointAt } from "./stage-trend";
export { type StageState, type Standing, standingOf } from "./standing";
export { foundBehind, type SymptomKept, stateOfSuspect, suspectsNow, symptomsOf } from "./symptoms";
export { type TightAgainstCurrent, type TightAndCurrent, tightAgainstCurrent } from "./tight-and-current";
export { type TriedPart, triedParts } from "./tried-parts";
export { firstDue, type UpkeepDue, upkeepDue } from "./upkeep-due";
export {
  type ChangedThing,
  type ClampState,
  clampStates,
  type Engagement,
  engagements,
  type FeelMethod,
  feelMethods,
  type Making,
  type MeasuredCheck,
  type MeasuredTool,
  makings,
  measuredChecks,
  measuredTools,
  measuredWhens,
  type OptionOutcome,
  optionOutcomes,
  type PaperPrint,
  type Provisional,
  paperPrints,
  type RoundPhase,
  type RunDirection,
  type RunOutcome,
  type RunWay,
  roundPhases,
  runDirections,
  runOutcomes,
  runSpeeds,
  runWays,
  type Sense,
  type SweepUnit,
  senses,
  sweepUnits,
  type TrialOutcome,
  trialOutcomes,
} from "./vocabulary";
export { voidable } from "./voidable";
export { type Left, type WearLeft, type WearRate, type WornOut, wearLeft, wearLimitNow, wornOut } from "./wear-left";
export { firstOfRound, wholeRound } from "./whole-round";
