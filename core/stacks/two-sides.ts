import { micrometres, millimetres } from "./micrometres";

type Pieces = readonly { thicknessMm: number; count: number }[];

export type SidesQuestion = {
  /** What lies on either side of the part now. */
  left: Pieces;
  right: Pieces;
  /** How much thinner the left stack has to become, and the right one thicker; negative the other way. */
  moveMm: number;
};

export type SidesAnswer = {
  toRight: { thicknessMm: number; count: number }[];
  toLeft: { thicknessMm: number; count: number }[];
  /** What that moves the part by. */
  movedMm: number;
  errorMm: number;
};

/**
 * Which shims to carry from one side of a part to the other so that it moves along its shaft while the sum of both stacks, and with it
 * the end float, stays what it is: a bevel pinion, a worm wheel between its bearings. Nothing comes out of the drawer.
 *
 * Every choice on either side is tried (a stack has few pieces; of choices with one sum the one with fewest pieces is kept). Order:
 * nearest to the move wanted, then fewest pieces carried. Whole micrometres, halves up.
 */
export function twoSides({ left, right, moveMm }: SidesQuestion): SidesAnswer {
  const wanted = micrometres(moveMm);
  let best: { from: Choice; back: Choice; off: number; pieces: number } | null = null;
  const backs = choices(right);
  for (const from of choices(left)) {
    for (const back of backs) {
      const off = Math.abs(from.um - back.um - wanted);
      const pieces = from.pieces + back.pieces;
      if (best && (off > best.off || (off === best.off && pieces >= best.pieces))) continue;
      best = { from, back, off, pieces };
    }
  }
  const { from, back } = best ?? { from: nothing, back: nothing };
  const moved = from.um - back.um;
  return {
    toRight: from.shims,
    toLeft: back.shims,
    movedMm: millimetres(moved),
    errorMm: millimetres(moved - wanted),
  };
}

type Choice = { um: number; pieces: number; shims: { thicknessMm: number; count: number }[] };
const nothing: Choice = { um: 0, pieces: 0, shims: [] };

/** Every sum that can be taken out of a stack, with fewest pieces. */
function choices(stack: Pieces): Choice[] {
  let found = new Map<number, Choice>([[0, nothing]]);
  for (const { thicknessMm, count } of stack) {
    const next = new Map(found);
    for (const { um, pieces, shims } of found.values()) {
      for (let k = 1; k <= count; k++) {
        const sum = um + k * micrometres(thicknessMm);
        const known = next.get(sum);
        if (known && known.pieces <= pieces + k) continue;
        next.set(sum, { um: sum, pieces: pieces + k, shims: [...shims, { thicknessMm, count: k }] });
      }
    }
    found = next;
  }
  return [...found.values()];
}
