import { judgedBy, type StageElement } from "../stages";
import { adjusterNow } from "./adjuster-now";
import { type Adjuster, centreChange } from "./adjusters";
import { priorResponse, stiffnessGuessed } from "./prior";
import { isSurprising, learnResponse, type ObservedMove, type Response } from "./response";
import { guessedSpread, learnStiffness, leastLogSpread } from "./tension-first";

/** A signed or kept move with what was read at the same teeth before and after it. */
export type PastMove = {
  /** In the adjuster's unit, signed. */
  amount: number;
  /** Where the adjuster stood before it: the sum of earlier moves of this mounting. */
  from: number;
  /** Standard deviation of one reading of those rounds, by the instruments that took them. */
  readingSd: number;
  /** False for a part brought back by hand, or a move whose adjuster has since been changed. */
  teaches: boolean;
  before: readonly { tooth: number; value: number }[];
  after: readonly { tooth: number; value: number }[];
};

export type MoveEvidence = ObservedMove & {
  used: boolean;
  /** What was read went the other way than the move should have sent it, by more than the readings' doubt. */
  opposite: boolean;
  /** What a unit of it did, and the standard deviation of that by the readings alone; null: no tooth was read before and after, or it moved nothing. */
  per: number | null;
  perSd: number;
  why: "used" | "no-common-tooth" | "not-teaching" | "reversal" | "surprising";
};

export type LearntResponse = Response & { evidence: MoveEvidence[]; moves: number };

/**
 * The response of one stage's adjuster from its past moves, oldest first. The change of a move is the mean difference at
 * the teeth read both before and after it. Left out, and said so: moves that teach nothing, the first move of a screw after
 * its direction changed (the screw's own lost motion is in it), and moves off by more than three standard deviations. A belt whose
 * stiffness is a guess is learnt on the logarithm of it (`learnStiffness`).
 *
 * @param sensitivity change of the quantity per mm of centre distance; of sag that of its square, since its slack goes so
 * @returns response per unit; for an eccentric a factor on its law
 */
export function learnFromMoves(
  element: StageElement,
  adjuster: Adjuster,
  sensitivity: number,
  moves: readonly PastMove[],
): LearntResponse {
  const sag = judgedBy(element) === "sag";
  const eccentric = adjuster.type === "eccentric";
  let response: Response = priorResponse(element, adjuster, sensitivity);
  const guessed = stiffnessGuessed(element);
  if (guessed) response = { ...response, sd: guessedSpread * Math.abs(response.perUnit) };
  let known = { mean: Math.log(Math.abs(response.perUnit)), sd: Math.log(1 + guessedSpread) };
  const evidence: MoveEvidence[] = [];
  let lastSign = 0;
  for (const move of moves) {
    const stood = adjusterNow(adjuster, move.from);
    const amount = eccentric ? sensitivity * centreChange(stood, move.amount) : move.amount;
    const change = meanDifference(move, sag ? (value) => value * value : (value) => value);
    const sd = sag ? move.readingSd * 2 * meanOf(move) : move.readingSd;
    const sign = Math.sign(move.amount);
    const reversed = adjuster.type === "screw" && lastSign !== 0 && sign !== 0 && sign !== lastSign;
    if (sign !== 0) lastSign = sign;
    const why = guessed
      ? whyNotStiffness(move, change, reversed, response, amount)
      : whyNot(move, change, reversed, response, amount, sd);
    const expected = response.perUnit * amount;
    const opposite = change !== null && change * expected < 0 && Math.abs(change) > 2 * Math.SQRT2 * sd;
    const per = change === null || amount === 0 ? null : change / amount;
    const perSd = amount === 0 ? 0 : (Math.SQRT2 * sd) / Math.abs(amount);
    evidence.push({ amount: move.amount, change: change ?? 0, used: why === "used", opposite, per, perSd, why });
    if (why !== "used" || change === null) continue;
    if (!guessed) response = learnResponse(response, [{ amount, change }], sd);
    else {
      known = learnStiffness(known, Math.sign(response.perUnit) * amount, change, sd);
      const sure = Math.max(leastLogSpread, known.sd);
      const perUnit = Math.sign(response.perUnit) * Math.exp(known.mean);
      response = { perUnit, sd: (Math.exp(sure) - 1) * Math.abs(perUnit) };
    }
  }
  return { ...response, evidence, moves: evidence.filter((item) => item.used).length };
}

function whyNot(
  move: PastMove,
  change: number | null,
  reversed: boolean,
  response: Response,
  amount: number,
  readingSd: number,
): MoveEvidence["why"] {
  if (!move.teaches || move.amount === 0) return "not-teaching";
  if (change === null) return "no-common-tooth";
  if (reversed) return "reversal";
  return isSurprising(response, { amount, change }, readingSd) ? "surprising" : "used";
}

/** A tension that goes against its move says nothing of a stiffness: the clamp slipped, or the belt was slack. */
function whyNotStiffness(
  move: PastMove,
  change: number | null,
  reversed: boolean,
  response: Response,
  amount: number,
): MoveEvidence["why"] {
  if (!move.teaches || move.amount === 0) return "not-teaching";
  if (change === null) return "no-common-tooth";
  if (reversed) return "reversal";
  return change * amount * response.perUnit > 0 ? "used" : "surprising";
}

/** Mean of all that was read, for the slope of the square; never 0, or the first move of a straight chain would teach for sure. */
function meanOf({ before, after }: PastMove): number {
  const values = [...before, ...after].map((reading) => reading.value);
  return Math.max(1e-3, values.reduce((a, b) => a + b, 0) / Math.max(1, values.length));
}

function meanDifference({ before, after }: PastMove, scale: (value: number) => number): number | null {
  const meanAt = (readings: PastMove["before"], tooth: number) => {
    const values = readings.filter((reading) => reading.tooth === tooth).map((reading) => scale(reading.value));
    return values.length === 0 ? null : values.reduce((a, b) => a + b, 0) / values.length;
  };
  const differences = [...new Set(after.map((reading) => reading.tooth))].flatMap((tooth) => {
    const was = meanAt(before, tooth);
    const is = meanAt(after, tooth);
    return was === null || is === null ? [] : [is - was];
  });
  return differences.length === 0 ? null : differences.reduce((a, b) => a + b, 0) / differences.length;
}
