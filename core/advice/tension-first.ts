import { judge, type Verdict } from "../limits";
import { accept, type Result, refuse } from "../quantity";
import { normalProbability, normalQuantile } from "../statistics";

export type TensionFirstQuestion = {
  /** Now, of a belt that is not slack. */
  tensionN: number;
  readingSdN: number;
  /** A guess: tension per unit of the move. */
  perUnitN: number;
  /** How far the guess may be off, as a part: 0.6 is 60 %, one standard deviation of ln k. */
  spread: number;
  limitsN: { lo: number; aim?: number | undefined; hi: number };
  /** Chance of passing hi − U that one move may run. */
  risk: number;
  moves: readonly { amount: number; readingN: number }[];
};

export type TensionFirst = {
  feasible: boolean;
  verdict: Verdict;
  presentN: number;
  stiffness: { perUnitN: number; spread: number };
  safeAmount: number;
  move: { amount: number; limitedBy: "aim" | "risk" } | null;
  expectedN?: { lo: number; median: number; hi: number };
  riskOfOver?: number;
};

/** Spread of a guessed stiffness of a belt in its frame (common practice). */
export const guessedSpread = 0.6;
/** Stiffness grows with tension as cords straighten and the frame seats: nothing learnt is taken more surely than this. */
export const leastLogSpread = 0.15;

/** What is known of ln k, a normal variable. */
export type LogStiffness = { mean: number; sd: number };

/**
 * What one more reading teaches of a stiffness of which only a guess is known. The scale is its logarithm, since a stiffness is never
 * below nothing and its guess is off by a factor rather than by an amount.
 *
 * @param change of the tension by the move, of the same sign as the amount
 */
export function learnStiffness(known: LogStiffness, amount: number, change: number, readingSdN: number): LogStiffness {
  const sd = (Math.SQRT2 * readingSdN) / Math.abs(change);
  const weight = 1 / known.sd ** 2 + 1 / sd ** 2;
  return {
    mean: (known.mean / known.sd ** 2 + Math.log(change / amount) / sd ** 2) / weight,
    sd: 1 / Math.sqrt(weight),
  };
}

/**
 * The next move of a belt whose stiffness is a guess: as far towards the aim as the chance of passing the upper limit allows, and back no
 * further than keeps it taut. Two or three such moves come where a careful hand takes five (handbook of belts in use; common
 * practice for the spread).
 *
 * @param question readings over 0, no amount 0
 * @returns the move, or `does-not-follow` at moves.i.readingN: the tension went against the move (the clamp slipped, or it was slack)
 * @example 25 N, ±2, 80 N a mm, aim 105 of 90 to 120 // 0.338979 mm, expected 33 … 52 … 116 N
 */
export function tensionFirst(question: TensionFirstQuestion): Result<TensionFirst> {
  const { readingSdN, limitsN, moves } = question;
  let known: LogStiffness = { mean: Math.log(question.perUnitN), sd: Math.log(1 + question.spread) };
  let presentN = question.tensionN;
  for (const [i, { amount, readingN }] of moves.entries()) {
    const change = readingN - presentN;
    if (change * amount <= 0) return refuse("does-not-follow", ["moves", i, "readingN"]);
    known = learnStiffness(known, amount, change, readingSdN);
    presentN = readingN;
  }
  const sd = Math.max(leastLogSpread, known.sd);
  const perUnitN = Math.exp(known.mean);
  const uncertainty = 2 * readingSdN;
  const { lo, hi } = limitsN;
  const room = hi - uncertainty - presentN;
  const stiffest = perUnitN * Math.exp(normalQuantile(1 - question.risk) * sd);
  const safeAmount = Math.max(0, room) / stiffest;
  const feasible = lo + uncertainty <= hi - uncertainty;
  const middle = (lo + hi) / 2;
  const aim = feasible ? Math.min(hi - uncertainty, Math.max(lo + uncertainty, limitsN.aim ?? middle)) : middle;
  const wanted = (aim - presentN) / perUnitN;
  const amount = Math.max(-presentN / stiffest, Math.min(wanted, safeAmount));
  const { verdict } = judge(presentN, { lo, hi }, uncertainty);
  const result = { feasible, verdict, presentN, stiffness: { perUnitN, spread: Math.exp(sd) - 1 }, safeAmount };
  if (verdict === "conforms" || amount === 0) return accept({ ...result, move: null });
  const expected = [-1, 1].map(
    (side) => presentN + perUnitN * Math.exp(side * normalQuantile(1 - question.risk) * sd) * amount,
  );
  return accept({
    ...result,
    move: { amount, limitedBy: amount === wanted ? "aim" : "risk" },
    expectedN: { lo: Math.min(...expected), median: presentN + perUnitN * amount, hi: Math.max(...expected) },
    riskOfOver: amount < 0 ? 0 : 1 - normalProbability(Math.log(room / (perUnitN * amount)) / sd),
  });
}
