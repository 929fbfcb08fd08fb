import { radians } from "../numerics";
import { accept, type Result, refuse } from "../quantity";
import {
  commonPressureAnglesDeg,
  moduleOfDiametralPitch,
  standardDiametralPitches,
  standardModulesMm,
} from "../reference";

export type MeasuredGear = {
  toothCount: number;
  tipDiameterMm: number;
  rootDiameterMm?: number | undefined;
  spans?: readonly { teeth: number; mm: number }[] | undefined;
  resolutionMm: number;
  /** "caliper": flat jaws and points, which read an odd gear short; "diameter": already true diameters. */
  measuredBy: "diameter" | "caliper";
  /** How far real tips stray from the nominal tip circle. */
  tipToleranceMm: number;
};

export type PitchName = { system: "module" | "diametral-pitch"; value: number };
export type PitchCandidate = PitchName & { moduleMm: number; deviationPercent: number };

export type Identified = {
  pitchDiameterMm: number;
  moduleEstimateMm: number;
  candidates: PitchCandidate[];
  basePitchMm?: number;
  pressureAngleDeg?: number;
  confusable: [PitchName, PitchName][];
};

/**
 * Which standard pitch a measured gear has, and which ones the measurement cannot tell apart. The half-depth rule of
 * thumb reads a quarter module low because the dedendum is deeper than the addendum; depth/2.25 is the addendum
 * (ISO 53). The base pitch from two spans is free of profile shift and the surest.
 *
 * @returns candidates best first, or a refusal: `root-not-below-tip` at rootDiameterMm, `spans-over-equal-teeth` at spans
 */
export function identifyGear(gear: MeasuredGear): Result<Identified> {
  const { toothCount: z } = gear;
  const odd = gear.measuredBy === "caliper" && z % 2 === 1;
  const tip = odd ? (2 * gear.tipDiameterMm) / (1 + Math.cos(Math.PI / z)) : gear.tipDiameterMm;
  const root =
    odd && gear.rootDiameterMm !== undefined ? gear.rootDiameterMm / Math.cos(Math.PI / 2 / z) : gear.rootDiameterMm;
  if (root !== undefined && root >= tip) return refuse("root-not-below-tip", ["rootDiameterMm"], { tipMm: tip });
  const pitchDiameter = root === undefined ? (tip * z) / (z + 2) : tip - (tip - root) / 2.25;
  const estimate = pitchDiameter / z;
  const candidates = nearestPitches(estimate);
  const basePitch = basePitchOf(gear.spans ?? []);
  if (basePitch === "equal-teeth") return refuse("spans-over-equal-teeth", ["spans"]);
  const best = candidates[0];
  return accept({
    pitchDiameterMm: pitchDiameter,
    moduleEstimateMm: estimate,
    candidates,
    ...(basePitch !== undefined && best
      ? { basePitchMm: basePitch, pressureAngleDeg: nearestPressureAngle(basePitch, best.moduleMm) }
      : {}),
    confusable: indistinguishable(candidates, z, 2 * gear.resolutionMm + gear.tipToleranceMm),
  });
}

const allPitches: readonly (PitchName & { moduleMm: number })[] = [
  ...standardModulesMm.map((value) => ({ system: "module" as const, value, moduleMm: value })),
  ...standardDiametralPitches.map((value) => ({
    system: "diametral-pitch" as const,
    value,
    moduleMm: moduleOfDiametralPitch(value),
  })),
];

function nearestPitches(estimate: number): PitchCandidate[] {
  return allPitches
    .map((pitch) => ({ ...pitch, deviationPercent: (100 * (estimate - pitch.moduleMm)) / pitch.moduleMm }))
    .sort((a, b) => Math.abs(a.deviationPercent) - Math.abs(b.deviationPercent))
    .filter((candidate, index) => index < 3 || Math.abs(candidate.deviationPercent) <= 10);
}

/** Two spans give their difference; more give the slope of the line through all. */
function basePitchOf(spans: readonly { teeth: number; mm: number }[]): number | "equal-teeth" | undefined {
  if (spans.length < 2) return undefined;
  const meanTeeth = spans.reduce((sum, s) => sum + s.teeth, 0) / spans.length;
  const meanMm = spans.reduce((sum, s) => sum + s.mm, 0) / spans.length;
  const spread = spans.reduce((sum, s) => sum + (s.teeth - meanTeeth) ** 2, 0);
  if (spread === 0) return "equal-teeth";
  return spans.reduce((sum, s) => sum + (s.teeth - meanTeeth) * (s.mm - meanMm), 0) / spread;
}

function nearestPressureAngle(basePitch: number, moduleMm: number): number {
  const miss = (angle: number) => Math.abs(Math.PI * moduleMm * Math.cos(radians(angle)) - basePitch);
  return [...commonPressureAnglesDeg].sort((a, b) => miss(a) - miss(b))[0] as number;
}

function indistinguishable(
  candidates: readonly PitchCandidate[],
  z: number,
  apartMm: number,
): [PitchName, PitchName][] {
  const name = ({ system, value }: PitchCandidate): PitchName => ({ system, value });
  return candidates.flatMap((first, i) =>
    candidates
      .slice(i + 1)
      .filter((second) => Math.abs(first.moduleMm - second.moduleMm) * (z + 2) <= apartMm)
      .map((second): [PitchName, PitchName] => [name(first), name(second)]),
  );
}
