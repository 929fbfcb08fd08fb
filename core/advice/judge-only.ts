import { judge, worstVerdict } from "../limits";
import type { JudgedQuantity } from "../stages";
import type { Advice, AdviceReading } from "./advise";

/**
 * What is said of a round where nothing can be moved: its verdict and its spread, never a move. Worn chains only get longer, so their lower
 * limit says nothing.
 */
export function judgeOnly(
  question: {
    readings: readonly AdviceReading[];
    worst?: { min: number; max: number } | undefined;
    limits: { lo: number; hi: number };
    expandedUncertainty: number;
  },
  quantity: JudgedQuantity,
): Advice {
  const values = question.readings.map((reading) => reading.value);
  if (question.worst) values.push(question.worst.min, question.worst.max);
  const [min, max] = [Math.min(...values), Math.max(...values)];
  const limits = quantity === "elongation" ? { hi: question.limits.hi } : question.limits;
  const spread = max - min;
  return {
    verdict: worstVerdict(values.map((value) => judge(value, limits, question.expandedUncertainty).verdict)),
    feasible: spread <= question.limits.hi - question.limits.lo,
    spread,
    move: null,
    predicted: { min, max },
    steps: [],
    reasons: [],
  };
}
