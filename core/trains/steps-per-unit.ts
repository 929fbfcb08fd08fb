import type { IndexDrive } from "./index-plan";

/** Steps a millimetre of a drum, screw or belt pulley that travels so far in a turn. */
export const stepsPerMm = ({ stepsPerRev, microsteps, ratio }: IndexDrive, travelPerTurnMm: number): number =>
  (stepsPerRev * microsteps * (ratio[0] / ratio[1])) / travelPerTurnMm;

/** Steps a millimetre after a test run: old·commanded/measured. */
export const correctedStepsPerMm = (oldStepsPerMm: number, commandedMm: number, measuredMm: number): number =>
  (oldStepsPerMm * commandedMm) / measuredMm;

/** The command that sets the steps a millimetre of an axis (G-code M92, four decimals). */
export const stepsCommand = (axis: string, steps: number): string => `M92 ${axis}${steps.toFixed(4)}`;

/** A file that sets the step value of an axis and stores it (M92, then M500). */
export const stepsFile = (axis: string, steps: number): string =>
  [`; steps per mm, axis ${axis}`, stepsCommand(axis, steps), "M500 ; store", ""].join("\n");
