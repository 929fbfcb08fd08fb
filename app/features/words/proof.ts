import type { UnprovenRun } from "~/core/logbook";

/** Directions and gears that no powered run has proven: "Not proven under power: low backwards"; empty where all are. */
export const unprovenWords = (unproven: readonly UnprovenRun[]): string =>
  unproven.length === 0
    ? ""
    : `Not proven under power: ${unproven.map(({ gear, direction }) => [gear, direction].filter(Boolean).join(" ")).join(", ")}`;
