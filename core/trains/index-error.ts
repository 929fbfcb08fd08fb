import { atMost, type Fraction, fraction } from "../numerics";
import { accept, type Result, refuse } from "../quantity";
import { indexPosition } from "./index-plan";

/** A wheel of the drive that does not run true. */
export type IndexWheel = {
  id: string;
  /** Half of what the indicator reads. */
  eccentricityMm: number;
  radiusMm: number;
  turnsPerOutputTurn: readonly [num: number, den: number];
  /** 0 for belt pulleys. */
  pressureAngleDeg: number;
};

export type IndexErrorQuestion = {
  divisions: number;
  wheels: readonly IndexWheel[];
  stepsPerOutputTurn?: readonly [num: number, den: number] | undefined;
  /** At the output. */
  lostMotionArcmin?: number | undefined;
  /** Every position is approached from one side. */
  oneSided: boolean;
  /** ± at the output. */
  others: readonly { id: string; arcmin: number }[];
  toleranceArcmin?: number | undefined;
};

/** What one cause takes a position off by (±), and a move from one division to the next. */
export type IndexContribution = { id: string; positionArcmin: number; betweenArcmin: number };
type Added = { worstArcmin: number; rssArcmin: number };

export type IndexError = {
  contributions: IndexContribution[];
  position: Added;
  between: Added;
  verdict?: "within" | "likely" | "beyond";
};

/** Names that no wheel and nothing else may have. */
export const stepRounding = "step-rounding";
export const lostMotionId = "lost-motion";

const arcminPerRadian = 10_800 / Math.PI;
const arcminPerTurn = 21_600;

/**
 * What every division of an index drive may be off by, and from what: wheels that run out, positions rounded to whole steps, lost motion.
 * A wheel that turns whole turns from one division to the next stands alike at each and drops out.
 *
 * @returns causes in the order wheels, step-rounding, lost-motion, others; or `nothing-to-add` at wheels
 * @example 0.02 at radius 30, 20°, once a turn, 200 divisions // ± 2.4389158′, 0.0766176′ between
 * @source transmission error e·cos(…) along the line of action of an involute; worst case by sum, likely by root of squares (JCGM 100)
 */
export function indexError(question: IndexErrorQuestion): Result<IndexError> {
  const { divisions, wheels, stepsPerOutputTurn, lostMotionArcmin, oneSided, others, toleranceArcmin } = question;
  const contributions = [
    ...wheels.map((wheel) => wheelError(wheel, divisions)),
    ...(stepsPerOutputTurn ? [roundingError(stepsPerOutputTurn, divisions)] : []),
    ...(lostMotionArcmin === undefined
      ? []
      : [
          {
            id: lostMotionId,
            positionArcmin: oneSided ? 0 : lostMotionArcmin / 2,
            betweenArcmin: oneSided ? 0 : lostMotionArcmin,
          },
        ]),
    ...others.map(({ id, arcmin }) => ({ id, positionArcmin: arcmin, betweenArcmin: 2 * arcmin })),
  ];
  if (contributions.length === 0) return refuse("nothing-to-add", ["wheels"]);
  const position = added(contributions.map(({ positionArcmin }) => positionArcmin));
  return accept({
    contributions,
    position,
    between: added(contributions.map(({ betweenArcmin }) => betweenArcmin)),
    ...(toleranceArcmin !== undefined && {
      verdict: atMost(position.worstArcmin, toleranceArcmin)
        ? "within"
        : atMost(position.rssArcmin, toleranceArcmin)
          ? "likely"
          : "beyond",
    }),
  });
}

const added = (each: readonly number[]): Added => ({
  worstArcmin: each.reduce((sum, one) => sum + one, 0),
  rssArcmin: Math.hypot(...each),
});

/** A = e/(r·cos α) at the wheel, less at the output by the turns it makes for one of that. */
function wheelError(wheel: IndexWheel, divisions: number): IndexContribution {
  const { id, eccentricityMm, radiusMm, pressureAngleDeg, turnsPerOutputTurn } = wheel;
  const [num, den] = turnsPerOutputTurn;
  const perDivision = fraction(num, den * divisions);
  if (perDivision.den === 1) return { id, positionArcmin: 0, betweenArcmin: 0 };
  const base = radiusMm * Math.cos((pressureAngleDeg * Math.PI) / 180);
  const positionArcmin = (arcminPerRadian * eccentricityMm * den) / (base * num);
  // Whole turns do not count; without them the sine keeps its digits.
  const phase = (Math.PI * (perDivision.num % perDivision.den)) / perDivision.den;
  return { id, positionArcmin, betweenArcmin: 2 * positionArcmin * Math.abs(Math.sin(phase)) };
}

function roundingError([num, den]: readonly [number, number], divisions: number): IndexContribution {
  const q: Fraction = fraction(num, den * divisions);
  const arcminPerStep = (arcminPerTurn * den) / num;
  let [position, move, before] = [0, 0, 0];
  // The error repeats after q.den positions.
  for (let k = 1; k <= Math.min(divisions, q.den); k++) {
    const { offSteps } = indexPosition(q, k);
    position = Math.max(position, Math.abs(offSteps));
    move = Math.max(move, Math.abs(offSteps - before));
    before = offSteps;
  }
  return { id: stepRounding, positionArcmin: position * arcminPerStep, betweenArcmin: move * arcminPerStep };
}
