import { above, atLeast, atMost, straightLine } from "../numerics";
import { accept, type Result, refuse } from "../quantity";
import { fromResolution, studentQuantile } from "../statistics";

/** The actuator's force or pressure, in any one unit, and the motor's current at it. */
export type SweepPoint = { force: number; currentA: number };

export type ForceSweep = {
  /** A per unit of the force. */
  slope: number;
  slopeInterval: [number, number];
  /** Over the whole range, of the fitted current at the least force. */
  risePercent: number;
  risePercentInterval: [number, number];
  verdict: "flat" | "rises" | "undecided";
  /** Where it rises. */
  cause: "follows" | "gives-way" | "settles" | "unknown" | null;
};

/** Per cent that the current may rise where a stop carries the force: common practice. */
export const allowedRise = 5;

/**
 * Whether a stop holds: the actuator's force is raised in steps and the current watched, which stays as it is where the stop carries the force
 * and rises where the mesh does. Least squares with t(0.975, n − 2); the scatter is not taken below the meter's step/√12, because equal
 * figures on a coarse meter prove nothing flat. Both halves of the range tell how it rises.
 *
 * @param points three or more
 * @param resolutionA one step of the meter
 * @returns the sweep, or at points: `single-force`, `no-current` (the fitted current at the least force is not over 0)
 */
export function forceSweep(
  points: readonly SweepPoint[],
  allowedRisePercent: number,
  resolutionA: number,
): Result<ForceSweep> {
  const forces = points.map(({ force }) => force);
  const [least, greatest] = [Math.min(...forces), Math.max(...forces)];
  const line = lineThrough(points);
  if (line === null) return refuse("single-force", ["points"]);
  const n = points.length;
  const residual = points.reduce((sum, { force, currentA }) => sum + (currentA - line.at(force)) ** 2, 0);
  const scatter = Math.max(Math.sqrt(residual / (n - 2)), fromResolution(resolutionA));
  const half = (studentQuantile(0.95, n - 2) * scatter) / Math.sqrt(line.sxx);
  const idle = line.at(least);
  if (!(idle > 0)) return refuse("no-current", ["points"]);
  const rise = (slope: number) => (100 * slope * (greatest - least)) / idle;
  const slopeInterval: [number, number] = [line.slope - half, line.slope + half];
  const risePercentInterval: [number, number] = [rise(slopeInterval[0]), rise(slopeInterval[1])];
  const verdict = atMost(risePercentInterval[1], allowedRisePercent)
    ? "flat"
    : above(risePercentInterval[0], allowedRisePercent)
      ? "rises"
      : "undecided";
  const cause = verdict === "rises" ? causeOf(points, (least + greatest) / 2) : null;
  return accept({
    slope: line.slope,
    slopeInterval,
    risePercent: rise(line.slope),
    risePercentInterval,
    verdict,
    cause,
  });
}

/** Held at first and then yields, yields at first and then holds, or goes with the force all along. */
function causeOf(points: readonly SweepPoint[], middle: number): NonNullable<ForceSweep["cause"]> {
  const lower = lineThrough(points.filter(({ force }) => atMost(force, middle)));
  const upper = lineThrough(points.filter(({ force }) => atLeast(force, middle)));
  if (lower === null || upper === null) return "unknown";
  if (lower.slope < upper.slope / 2) return "gives-way";
  return upper.slope < lower.slope / 2 ? "settles" : "follows";
}

/** The line of least squares; null for fewer than two forces. */
export function lineThrough(
  points: readonly SweepPoint[],
): { slope: number; sxx: number; at: (force: number) => number } | null {
  const forces = points.map(({ force }) => force);
  if (new Set(forces).size < 2) return null;
  const currents = points.map(({ currentA }) => currentA);
  const { slope, at0, sxx } = straightLine(forces, currents);
  return { slope, sxx, at: (force) => at0 + slope * force };
}
