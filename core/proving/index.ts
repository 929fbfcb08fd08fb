export { type Closure, type ClosureQuestion, closure, type WayClosed } from "./closure";
export {
  type AlikePeriods,
  type HeardPeriod,
  type HeardQuestion,
  heardPeriod,
  type PeriodMatch,
  type PeriodSource,
} from "./heard-period";
export { fewestTaps, type TappedRate, tappedRate } from "./taps";
