import { accept, type Result, refuse } from "../quantity";
import { type Stack, type StackAnswer, type StackQuestion, type StockShim, shimStack } from "./shim-stack";

export type SeatQuestion = {
  /** Depth of the seat and width of what sits in it, as measured, repeats one beside the other, mm. */
  seatMm: readonly number[];
  partMm: readonly number[];
  /** Of one reading, k = 2; null: not known. */
  expandedUncertaintyMm: number | null;
  stock: readonly StockShim[];
  /** What may be left over it, mm. */
  leftMm?: { lo: number; hi: number };
};

export type SeatAnswer = {
  seatMm: number;
  partMm: number;
  /** Seat less part: what is to be filled; below 0 the part stands proud. */
  gapMm: number;
  /** Of the gap, k = 2: that of the instrument at both, or half of what the repeats spread where that is more. null: not known. */
  expandedUncertaintyMm: number | null;
  says: "fits" | "too-narrow" | "proud" | "not-to-be-told";
  /** What to take from the drawer; null where nothing is to be filled. */
  stack: StackAnswer | null;
};

/** Left over a bearing in its seat: none is squeezed, and it does not wander (common practice). */
export const usualSeatLeft = { lo: 0, hi: 0.05 };
/** A washer is one piece, or two or three; more lie badly (common practice). */
const mostPieces = 3;

/**
 * What a bearing lacks that is narrower than its seat: seat less bearing, filled from the drawer. With a difference smaller than its own
 * uncertainty nothing is told, unless it lies in what may be left anyway.
 *
 * @returns refused where nothing was measured, at `seatMm` or `partMm`
 * @source common practice: a bearing that is too narrow for its seat gets a washer of just that thickness
 */
export function seatWasher(question: SeatQuestion): Result<SeatAnswer> {
  const { seatMm, partMm, stock, leftMm = usualSeatLeft } = question;
  if (seatMm.length === 0) return refuse("missing", ["seatMm"]);
  if (partMm.length === 0) return refuse("missing", ["partMm"]);
  const [seat, part] = [mean(seatMm), mean(partMm)];
  const gapMm = seat - part;
  const scatter = Math.hypot(spread(seatMm), spread(partMm)) / 2;
  const u = question.expandedUncertaintyMm;
  const both = u === null ? null : Math.max(Math.SQRT2 * u, scatter);
  const answer = { seatMm: seat, partMm: part, gapMm, expandedUncertaintyMm: both };
  const tiny = 1e-9;
  if (gapMm >= leftMm.lo - tiny && gapMm <= leftMm.hi + tiny) return accept({ ...answer, says: "fits", stack: null });
  if (both !== null && Math.abs(gapMm - (gapMm < leftMm.lo ? leftMm.lo : leftMm.hi)) <= both)
    return accept({ ...answer, says: "not-to-be-told", stack: null });
  if (gapMm < leftMm.lo) return accept({ ...answer, says: "proud", stack: null });
  const stack = shimStack(seatStack(gapMm, stock, leftMm));
  return stack.ok ? accept({ ...answer, says: "too-narrow", stack: stack.value }) : stack;
}

/** What is asked of the drawer: as little left over as can be. */
export const seatStack = (
  gapMm: number,
  stock: readonly StockShim[],
  leftMm: { lo: number; hi: number } = usualSeatLeft,
): StackQuestion => ({
  gapMm,
  target: { loMm: leftMm.lo, aimMm: leftMm.lo, hiMm: leftMm.hi },
  stock: [...stock],
  maxPieces: mostPieces,
  alternatives: 12,
});

/** What to offer of an answer: the fewest pieces first, of as many the one that leaves least; where nothing fits, the nearest on both sides. */
export function seatChoices({ best, alternatives, nearestBelow, nearestAbove }: StackAnswer): Stack[] {
  const fitting = best ? [best, ...alternatives] : [];
  if (fitting.length === 0) return [nearestAbove, nearestBelow].filter((stack) => stack !== undefined);
  return fitting
    .sort((a, b) => a.pieces - b.pieces || Math.abs(a.clearanceMm) - Math.abs(b.clearanceMm))
    .slice(0, mostChoices);
}
const mostChoices = 3;

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;
const spread = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);
