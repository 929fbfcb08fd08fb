/** Words out of a few, for runs that prove a drive. */
export const runOutcomes = ["ran", "stalled", "stopped"] as const;
/** How a run ended. */
export type RunOutcome = (typeof runOutcomes)[number];
export const runWays = ["powered", "by-hand"] as const;
export type RunWay = (typeof runWays)[number];
export const runDirections = ["forwards", "backwards"] as const;
export type RunDirection = (typeof runDirections)[number];
export const runSpeeds = ["slow", "working", "fast"] as const;
export type RunSpeed = (typeof runSpeeds)[number];
/** What is done on a run: one whole turn watched for a stall, one way of a lift, a step or a swing of the set point, the very case that used to fail, a suspect noise loaded the other way, slowed down until it is about to stall. */
export const runMoves = [
  "run",
  "hand-turn",
  "full-turn",
  "up",
  "down",
  "step",
  "sine",
  "failing-case",
  "loaded-other-way",
  "slowed-down",
] as const;
export type RunMove = (typeof runMoves)[number];
/** What of a run can be held against limits. */
export const runQuantities = [
  "current",
  "peak",
  "voltage",
  "power",
  "speed-off",
  "slowest-speed",
  "temperature",
  "overshoot",
  "minutes",
] as const;
export type RunQuantity = (typeof runQuantities)[number];
/** How a speed was read: by a tachometer, turns by a stopwatch, travel in a time. */
export const speedWays = ["tachometer", "turns", "travel"] as const;
export type SpeedWay = (typeof speedWays)[number];
/** What a measured speed says beside what the train gives. */
export const speedFinds = ["as-predicted", "slips", "runs-ahead", "other-gear", "not-known"] as const;
export type SpeedFind = (typeof speedFinds)[number];
export const loadKinds = ["weight", "brake", "words"] as const;

/** Turned by hand, or under power. */
export const wayOf = (move: RunMove): RunWay => (move === "hand-turn" ? "by-hand" : "powered");
