import { type GearPair, gearPair, type PairGeometry } from "../gears";
import { degrees, turnDegrees } from "../numerics";
import { accept, type Result } from "../quantity";
import { type Extreme, fitRound, type RoundOptions, type Wave } from "./fit-round";

export type BacklashReading = { gearAngleDeg: number; backlashMm: number };
export type Runout = { eccentricityMm: number; tightAngleDeg: number };
export type WorstPosition = { backlashMm: number; gearAngleDeg: number; turnsBetween: number };

export type MeshRound = {
  meanMm: number;
  minMm: number;
  maxMm: number;
  gear: Runout;
  pinion: Runout | null;
  separable: boolean;
  residualMm: number;
  worstTight: WorstPosition;
  worstLoose: WorstPosition;
};

/**
 * A round of backlash with its waves named as runout (calc contract; `fitRound` for the fit).
 *
 * @param geometry the pair; tan α_wt turns amplitude into eccentricity
 * @param readings three or more; circumferential backlash, mm
 * @returns the round, or a refusal of the pair or of the fit
 */
export function meshRound(
  geometry: PairGeometry,
  readings: readonly BacklashReading[],
  options: RoundOptions,
): Result<MeshRound> {
  const pair = gearPair(geometry);
  if (!pair.ok) return pair;
  const values = readings.map(({ gearAngleDeg, backlashMm }) => ({ gearAngleDeg, value: backlashMm }));
  const fitted = fitRound(geometry.teeth, values, options);
  if (!fitted.ok) return fitted;
  const { harmonics, min, max, separable, residual, least, greatest } = fitted.value;
  return accept({
    meanMm: harmonics.mean,
    minMm: min,
    maxMm: max,
    gear: runout(harmonics.gear, pair.value),
    pinion: harmonics.pinion && runout(harmonics.pinion, pair.value),
    separable,
    residualMm: residual,
    worstTight: worst(least),
    worstLoose: worst(greatest),
  });
}

const worst = ({ value, ...at }: Extreme): WorstPosition => ({ backlashMm: value, ...at });

/** A wave of backlash as the eccentricity that makes it: A/(2·tan α_wt). */
const runout = (of: Wave, { backlashPerCentreMm }: GearPair): Runout => ({
  eccentricityMm: of.amplitude / Math.abs(backlashPerCentreMm),
  tightAngleDeg: turnDegrees(degrees(of.tightRad)),
});
