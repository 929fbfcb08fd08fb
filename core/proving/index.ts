export { type Asymmetry, asymmetries, type DrawnBy, usualAsymmetryPercent } from "./asymmetry";
export { type Closure, type ClosureQuestion, closure, type WayClosed } from "./closure";
export { closureExplained } from "./closure-explained";
export {
  type AlikePeriods,
  type HeardPeriod,
  type HeardQuestion,
  heardPeriod,
  type PeriodMatch,
  type PeriodSource,
} from "./heard-period";
export { type FigureJudged, isAtSupplyLimit, judgeRun, type RunFigure, type RunJudged } from "./judge-run";
export { brakeTorqueNm, loadTyped } from "./load-typed";
export { proposePlan, type ToProve } from "./propose-plan";
export { isForgotten, type RunTimer, ranMs, startTimer, turnedTo, watchTimer } from "./run-timer";
export type { PlanLimit, PlanRun, ProofPlan, ProofPlanFields, RunLoad } from "./schema";
export {
  type GearTurns,
  type SpeedChecked,
  speedCheck,
  speedTolerancePercent,
  thumbSeconds,
  turnsByStopwatch,
} from "./speed-check";
export { fewestTaps, type TappedRate, tappedRate } from "./taps";
export {
  loadKinds,
  type RunDirection,
  type RunMove,
  type RunOutcome,
  type RunQuantity,
  type RunSpeed,
  type RunWay,
  runDirections,
  runMoves,
  runOutcomes,
  runQuantities,
  runSpeeds,
  runWays,
  type SpeedFind,
  type SpeedWay,
  speedFinds,
  speedWays,
  wayOf,
} from "./vocabulary";
