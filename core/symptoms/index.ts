export { mainsHum } from "./mains-hum";
export { type OwnRule, type OwnRuleFields, ofOwnRule } from "./own-rule";
export {
  type Cause,
  type FoundBefore,
  type Ground,
  rankSuspects,
  type Suspect,
  type Symptom,
  suspectKey,
} from "./rank";
export { type CauseRule, causeRules } from "./rules";
export { type Timing, type TwoTimings, twoTimings } from "./two-timings";
export {
  type CauseCode,
  causeCodes,
  type SuspectState,
  type SymptomKind,
  type SymptomWhen,
  suspectStates,
  symptomDirections,
  symptomKinds,
  symptomLoads,
  symptomPlaces,
  symptomSpeeds,
  symptomWarmths,
  type TestCode,
  testCodes,
  type WhenSaid,
  whensSaid,
} from "./vocabulary";
