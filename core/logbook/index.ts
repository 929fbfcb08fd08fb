export {
  type Bodies,
  type ClampState,
  type Entry,
  type EntryKind,
  type EntryOf,
  isKind,
  type Provisional,
  type ReadingRecord,
  type RoundPhase,
  type RoundResult,
  type Sense,
  type SignedRecord,
} from "./entry";
export { type ClampNow, type Clamps, type JobRecord, jobRecord, signedRecord, voidedBy } from "./job-record";
export { type CountingReading, countingReadings, type KnownRound, knownRound } from "./known-round";
export { pastMoves } from "./past-moves";
