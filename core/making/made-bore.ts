import { above, atLeast, atMost, below, nearestMultiple } from "../numerics";
import { accept, type Result, refuse } from "../quantity";
import { fromResolution, studentQuantile } from "../statistics";

export type MadeBoreQuestion = {
  /** Readings of the shaft. */
  shaftMm: readonly number[];
  /** One step of what all of it is measured with. */
  resolutionMm: number;
  /** How much a made hole comes out smaller than drawn, known or from holes that were made. */
  allowance: { meanMm: number; sdMm: number } | { made: readonly { drawnMm: number; madeMm: number }[] };
  /** Clearance; negative: grip. */
  wanted: { loMm: number; hiMm: number };
  /** Of the sizes that can be drawn or drilled. */
  stepMm?: number | undefined;
};

export type MadeBore = {
  shaftMm: number;
  allowanceMm: number;
  drawMm: number;
  expectedClearanceMm: number;
  clearanceIntervalMm: [number, number];
  state: "free" | "grips" | "undecided";
  /** The whole interval lies inside what is wanted: this process can be trusted with it. */
  feasible: boolean;
};

/**
 * The size to draw for a hole that is printed, moulded or drilled small, so that it fits a shaft that was measured. The allowance is what holes
 * of this process came out smaller by; of few holes the next one may differ by t·s·√(1 + 1/n) (a prediction interval), and nothing is
 * known better than the step it was measured with, r/√12 (JCGM 100:2008, F.2.2.1).
 *
 * @param question one shaft reading or more; made holes two or more
 * @returns the bore, or `below-nothing` at wanted where its size would not be over 0
 */
export function madeBore(question: MadeBoreQuestion): Result<MadeBore> {
  const { shaftMm: readings, resolutionMm, allowance, wanted, stepMm } = question;
  const step = fromResolution(resolutionMm);
  const shaft = meanAndDeviation(readings);
  const u = Math.max(shaft.deviation / Math.sqrt(readings.length), step);
  const { allowanceMm, half } = allowanceOf(allowance, step);
  const exactly = shaft.mean + (wanted.loMm + wanted.hiMm) / 2 + allowanceMm;
  const drawMm = stepMm === undefined ? exactly : nearestMultiple(exactly, stepMm);
  if (!(drawMm > 0)) return refuse("below-nothing", ["wanted"]);
  const expectedClearanceMm = drawMm - allowanceMm - shaft.mean;
  const doubt = Math.hypot(2 * u, half);
  const [least, most] = [expectedClearanceMm - doubt, expectedClearanceMm + doubt];
  return accept({
    shaftMm: shaft.mean,
    allowanceMm,
    drawMm,
    expectedClearanceMm,
    clearanceIntervalMm: [least, most],
    state: above(least, 0) ? "free" : below(most, 0) ? "grips" : "undecided",
    feasible: atLeast(least, wanted.loMm) && atMost(most, wanted.hiMm),
  });
}

/** Half-width: two standard deviations where they are known, Student's factor for the next hole where they are estimated. */
function allowanceOf(given: MadeBoreQuestion["allowance"], step: number): { allowanceMm: number; half: number } {
  if ("meanMm" in given) return { allowanceMm: given.meanMm, half: 2 * given.sdMm };
  const n = given.made.length;
  const smaller = meanAndDeviation(given.made.map(({ drawnMm, madeMm }) => drawnMm - madeMm));
  const s = Math.max(smaller.deviation, step);
  return { allowanceMm: smaller.mean, half: studentQuantile(0.95, n - 1) * s * Math.sqrt(1 + 1 / n) };
}

/** The standard deviation of one value is not known and counts as none. */
function meanAndDeviation(values: readonly number[]): { mean: number; deviation: number } {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return { mean, deviation: values.length > 1 ? Math.sqrt(squares / (values.length - 1)) : 0 };
}
