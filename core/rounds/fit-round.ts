import { gcd, lcm, leastSquares, radians } from "../numerics";
import { accept, type Result, refuse } from "../quantity";
import { conditionOf, gearTerms, pairTerms, separableCondition } from "./harmonics";

/** A value at the cumulative angle of the part that is read round. */
export type ReadingAt = { gearAngleDeg: number; value: number };
export type Wave = { amplitude: number; tightRad: number };
/** Mean and the waves of the part read round and of the one that turns with it. */
export type Harmonics = { mean: number; gear: Wave; pinion: Wave | null };
export type Extreme = { value: number; gearAngleDeg: number; turnsBetween: number };

export type RoundFit = {
  harmonics: Harmonics;
  /** Of the readings. */
  min: number;
  max: number;
  /** The positions could tell both parts apart. */
  separable: boolean;
  /** rms */
  residual: number;
  /** Least and greatest fitted value over the hunting cycle, or the arc. */
  least: Extreme;
  greatest: Extreme;
};

export type RoundOptions = { separatePinion: boolean; arcDeg?: readonly [number, number] | undefined };

/**
 * A round fitted and its worst found (README for the model). Both parts are fitted together only where the positions can tell them
 * apart; else mean and the part read alone, since an alias would be blamed on the wrong member. The worst is looked for at
 * every position of the hunting cycle, because readings on one turn may miss the teeth that bind.
 *
 * @param teeth of the part that turns along and of the one read round; [1, places] where one part alone comes round
 * @param readings three or more
 * @param options separatePinion: try to tell the other part apart; arcDeg: [from, to] of a stage that turns only so far
 * @returns the fit, or `too-few-readings`, `positions-undetermined` at readings; `arc-empty` at arcDeg
 */
export function fitRound(
  teeth: readonly [number, number],
  readings: readonly ReadingAt[],
  options: RoundOptions,
): Result<RoundFit> {
  if (readings.length < 3) return refuse("too-few-readings", ["readings"], { least: 3, given: readings.length });
  const fitted = fitHarmonics(readings, teeth[1] / teeth[0], options.separatePinion);
  if (!fitted) return refuse("positions-undetermined", ["readings"]);
  const worst = findWorst(fitted.harmonics, teeth, options.arcDeg);
  if (!worst) return refuse("arc-empty", ["arcDeg"]);
  const values = readings.map((reading) => reading.value);
  return accept({
    ...fitted,
    min: values.reduce((a, b) => Math.min(a, b)),
    max: values.reduce((a, b) => Math.max(a, b)),
    ...worst,
  });
}

/** The fitted value at an angle; `ratio` turns of the other part for one of the part read. */
export function fittedAt(harmonics: Harmonics, gearAngleDeg: number, ratio: number): number {
  const theta = radians(gearAngleDeg);
  const { mean, gear, pinion } = harmonics;
  const ofPinion = pinion ? pinion.amplitude * Math.cos(theta * ratio - pinion.tightRad) : 0;
  return mean - gear.amplitude * Math.cos(theta - gear.tightRad) - ofPinion;
}

/** Least-squares waves through the readings, or null where the positions do not determine mean, cos θ and sin θ. */
function fitHarmonics(
  readings: readonly ReadingAt[],
  ratio: number,
  separatePinion: boolean,
): { harmonics: Harmonics; separable: boolean; residual: number } | null {
  const gearRows = readings.map((reading) => gearTerms(reading.gearAngleDeg));
  if (conditionOf(gearRows) > undeterminedCondition) return null;
  const pairRows = readings.map((reading) => pairTerms(reading.gearAngleDeg, ratio));
  const separable = readings.length >= 5 && conditionOf(pairRows) <= separableCondition;
  const rows = separable && separatePinion ? pairRows : gearRows;
  const values = readings.map((reading) => reading.value);
  const coefficients = leastSquares(rows, values);
  if (!coefficients) return null;
  const [mean = 0, c2 = 0, s2 = 0, c1, s1 = 0] = coefficients;
  const squares = rows.reduce((sum, row, i) => {
    const fitted = row.reduce((total, term, j) => total + term * (coefficients[j] ?? 0), 0);
    return sum + ((values[i] ?? 0) - fitted) ** 2;
  }, 0);
  return {
    harmonics: { mean, gear: wave(c2, s2), pinion: c1 === undefined ? null : wave(c1, s1) },
    separable,
    residual: Math.sqrt(squares / readings.length),
  };
}

// Above this the three terms are dependent to the digits a protractor or tooth count can give.
const undeterminedCondition = 1e10;

const wave = (c: number, s: number): Wave => ({ amplitude: Math.hypot(c, s), tightRad: Math.atan2(-s, -c) });

/**
 * Least and greatest fitted value over the positions k·360/z2 of the hunting cycle, or of the arc. Each part's share repeats with
 * its own teeth, so two tables of z1 and z2 cosines serve all lcm(z1, z2) positions.
 */
function findWorst(
  harmonics: Harmonics,
  teeth: readonly [number, number],
  arcDeg: readonly [number, number] | undefined,
): { least: Extreme; greatest: Extreme } | null {
  const [z1, z2] = teeth;
  const cycle = harmonics.pinion ? lcm(z1, z2) : z2;
  const turnsBetween = harmonics.pinion ? z1 / gcd(z1, z2) : 1;
  let first = 0;
  let count = cycle;
  if (arcDeg) {
    if (arcDeg[0] >= arcDeg[1]) return null;
    first = Math.ceil((arcDeg[0] * z2) / 360 - 1e-9);
    count = Math.min(cycle, Math.floor((arcDeg[1] * z2) / 360 + 1e-9) - first + 1);
    if (count < 1) return null;
  }
  const ofGear = cosines(harmonics.gear, z2);
  const ofPinion = harmonics.pinion ? cosines(harmonics.pinion, z1) : new Float64Array(z1);
  let gearTooth = modulo(first, z2);
  let pinionTooth = modulo(first, z1);
  let tight = { value: Number.POSITIVE_INFINITY, k: first };
  let loose = { value: Number.NEGATIVE_INFINITY, k: first };
  for (let k = first; k < first + count; k++) {
    const value = harmonics.mean - (ofGear[gearTooth] ?? 0) - (ofPinion[pinionTooth] ?? 0);
    if (value < tight.value) tight = { value, k };
    if (value > loose.value) loose = { value, k };
    if (++gearTooth === z2) gearTooth = 0;
    if (++pinionTooth === z1) pinionTooth = 0;
  }
  const extreme = ({ value, k }: { value: number; k: number }): Extreme => ({
    value,
    gearAngleDeg: (k * 360) / z2,
    turnsBetween,
  });
  return { least: extreme(tight), greatest: extreme(loose) };
}

const cosines = (of: Wave, teeth: number): Float64Array =>
  Float64Array.from({ length: teeth }, (_, i) => of.amplitude * Math.cos((2 * Math.PI * i) / teeth - of.tightRad));

const modulo = (k: number, z: number): number => ((k % z) + z) % z;
