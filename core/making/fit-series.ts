import { above, alike, below, nearestMultiple } from "../numerics";

/** From loose to tight. */
export const fitWords = ["falls", "slides", "presses", "refuses"] as const;
export type FitWord = (typeof fitWords)[number];

export type FitTry = { sizeMm: number; felt: FitWord };

export type FitSeriesQuestion = {
  /** Which of the two is varied. */
  of: "hole" | "shaft";
  tries: readonly FitTry[];
  wanted: Exclude<FitWord, "refuses">;
  /** Of the sizes that can be made. */
  stepMm: number;
};

export type FitSeries = {
  /** The wanted size lies between; null where not known. With contradictions they may cross. */
  lowMm: number | null;
  highMm: number | null;
  done: boolean;
  chooseMm: number | null;
  nextMm: number | null;
  /** Pairs of tries that cannot both be true. */
  contradictions: [number, number][];
  feasible: boolean;
};

const tightness = (felt: FitWord): number => fitWords.indexOf(felt);

/**
 * A series of test pieces, tried and felt (common practice): which size feels as wanted, or which to make next. A larger hole or a smaller
 * shaft is never tighter; where two tries say otherwise one of them is tried again before anything is made of it.
 *
 * @param question one try or more, sizes over 0
 * @example holes of 5.0 that press and 5.2 that fall, sliding wanted, step 0.05 // next 5.1
 */
export function fitSeries({ of, tries, wanted, stepMm }: FitSeriesQuestion): FitSeries {
  // Everything as a hole: of a shaft the size that counts is how much smaller it is.
  const looser = of === "hole" ? 1 : -1;
  const at = ({ sizeMm }: FitTry) => looser * sizeMm;
  const contradictions = contradictionsIn(tries, at);
  const beyond = tries.filter(({ felt }) => tightness(felt) > tightness(wanted));
  const short = tries.filter(({ felt }) => tightness(felt) < tightness(wanted));
  const tight = beyond.reduce<FitTry | null>((a, b) => (a === null || at(b) > at(a) ? b : a), null);
  const loose = short.reduce<FitTry | null>((a, b) => (a === null || at(b) < at(a) ? b : a), null);
  const [low, high] = looser === 1 ? [tight, loose] : [loose, tight];
  const known = { lowMm: low?.sizeMm ?? null, highMm: high?.sizeMm ?? null, contradictions };
  const open = { ...known, done: false, chooseMm: null };

  const [first] = contradictions;
  if (first) return { ...open, nextMm: (tries[first[1]] as FitTry).sizeMm, feasible: true };
  const right = tries.filter(({ felt }) => felt === wanted);
  if (right.length > 0) {
    const ends = right.map(at);
    const chosen = nearestTo((Math.min(...ends) + Math.max(...ends)) / 2, ends);
    return { ...known, done: true, chooseMm: looser * chosen, nextMm: null, feasible: true };
  }
  if (tight && loose) {
    const next = between(tight, loose, stepMm, at);
    return { ...open, nextMm: next === null ? null : looser * next, feasible: next !== null };
  }
  const sizes = tries.map(({ sizeMm }) => sizeMm);
  const range = Math.max(...sizes) - Math.min(...sizes);
  const from = (tight ?? loose) as FitTry;
  const steps = Math.abs(tightness(from.felt) - tightness(wanted));
  const on = Math.max(stepMm * steps, range) * looser * (tight ? 1 : -1);
  const nextMm = nearestMultiple(from.sizeMm + on, stepMm);
  return above(nextMm, 0) ? { ...open, nextMm, feasible: true } : { ...open, nextMm: null, feasible: false };
}

/** Pairs of which the looser size felt tighter, or equal sizes felt different, by i and then j. */
function contradictionsIn(tries: readonly FitTry[], at: (one: FitTry) => number): [number, number][] {
  const against = (a: FitTry, b: FitTry) => {
    const tighter = tightness(a.felt) - tightness(b.felt);
    if (alike(at(a), at(b))) return tighter !== 0;
    return at(a) < at(b) ? tighter < 0 : tighter > 0;
  };
  return tries.flatMap((a, i) => tries.flatMap((b, j): [number, number][] => (i < j && against(a, b) ? [[i, j]] : [])));
}

/** The nearest to `middle`, a tie going to the tighter side, which is the lesser. */
function nearestTo(middle: number, candidates: readonly number[]): number {
  const sorted = [...candidates].sort((a, b) => a - b);
  return sorted.reduce((best, one) => (below(Math.abs(one - middle), Math.abs(best - middle)) ? one : best));
}

/** A multiple of the step strictly between the two, as near to their middle as there is one. */
function between(tight: FitTry, loose: FitTry, stepMm: number, at: (one: FitTry) => number): number | null {
  const middle = (at(tight) + at(loose)) / 2;
  const first = Math.floor(middle / stepMm);
  const around = [first - 1, first, first + 1, first + 2].map((k) => k * stepMm);
  const inside = around.filter((size) => above(size, at(tight)) && below(size, at(loose)));
  return inside.length === 0 ? null : nearestTo(middle, inside);
}
