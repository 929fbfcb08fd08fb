import type { FeelGrade, JudgedQuantity } from "../stages";
import { type Adjuster, amountFor, centreChange } from "./adjusters";
import { learnResponse } from "./response";

/** What hands felt round a move: the words at the places that were felt both before and after it. */
export type FeltMove = {
  /** In the adjuster's unit, signed. */
  amount: number;
  before: readonly { tooth: number; grade: FeelGrade }[];
  after: readonly { tooth: number; grade: FeelGrade }[];
};

export type FeelStepQuestion = {
  quantity: JudgedQuantity;
  adjuster: Adjuster;
  /** Change of the quantity per mm of centre distance. */
  sensitivity: number;
  /** How far the limits lie apart. */
  band: number;
  /** The smallest step that a hand can set; 0: any. */
  smallest: number;
  way: "tighter" | "looser";
  /** What is felt now, round the turn. */
  felt: readonly FeelGrade[];
  /** Moves of this adjuster so far, oldest first. */
  moves: readonly FeltMove[];
};

export type FeelStep = {
  /** Signed, in the adjuster's unit. */
  amount: number;
  /** By how many moves it was learnt; 0: by the law of the adjuster. */
  learntFrom: number;
  /** How much more, or less, a move does than the law says. */
  factor: number;
  /** How many words it is to change. */
  words: number;
};

/** A word is worth about so much of the band (common practice). */
const bandPerWord = 1 / 3;
/** The tightest word that is right, at the tight spot; and the loosest that is not yet wrong. */
const [tightest, loosest] = [4, 2] as const;
/** So many moves by feel before they are believed more than the law. */
const leastMoves = 3;
/** One word more or less is as much as a hand can be wrong. */
const wordSd = 0.5;
const mostFactor = 4;

/**
 * The small step by which one goes on by feel, in the adjuster's own units. A word is about a third of the band. It is as many words as take
 * no place beyond right on the other side, and one at least: together until the tightest place would click faintly, apart until the
 * loosest would click loosely. No word tells how far beyond the last one it lies, so nobody is sent further. After three moves it is
 * learnt what a move really does to the words.
 *
 * @returns null where the adjuster does not reach any further
 */
export function feelStep(question: FeelStepQuestion): FeelStep | null {
  const { adjuster, quantity, sensitivity, band, smallest, way, felt, moves } = question;
  const tightIsMore = quantity === "tension";
  // Words of grade per mm of centre distance.
  const wordsPerMm = ((tightIsMore ? 1 : -1) * sensitivity) / (band * bandPerWord);
  const told = moves.flatMap(({ amount, before, after }) => {
    const change = changeOfGrade(before, after);
    return change === null ? [] : [{ amount: wordsPerMm * centreChange(adjuster, amount), change }];
  });
  const enough = told.length >= leastMoves;
  const learnt = enough ? learnResponse({ perUnit: 1, sd: 0.5 }, told, wordSd).perUnit : 1;
  const factor = Math.min(mostFactor, Math.max(1 / mostFactor, learnt));
  const words = wordsToGo(way, felt);
  const wanted = ((way === "tighter" ? 1 : -1) * words) / (wordsPerMm * factor);
  const { amount } = amountFor(adjuster, wanted);
  const whole =
    smallest > 0 ? Math.sign(amount) * Math.max(1, Math.round(Math.abs(amount) / smallest)) * smallest : amount;
  const { min = Number.NEGATIVE_INFINITY, max = Number.POSITIVE_INFINITY } = adjuster.travel ?? {};
  if (amount === 0 || whole < min - 1e-9 || whole > max + 1e-9) return null;
  return { amount: whole, learntFrom: enough ? told.length : 0, factor, words };
}

/** Of a print or pins there are no words, and where nothing binds it is a lean: then one. */
function wordsToGo(way: FeelStepQuestion["way"], felt: readonly FeelGrade[]): number {
  if (felt.length === 0) return 1;
  const most = Math.max(...felt);
  if (way === "tighter") return Math.max(1, tightest - most);
  return most < 5 ? 1 : Math.max(1, Math.min(...felt) - loosest);
}

/** Mean change of the grade at the places felt both times; null where there are none. A place that stays beyond the last word says nothing. */
function changeOfGrade(before: FeltMove["before"], after: FeltMove["after"]): number | null {
  const changes = after.flatMap(({ tooth, grade }) => {
    const was = before.find((other) => other.tooth === tooth);
    const open = was && was.grade === grade && (grade === 1 || grade === 5);
    return was && !open ? [grade - was.grade] : [];
  });
  return changes.length === 0 ? null : changes.reduce((a, b) => a + b, 0) / changes.length;
}
