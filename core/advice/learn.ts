import type { JudgedQuantity } from "../stages";
import { type Adjuster, centreChange, gainOf } from "./adjusters";
import { isSurprising, learnResponse, type ObservedMove, type Response } from "./response";

/** A signed or kept move with what was read at the same teeth before and after it. */
export type PastMove = {
  /** In the adjuster's unit, signed. */
  amount: number;
  /** False for a part brought back by hand, or a move whose adjuster has since been changed. */
  teaches: boolean;
  before: readonly { tooth: number; value: number }[];
  after: readonly { tooth: number; value: number }[];
};

export type MoveEvidence = ObservedMove & {
  used: boolean;
  why: "used" | "no-common-tooth" | "not-teaching" | "reversal" | "surprising";
};

export type LearntResponse = Response & { evidence: MoveEvidence[]; moves: number };

/** Width of the prior, as a part of what the law says (common practice: 25 to 30 %). */
export const priorWidth = 0.3;

/**
 * The response of one stage's adjuster from its past moves, oldest first. The change of a move is the mean difference at
 * the teeth read both before and after it. Left out, and said so: moves that teach nothing, the first move of a screw after
 * its direction changed (the screw's own lost motion is in it), and moves off by more than three standard deviations.
 *
 * @param sensitivity change of the quantity per mm of centre distance; of sag that of its square, since its slack goes so
 * @param readingSd standard deviation of one reading
 * @returns response per unit; for an eccentric a factor on its law
 */
export function learnFromMoves(
  adjuster: Adjuster,
  sensitivity: number,
  moves: readonly PastMove[],
  readingSd: number,
  quantity: JudgedQuantity = "backlash",
): LearntResponse {
  const eccentric = adjuster.type === "eccentric";
  const expected = eccentric ? 1 : sensitivity * gainOf(adjuster);
  let response: Response = { perUnit: expected, sd: priorWidth * Math.abs(expected) };
  const evidence: MoveEvidence[] = [];
  let lastSign = 0;
  for (const move of moves) {
    const amount = eccentric ? sensitivity * centreChange(adjuster, move.amount) : move.amount;
    const change = meanDifference(move, quantity === "sag" ? (value) => value * value : (value) => value);
    const sd = quantity === "sag" ? readingSd * 2 * meanOf(move) : readingSd;
    const sign = Math.sign(move.amount);
    const reversed = adjuster.type === "screw" && lastSign !== 0 && sign !== 0 && sign !== lastSign;
    if (sign !== 0) lastSign = sign;
    const why = whyNot(move, change, reversed, response, amount, sd);
    evidence.push({ amount: move.amount, change: change ?? 0, used: why === "used", why });
    if (why === "used" && change !== null) response = learnResponse(response, [{ amount, change }], sd);
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
