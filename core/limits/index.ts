export { classWindow, type Fit, fitOf } from "./fit";
export { anglesShown, type RecommendedBy, type RecommendedLimits, recommendBacklash } from "./recommend";
export { judge, type Limits, type Verdict, worstVerdict } from "./verdict";
