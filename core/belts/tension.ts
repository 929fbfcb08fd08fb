import { accept, type Result, refuse } from "../quantity";

/** A free span of a belt. */
export type BeltSpan = {
  spanMm: number;
  massKgPerM: number;
  /** EI, N·mm². */
  bendingStiffnessNMm2: number;
};

export type Elongation = {
  /** EA: force per unit of strain. */
  stiffnessN: number;
  beltLengthMm: number;
  centreDistanceMm: number;
};

/** N added to the tension by the stiffness of a span that swings in its n-th harmonic, pinned at both ends: n²·π²·EI/L². */
const stiffnessShare = ({ spanMm, bendingStiffnessNMm2 }: BeltSpan, harmonic: number): number =>
  (harmonic ** 2 * Math.PI ** 2 * bendingStiffnessNMm2) / spanMm ** 2;

/** 4·m·L²/n², N per Hz². */
const massShare = ({ spanMm, massKgPerM }: BeltSpan, harmonic: number): number =>
  (4 * massKgPerM * (spanMm / 1000) ** 2) / harmonic ** 2;

/**
 * Tension of a span that swings with a frequency: T = 4·m·L²·f²/n² − n²·π²·EI/L². Leaving out the stiffness overrates the
 * tension of short spans (L below about 25 belt thicknesses, common practice).
 *
 * @returns N, or `stiffness-alone` at bendingStiffnessNMm2: the stiffness by itself swings faster
 * @example tensionOfFrequency({ spanMm: 150, massKgPerM: 0.008, bendingStiffnessNMm2: 0 }, 120, 1) // 10.368
 */
export function tensionOfFrequency(span: BeltSpan, frequencyHz: number, harmonic = 1): Result<number> {
  const tension = massShare(span, harmonic) * frequencyHz ** 2 - stiffnessShare(span, harmonic);
  return tension > 0
    ? accept(tension)
    : refuse("stiffness-alone", ["bendingStiffnessNMm2"], {
        leastHz: Math.sqrt(stiffnessShare(span, harmonic) / massShare(span, harmonic)),
      });
}

/** Frequency of a span under a tension, Hz; the inverse of `tensionOfFrequency`. */
export const frequencyOfTension = (span: BeltSpan, tensionN: number, harmonic = 1): number =>
  Math.sqrt((tensionN + stiffnessShare(span, harmonic)) / massShare(span, harmonic));

/** Tension while a force at mid-span deflects it by y: F·√(L² + 4y²)/(4y), exact for a flexible span. */
export const tensionOfDeflection = (spanMm: number, forceN: number, deflectionMm: number): number =>
  (forceN * Math.hypot(spanMm, 2 * deflectionMm)) / (4 * deflectionMm);

/** Force at mid-span that deflects a span under that tension by y. */
export const forceOfDeflection = (spanMm: number, tensionN: number, deflectionMm: number): number =>
  (4 * deflectionMm * tensionN) / Math.hypot(spanMm, 2 * deflectionMm);

/** Deflection by a force at mid-span; null where the force is more than both strands together could carry. */
export function deflectionOfForce(spanMm: number, tensionN: number, forceN: number): number | null {
  const sine = forceN / (2 * tensionN);
  return sine < 1 ? (spanMm / 2) * (sine / Math.sqrt(1 - sine * sine)) : null;
}

/** N of tension per mm of centre distance, each strand: 2·EA·(span/centre distance)/belt length. */
export const tensionPerCentre = (spanMm: number, { stiffnessN, beltLengthMm, centreDistanceMm }: Elongation): number =>
  (2 * stiffnessN * (spanMm / centreDistanceMm)) / beltLengthMm;
