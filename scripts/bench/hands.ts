import { type FeltMove, feelStep } from "../../core/advice";
import { type GradeAt, judgeGrades } from "../../core/logbook";
import { normalDeviate, seededRandom } from "../../core/practice";
import type { FeelGrade } from "../../core/stages";

const hands = 4000;
const places = 40;
const feltAt = [1, 7, 14, 21, 27, 34];
/** How far a hand is off, as a part of the band: about a third of a word. */
const blur = 0.1;
const limits = { lo: 0.08, hi: 0.16 };
const band = limits.hi - limits.lo;
const slot = { type: "slide", angleDeg: 0 } as const;
const sensitivity = 0.73;
const shown = [0, 2, 4, 6];

type Hidden = { mean: number; out: number; at: number; does: number };

const backlash = ({ mean, out, at }: Hidden, tooth: number): number =>
  mean + out * Math.cos((2 * Math.PI * (tooth - at)) / places);
const isInside = (hidden: Hidden): boolean =>
  Array.from({ length: places }, (_, i) => backlash(hidden, i + 1)).every((b) => b >= limits.lo && b <= limits.hi);

/** Where a word begins, as a part of the band from its lower end: binds below it, faint in its tight third, small up to its upper end. */
const wordOf = (x: number): FeelGrade => (x < 0 ? 5 : x < 1 / 3 ? 4 : x < 1 ? 3 : x < 4 / 3 ? 2 : 1);

/**
 * Hands that feel a hidden round with a blur, and go on by the words alone: how many stand inside after two, four and six moves, against
 * halving by guess, which begins with a whole band and halves its step whenever it turns back. The adjuster does more or less than its law.
 */
export function measureHands(): void {
  const random = seededRandom(5);
  const between = (from: number, to: number) => from + (to - from) * random();
  const inside = { words: shown.map(() => 0), guess: shown.map(() => 0) };
  for (let i = 0; i < hands; i++) {
    const start: Hidden = {
      mean: limits.lo + band * between(-1.2, 2.2),
      out: band * between(0, 0.3),
      at: between(0, places),
      does: between(0.6, 1.6),
    };
    for (const way of ["words", "guess"] as const) {
      const hidden = { ...start };
      const moves: FeltMove[] = [];
      let [guess, last, before] = [band / sensitivity, 0, [] as GradeAt[]];
      for (let made = 0; made <= 6; made++) {
        const column = shown.indexOf(made);
        if (column >= 0 && isInside(hidden)) inside[way][column] = (inside[way][column] ?? 0) + 1;
        const felt = feltAt.map((tooth): GradeAt => {
          const x = (backlash(hidden, tooth) - limits.lo) / band + normalDeviate(random, blur);
          return { tooth, grade: wordOf(x) };
        });
        const lastMove = moves[moves.length - 1];
        if (lastMove) moves[moves.length - 1] = { ...lastMove, before, after: felt };
        const step = judgeGrades(felt, places, undefined)?.step ?? "none";
        if (step === "none") continue;
        const sign = step === "apart" ? 1 : -1;
        if (last !== 0 && sign !== last) guess /= 2;
        const asked = { quantity: "backlash", adjuster: slot, sensitivity, band, smallest: 0.01 } as const;
        const byWords =
          feelStep({ ...asked, way: sign === 1 ? "looser" : "tighter", felt: felt.map(({ grade }) => grade), moves })
            ?.amount ?? 0;
        const amount = way === "words" ? byWords : sign * guess;
        hidden.mean += amount * sensitivity * hidden.does;
        moves.push({ amount, before: felt, after: [] });
        before = felt;
        last = sign;
      }
    }
  }
  const said = (counts: readonly number[]) =>
    shown.map((made, i) => `${((100 * (counts[i] ?? 0)) / hands).toFixed(0)} % after ${made}`).join(", ");
  console.log(
    `hands, ${hands} hidden rounds felt at ${feltAt.length} places with a blur of ${blur} of the band: inside by words ${said(inside.words)}; by halving a guess ${said(inside.guess)}`,
  );
}
