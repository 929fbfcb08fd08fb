import { judge, type Verdict } from "../limits";
import { degrees, radians } from "../numerics";

/** A plain wobble: how far off centre, and where it is high, from the mark in the sense of turning. */
export type Wobble = { eccentricityMm: number; highAtDeg: number };
export type RunoutRound = Wobble & {
  /** Greatest less least reading. */
  totalMm: number;
};

export type RunoutQuestion = {
  /** Round the rim, evenly spaced from the mark on, in the sense of turning; three or more. */
  radialMm: readonly number[];
  /** On the face, likewise, at a diameter. */
  faceMm?: readonly number[] | undefined;
  faceDiameterMm?: number | undefined;
  /** On the shaft beside the part, likewise. */
  shaftMm?: readonly number[] | undefined;
  limitMm?: number | undefined;
  /** Of a reading, k = 2. */
  expandedUncertaintyMm: number;
};

export type PartRunout = {
  radial: RunoutRound;
  face?: { totalMm: number; tiltMmPerM: number; highAtDeg: number };
  /** What the part itself adds to the shaft's. */
  part?: Wobble;
  /** By how much to turn the part on the shaft, in the sense of turning, so that the two stand against each other, and what is left then. */
  turn?: { deg: number; leavesTotalMm: number };
  verdict?: Verdict;
};

/**
 * Runout of a part on its shaft. Its total is what the pointer sweeps; its first harmonic is how far off centre it sits. Off-centre of the
 * shaft and of the part add as vectors, so turned to stand against each other they leave their difference.
 *
 * @example rim 0, 0.1, 0.2, 0.1 at every quarter: 0.2 in all, 0.1 off centre, high at 180°
 * @source first harmonic by discrete Fourier transform; addition of vectors. Total against limit: ISO 1101 (circular run-out), decided by ISO 14253-1
 */
export function partRunout(question: RunoutQuestion): PartRunout {
  const { radialMm, faceMm, faceDiameterMm, shaftMm, limitMm, expandedUncertaintyMm: u } = question;
  const radial = roundOf(radialMm);
  const result: PartRunout = { radial };
  if (faceMm && faceDiameterMm) {
    const face = roundOf(faceMm);
    result.face = {
      totalMm: face.totalMm,
      tiltMmPerM: (2000 * face.eccentricityMm) / faceDiameterMm,
      highAtDeg: face.highAtDeg,
    };
  }
  if (shaftMm) {
    const shaft = roundOf(shaftMm);
    const [whole, bare] = [vector(radial), vector(shaft)];
    const part = wobble(whole.x - bare.x, whole.y - bare.y);
    result.part = part;
    result.turn = {
      deg: halfTurn(shaft.highAtDeg + 180 - part.highAtDeg),
      leavesTotalMm: 2 * Math.abs(part.eccentricityMm - shaft.eccentricityMm),
    };
  }
  if (limitMm !== undefined) result.verdict = judge(radial.totalMm, { hi: limitMm }, Math.SQRT2 * u).verdict;
  return result;
}

function roundOf(readings: readonly number[]): RunoutRound {
  const n = readings.length;
  let [x, y] = [0, 0];
  readings.forEach((reading, i) => {
    const at = radians((360 * i) / n);
    x += (2 / n) * reading * Math.cos(at);
    y += (2 / n) * reading * Math.sin(at);
  });
  return { totalMm: Math.max(...readings) - Math.min(...readings), ...wobble(x, y) };
}

const vector = ({ eccentricityMm, highAtDeg }: Wobble) => ({
  x: eccentricityMm * Math.cos(radians(highAtDeg)),
  y: eccentricityMm * Math.sin(radians(highAtDeg)),
});

function wobble(x: number, y: number): Wobble {
  const eccentricityMm = Math.hypot(x, y);
  // Where nothing wobbles, nothing is high.
  const highAtDeg = eccentricityMm < 1e-9 ? 0 : (degrees(Math.atan2(y, x)) + 360) % 360;
  return { eccentricityMm, highAtDeg };
}

/** Over −180 up to 180. */
const halfTurn = (deg: number): number => 180 - ((((180 - deg) % 360) + 360) % 360);
