export { type BandFit, bandFit, onScale, type ShiftScale } from "./band-fit";
export { classWindow, type Fit, fitOf } from "./fit";
export { limitsInWork } from "./in-work";
export { anglesShown, type RecommendedBy, type RecommendedLimits, recommendBacklash } from "./recommend";
export { type AskedFor, type Recommended, type RuleCode, recommendKind, recommendSide } from "./recommend-kind";
export { judge, type Limits, type Verdict, worstVerdict } from "./verdict";
