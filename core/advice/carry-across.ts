import { twoSides } from "../stacks";
import { type DrawerStage, exchange, type Piece, type Pieces, type StackOutcome, stackOutcome } from "./drawer";

export type Carried = {
  outcome: StackOutcome;
  toOther: Piece[];
  toHere: Piece[];
  stack: { was: Piece[]; now: Piece[]; other: { was: Piece[]; now: Piece[] } };
  /** How far it stays off what is wanted, of this side's thickness. */
  errorMm: number;
};

/**
 * A part between two stacks moved by carrying pieces across: this side becomes `wantedMm` thicker, as nearly as the pieces allow, and the
 * other as much thinner.
 */
export function carryAcross(of: DrawerStage, other: Pieces, wantedMm: number): Carried {
  const { toRight, toLeft, errorMm } = twoSides({ left: of.present, right: other, moveMm: -wantedMm });
  const now = without([...of.present, ...toLeft], toRight);
  return {
    // The same pieces lie there in all, so their own sizes say nothing new.
    outcome: stackOutcome(of, { shims: now }, () => true),
    toOther: toRight,
    toHere: toLeft,
    stack: { was: [...of.present], now, other: { was: [...other], now: without([...other, ...toRight], toLeft) } },
    errorMm: 0 - errorMm,
  };
}

const without = (pieces: Pieces, gone: Pieces): Piece[] => exchange(gone, pieces).taken;
