import type { FeltMove } from "../advice";
import { gradeOfFeel } from "../stages";
import { gradeOfPaper } from "./by-hand";
import { type Entry, type EntryOf, isKind } from "./entry";
import type { GradeAt } from "./feel";
import { voidedBy } from "./job-record";

/** The words of a round by hand by their grades; none of a print or of pins, which tell of one place alone. */
export function gradesOf({ body: { places, paper } }: EntryOf<"feel">): GradeAt[] {
  if (paper) {
    return paper.prints.map(({ tooth, print }) => ({ tooth, grade: gradeOfPaper(print, null, null) }));
  }
  return places.map(({ tooth, feel }) => ({ tooth, grade: gradeOfFeel(feel) }));
}

/** Moves of one adjuster that stand alone between two rounds by hand of one way, oldest first. */
export function feltMoves(entries: readonly Entry[], adjusterId: string): FeltMove[] {
  const voided = voidedBy(entries);
  const moves: FeltMove[] = [];
  let before: EntryOf<"feel"> | null = null;
  let between: EntryOf<"move">[] = [];
  for (const entry of entries.filter(({ id }) => !voided.has(id))) {
    if (isKind("move")(entry)) between.push(entry);
    if (!isKind("feel")(entry) || gradesOf(entry).length === 0) continue;
    const [move] = between;
    const sameWay = before !== null && (before.body.paper === undefined) === (entry.body.paper === undefined);
    const sameGear = before?.body.gear === entry.body.gear;
    if (before && sameWay && sameGear && between.length === 1 && move?.adjusterId === adjusterId && move.body.teaches)
      moves.push({ amount: move.body.amount, before: gradesOf(before), after: gradesOf(entry) });
    before = entry;
    between = [];
  }
  return moves;
}
