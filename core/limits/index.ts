export { classWindow, type Fit, fitOf } from "./fit";
export { judge, type Limits, type Verdict, worstVerdict } from "./verdict";
