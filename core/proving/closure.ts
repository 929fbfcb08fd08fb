import { judge, type Verdict, worstVerdict } from "../limits";
import { studentQuantile } from "../statistics";

/** An index or positioning drive driven whole turns both ways, and by how much its mark then missed zero. */
export type ClosureQuestion = {
  /** Of one turn. */
  divisions: number;
  turns: number;
  /** Each counted in its own direction of driving: positive beyond zero, negative short of it; zero was approached forwards. */
  forward: readonly number[];
  backward?: readonly number[] | undefined;
  /** Where the misses were read in mm; they are arcmin without it. */
  radiusMm?: number | undefined;
  toleranceArcmin: number;
  /** Of one reading, in the unit of the misses. */
  expandedUncertainty: number;
  /** Motor steps per turn of the output. */
  stepsPerTurn?: number | undefined;
};

export type WayClosed = { meanArcmin: number; expandedUncertaintyArcmin: number; verdict: Verdict };
export type Closure = {
  forward: WayClosed;
  backward?: WayClosed;
  /** Forward less backward: what the mark misses more on the way back is the play. */
  lostMotionArcmin?: number;
  lostMotionUncertaintyArcmin?: number;
  perTurnArcmin: number;
  perDivisionArcmin: number;
  /** Whole steps that the forward miss stands for, what is left of it, and whether the readings are sure to half a step. */
  stepsLost?: { steps: number; remainderArcmin: number; sure: boolean };
  verdict: Verdict;
};

const arcminPerRadian = 10_800 / Math.PI;
const arcminPerTurn = 21_600;

/**
 * Whether a drive comes back to zero after whole turns, and from what it misses: the forward miss is free of lost motion, the backward one
 * holds all of it.
 *
 * @returns misses as arcmin; each way's U is the reading's own and t(0.975, n − 1)·s/√n of the repeats in square sum
 * @example misses −1.2, −1.4, −1.1 ′ // −1.2333 ± 0.3795
 * @source JCGM 100:2008, 4.2.3 and G.3 (mean of repeats); lost motion as the difference of both ways: common practice
 */
export function closure(question: ClosureQuestion): Closure {
  const { divisions, turns, forward, backward, radiusMm, toleranceArcmin, expandedUncertainty, stepsPerTurn } =
    question;
  const scale = radiusMm === undefined ? 1 : arcminPerRadian / radiusMm;
  const way = (misses: readonly number[]) => wayClosed(misses, scale, expandedUncertainty * scale, toleranceArcmin);
  const on = way(forward);
  const back = backward && way(backward);
  const perTurnArcmin = on.meanArcmin / turns;
  return {
    forward: on,
    ...(back && {
      backward: back,
      lostMotionArcmin: on.meanArcmin - back.meanArcmin,
      lostMotionUncertaintyArcmin: Math.hypot(on.expandedUncertaintyArcmin, back.expandedUncertaintyArcmin),
    }),
    perTurnArcmin,
    perDivisionArcmin: perTurnArcmin / divisions,
    ...(stepsPerTurn !== undefined && { stepsLost: stepsLost(on, arcminPerTurn / stepsPerTurn) }),
    verdict: worstVerdict([on.verdict, ...(back ? [back.verdict] : [])]),
  };
}

function wayClosed(misses: readonly number[], scale: number, ownU: number, tolerance: number): WayClosed {
  const n = misses.length;
  const mean = (misses.reduce((sum, miss) => sum + miss, 0) / n) * scale;
  const squares = misses.reduce((sum, miss) => sum + (miss * scale - mean) ** 2, 0);
  const ofRepeats = n < 2 ? 0 : studentQuantile(0.95, n - 1) * Math.sqrt(squares / (n - 1) / n);
  const u = Math.hypot(ownU, ofRepeats);
  return {
    meanArcmin: mean,
    expandedUncertaintyArcmin: u,
    verdict: judge(mean, { lo: -tolerance, hi: tolerance }, u).verdict,
  };
}

function stepsLost({ meanArcmin, expandedUncertaintyArcmin }: WayClosed, stepArcmin: number): Closure["stepsLost"] {
  // + 0: no step lost is 0, never −0.
  const steps = Math.floor(-meanArcmin / stepArcmin + 0.5) + 0;
  return {
    steps,
    remainderArcmin: meanArcmin + steps * stepArcmin,
    sure: expandedUncertaintyArcmin < stepArcmin / 2,
  };
}
