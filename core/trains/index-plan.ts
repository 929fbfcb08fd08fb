import { type Fraction, fraction } from "../numerics";

export type IndexDrive = {
  stepsPerRev: number;
  microsteps: number;
  /** Motor turns per output turn. */
  ratio: readonly [num: number, den: number];
};

export type IndexPlan = {
  stepsPerDivision: Fraction;
  exact: boolean;
  /** Whole steps of the first twelve moves. */
  moves: number[];
  maxErrorArcsec: number;
  /** A whole number of steps to the output turn: the error does not drift from turn to turn. */
  closes: boolean;
};

/** Whole steps from zero at which position k stands: ⌊k·q + ½⌋. */
function nearestStep({ num, den }: Fraction, k: number): bigint {
  const [n, d] = [BigInt(num), BigInt(den)];
  return (2n * BigInt(k) * n + d) / (2n * d);
}

/** One position of a plan: whole steps from zero, whole steps from the position before, and how far off it stands in steps (+: beyond). */
export function indexPosition(q: Fraction, k: number): { steps: number; move: number; offSteps: number } {
  const steps = nearestStep(q, k);
  return {
    steps: Number(steps),
    move: k === 0 ? 0 : Number(steps - nearestStep(q, k - 1)),
    offSteps: Number(steps * BigInt(q.den) - BigInt(k) * BigInt(q.num)) / q.den,
  };
}

/**
 * A turn divided into whole motor steps: position k at ⌊k·q + ½⌋. Rounding each move by itself would add its error up over the turn;
 * differences of rounded positions keep it within half a step. Exact in whole numbers of any size.
 *
 * @param divisions 1 or more
 * @example indexPlan({ stepsPerRev: 200, microsteps: 16, ratio: [40, 1] }, 60) // 6400/3, moves 2133 2134 2133 …
 */
export function indexPlan({ stepsPerRev, microsteps, ratio }: IndexDrive, divisions: number): IndexPlan {
  const perTurn = stepsPerRev * microsteps * ratio[0];
  const q = fraction(perTurn, ratio[1] * divisions);
  const [num, den] = [BigInt(q.num), BigInt(q.den)];
  const position = (k: number) => nearestStep(q, k);
  const moves = Array.from({ length: Math.min(12, divisions) }, (_, k) => Number(position(k + 1) - position(k)));
  // The error repeats after q.den positions.
  let worst = 0n;
  for (let k = 0; k <= Math.min(divisions, q.den); k++) {
    const off = position(k) * den - BigInt(k) * num;
    const size = off < 0n ? -off : off;
    if (size > worst) worst = size;
  }
  const errorSteps = Number(worst) / q.den;
  return {
    stepsPerDivision: q,
    exact: q.den === 1,
    moves,
    maxErrorArcsec: (errorSteps * 1_296_000 * ratio[1]) / perTurn,
    closes: fraction(perTurn, ratio[1]).den === 1,
  };
}
