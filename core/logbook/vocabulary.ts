/** What stands in an entry out of a few: the schemas of bodies (`schema.ts`) and of what is sent are made of these. */
export const roundPhases = ["as-found", "set", "check"] as const;
export type RoundPhase = (typeof roundPhases)[number];
export const clampStates = ["eased", "started", "snug", "firm", "dressed"] as const;
export type ClampState = (typeof clampStates)[number];
export const senses = ["clockwise", "counter-clockwise"] as const;
export type Sense = (typeof senses)[number];
export {
  type RunDirection,
  type RunOutcome,
  type RunWay,
  runDirections,
  runOutcomes,
  runSpeeds,
  runWays,
} from "../proving/vocabulary";
/** What a revision or a change of a machine touched. */
export const changedThings = [
  "machine",
  "stage",
  "geometry",
  "adjuster",
  "limits",
  "retired",
  "in-service",
  "drive-line",
  "moved-along",
  "guide",
  "upkeep",
  "shaft",
  "proof-plan",
] as const;
export type ChangedThing = (typeof changedThings)[number];
/** What a signature leaves open, and acknowledges. */
export const provisionals = [
  "no-as-found",
  "not-inside",
  "not-judged",
  "side-not-inside",
  "shift-not-right",
  "force-rises",
  "no-check-round",
  "things-left-in",
  "parts-off",
  "screws-missing",
  "screws-over",
  "part-screws-slack",
  "turns-hard",
  "shaft-not-right",
  "measured-not-inside",
  "clamps-not-firm",
  "clamps-not-known",
  "run-went-wrong",
  "no-compound",
  "not-proved",
  "switch-not-proved",
  "plan-not-proven",
] as const;
export type Provisional = (typeof provisionals)[number];
/** How it was felt, or tried by hand. */
export const feelMethods = ["by hand", "by ear", "paper strip", "marking paint", "pins"] as const;
/** What a strip of paper looks like that was rolled through, from loose to tight. */
export const paperPrints = ["falls out", "even", "bunched at one end", "askew", "cut through"] as const;
export type PaperPrint = (typeof paperPrints)[number];
/** How a part, or its fit, was made. */
export const makings = ["printed", "moulded", "drilled", "filed", "reamed", "turned", "bought"] as const;
export type Making = (typeof makings)[number];
/** What became of a version of a part. */
export const trialOutcomes = ["tried", "fitted", "dropped"] as const;
export type TrialOutcome = (typeof trialOutcomes)[number];
/** What became of one way to drive something. */
export const optionOutcomes = ["open", "chosen", "lost"] as const;
export type OptionOutcome = (typeof optionOutcomes)[number];
/** How a sliding gear went in, from right to wrong. */
export const engagements = ["goes in", "goes in while one side turns", "tooth on tooth", "stays out"] as const;
export type Engagement = (typeof engagements)[number];
/** In what an actuator's force is raised. */
export const sweepUnits = ["N", "bar", "psi"] as const;
export type SweepUnit = (typeof sweepUnits)[number];
export type FeelMethod = (typeof feelMethods)[number];
/** Tools of the calculation with which parts, housings, frames and couplings are measured in a job. */
export const measuredTools = [
  "part-runout",
  "fit-series",
  "housing-line",
  "flatness",
  "wheel-align",
  "frame-pull",
  "coupling",
  "shaft-align",
  "closure",
] as const;
export type MeasuredTool = (typeof measuredTools)[number];
/** Before the work on it, or after. */
export const measuredWhens = ["before", "after"] as const;
/** What is to be seen to beside what is measured. Common practice. */
export const measuredChecks = [
  "bush-turns-on-shaft",
  "push-out-holes",
  "dust-blown-out",
  "sample-first",
  "bolted-as-it-stands",
  "gap-for-heat",
  "read-under-load",
] as const;
export type MeasuredCheck = (typeof measuredChecks)[number];
