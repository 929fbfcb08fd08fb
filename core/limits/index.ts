export { judge, type Limits, type Verdict, worstVerdict } from "./verdict";
