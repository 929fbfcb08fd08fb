import { accept, type Result, refuse } from "../quantity";
import type { FeelGrade } from "../stages";

/** A word by its grade (of a mesh: 1 knocks, 2 loose click, 3 small click, 4 faint click, 5 binds), felt at a place, counted from 0 at the witness mark. */
export type FeltWord = { place: number; grade: FeelGrade };

export type FeelVerdict = "inside" | "near" | "outside" | "not-known";
export type FeelSide = "tight" | "loose" | "both" | null;
export type FeelStep = "apart" | "together" | "none";

export type FeelRound = {
  verdict: FeelVerdict;
  side: FeelSide;
  /** Middle of the longest run of the tightest word; null where all felt places are alike. */
  tightPlace: number | null;
  spreadSteps: number;
  /** No word speaks against one setting keeping every place off "outside". */
  feasible: boolean;
  step: FeelStep;
  /** Places in the largest stretch that nobody felt. */
  missing: number;
  /** Where to feel next; null where enough is felt. */
  feelNext: number | null;
};

type Judged = { verdict: "inside" | "near" | "outside"; step: FeelStep };

/**
 * A round by feel (common practice; the table of the calc contract, complete). Words have an order but no size, so nothing is averaged and
 * nothing is outvoted: one binding tooth stops the drive, one loose one lies in the load's way once a turn. A tight spot may be
 * a quarter of a turn from the next place that was felt; until no stretch is longer than that nothing is called right, and nobody
 * is sent closer.
 *
 * @param words at least one; a place may be felt more than once
 * @param places of the whole turn, 3 or more
 * @param arc first and last place of a stage that turns only so far; `to` may pass the mark
 * @returns the round, or `no-words` at words, `no-such-place` or `outside-the-arc` at words.i.place, `arc-empty` at arc
 */
export function feelRound(
  words: readonly FeltWord[],
  places: number,
  arc?: readonly [number, number] | undefined,
): Result<FeelRound> {
  if (words.length === 0) return refuse("no-words", ["words"]);
  if (arc && !(arc[0] >= 0 && arc[0] < places && arc[1] > arc[0] && arc[1] < arc[0] + places))
    return refuse("arc-empty", ["arc"]);
  const from = arc ? arc[0] : 0;
  const length = arc ? arc[1] - arc[0] + 1 : places;
  // Places along the way that is felt, from the beginning of the arc.
  const along = (place: number) => (place - from + places) % places;
  const tightest = new Map<number, FeelGrade>();
  for (const [i, { place, grade }] of words.entries()) {
    if (place < 0 || place >= places) return refuse("no-such-place", ["words", i, "place"], { places });
    const at = along(place);
    if (at >= length) return refuse("outside-the-arc", ["words", i, "place"]);
    tightest.set(at, Math.max(tightest.get(at) ?? 1, grade) as FeelGrade);
  }
  const felt = [...tightest].map(([at, grade]) => ({ at, grade })).sort((a, b) => a.at - b.at);
  const grades = words.map(({ grade }) => grade);
  const most = Math.max(...grades);
  const least = Math.min(...grades);
  const share = (holds: (grade: number) => boolean) => grades.filter(holds).length / grades.length;

  const unfelt = largestUnfelt(
    felt.map(({ at }) => at),
    length,
    arc === undefined,
  );
  const enough = unfelt.length === 0 || (unfelt.length + 1) * 4 <= length;
  const { verdict, step } = table(most, least, share((grade) => grade === 3) >= 0.5);
  const known = enough || verdict === "outside";
  const round = (at: number) => (from + at) % places;
  const tightAt = tightPlace(felt, length, arc === undefined);
  return accept({
    verdict: known ? verdict : "not-known",
    side: known ? sideOf(most === 5 || share((grade) => grade >= 4) > 0.5, least <= 2) : null,
    tightPlace: tightAt === null ? null : round(tightAt),
    spreadSteps: most - least,
    feasible: most - least <= 2,
    // Together only where the tight spot cannot lie where nothing was felt.
    step: enough || (verdict === "outside" && step === "apart") ? step : "none",
    missing: unfelt.length,
    feelNext: enough ? null : round((unfelt.start + Math.floor(unfelt.length / 2)) % length),
  });
}

function table(most: number, least: number, mostlySmall: boolean): Judged {
  if (most === 5) return { verdict: "outside", step: "apart" };
  if (most <= 2) return { verdict: "outside", step: "together" };
  if (most === 3) {
    if (least === 1) return { verdict: "outside", step: "together" };
    return least === 2 ? { verdict: "near", step: "together" } : { verdict: "inside", step: "none" };
  }
  if (least === 1) return { verdict: "outside", step: "none" };
  if (least === 2) return { verdict: "near", step: "none" };
  return least === 3 && mostlySmall ? { verdict: "inside", step: "none" } : { verdict: "near", step: "apart" };
}

const sideOf = (tight: boolean, loose: boolean): FeelSide =>
  tight && loose ? "both" : tight ? "tight" : loose ? "loose" : null;

/** The largest stretch without a felt place: round the mark on a whole turn, with both ends on an arc; ties to the lowest start. */
function largestUnfelt(felt: readonly number[], length: number, round: boolean): { start: number; length: number } {
  const last = felt[felt.length - 1] as number;
  const first = felt[0] as number;
  const stretches = felt
    .slice(1)
    .map((at, i) => ({ start: (felt[i] as number) + 1, length: at - (felt[i] as number) - 1 }));
  if (round) stretches.push({ start: (last + 1) % length, length: first + length - last - 1 });
  else stretches.push({ start: 0, length: first }, { start: last + 1, length: length - last - 1 });
  return stretches.reduce((a, b) => (b.length > a.length || (b.length === a.length && b.start < a.start) ? b : a));
}

/** The middle of the longest run of felt places of the greatest grade; ties to the lowest first place. */
function tightPlace(felt: readonly { at: number; grade: FeelGrade }[], length: number, round: boolean): number | null {
  const most = Math.max(...felt.map(({ grade }) => grade));
  if (felt.every(({ grade }) => grade === most)) return null;
  // On a whole turn begin behind a place that is less tight, so that no run is cut in two.
  const begin = round ? felt.findIndex(({ grade }) => grade < most) : 0;
  const inOrder = felt.map((_, i) => {
    const index = (begin + i) % felt.length;
    const { at, grade } = felt[index] as { at: number; grade: FeelGrade };
    return { at: index < begin ? at + length : at, grade };
  });
  const runs: { first: number; extent: number }[] = [];
  let open = false;
  for (const { at, grade } of inOrder) {
    const last = runs[runs.length - 1];
    if (grade === most && open && last) last.extent = at - last.first;
    else if (grade === most) runs.push({ first: at, extent: 0 });
    open = grade === most;
  }
  const best = runs.reduce((a, b) =>
    b.extent > a.extent || (b.extent === a.extent && b.first % length < a.first % length) ? b : a,
  );
  return (best.first + Math.floor(best.extent / 2)) % length;
}
