import { accept, type Result } from "../quantity";
import {
  fewerSpacers,
  type MadeAnswer,
  type ShaftAnswer,
  type ShaftQuestion,
  shaftStack,
  shaftWithMade,
} from "../stacks";

export type ShaftPlan = {
  /** By the drawers alone, planes nearest to their places; not feasible: the nearest. */
  nearest: ShaftAnswer;
  /** By the drawers alone, with fewest pieces; null where nothing of them goes together. */
  fewest: ShaftAnswer | null;
  /** With one spacer made for it, the gap in which it does most first. */
  makings: MadeAnswer[];
  /** Fewer of a size were reckoned with than lie there, as more would take too long. */
  thinned: boolean;
};

/** Ways of taking spacers that are looked through for each gap: a second or so for all of them. */
const mostWays = 40_000;

/**
 * Which spacers go where, and which one spacer made for it would do as well.
 *
 * @param done is told the share of the gaps that are looked through, 0 to 1
 */
export function planShaft(asked: ShaftQuestion, done: (share: number) => void = () => {}): Result<ShaftPlan> {
  const freeMm = asked.lengthMm - asked.items.reduce((sum, { widthMm }) => sum + widthMm, 0);
  const { spacers, thinned } = fewerSpacers(asked.spacers, freeMm, mostWays);
  const question = { ...asked, spacers };
  const nearest = shaftStack(question);
  if (!nearest.ok) return nearest;
  const fewest = shaftStack(question, "fewest");
  if (!fewest.ok) return fewest;
  const makings: MadeAnswer[] = [];
  for (let gap = 0; gap <= question.items.length; gap++) {
    done(gap / (question.items.length + 1));
    const made = shaftWithMade(question, gap, "fewest");
    if (!made.ok) return made;
    if (made.value?.feasible) makings.push(made.value);
  }
  return accept({
    nearest: nearest.value,
    fewest: fewest.value.feasible ? fewest.value : null,
    makings: makings.sort(byUse),
    thinned,
  });
}

/** Fewest spacers from the drawer first, then nearest planes; else as they stand from the left. */
const byUse = (a: MadeAnswer, b: MadeAnswer): number => pieces(a) - pieces(b) || off(a) - off(b);
const off = ({ planes }: ShaftAnswer): number => planes.reduce((sum, { errorMm }) => sum + errorMm * errorMm, 0);
const pieces = ({ gaps }: ShaftAnswer): number =>
  gaps.flatMap(({ spacers }) => spacers).reduce((sum, { count }) => sum + count, 0);
