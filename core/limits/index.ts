export { type BandFit, bandFit, bandFits, onScale, type ShiftScale } from "./band-fit";
export { classWindow, type Fit, fitOf } from "./fit";
export { type GoNoGo, type GoNoGoQuestion, goNoGo } from "./go-no-go";
export { limitsInWork } from "./in-work";
export { type PairFit, type PairSays, pairFit, pairSays } from "./pair-fit";
export { anglesShown, type RecommendedBy, type RecommendedLimits, recommendBacklash } from "./recommend";
export { strandsLimitPercent, strandsVerdict, strandVerdict } from "./strands-verdict";
export { judge, type Limits, type Verdict, verdicts, worstVerdict } from "./verdict";
