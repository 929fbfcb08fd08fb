import { feelRound } from "../rounds";
import { type FeelGrade, feltAs, frameOf, gradeOfFeel, marks, placeCount, type StageElement } from "../stages";
import type { Bodies, FeltAt, FeltJudged, FeltSaid } from "./schema";

/** Whether there are words for what is felt on it. */
export const canBeFelt = (element: StageElement): boolean => feltAs(element) !== null;

/** Places of the turn at which it is felt: those at which it is read, or marks round the shaft where there are fewer than tell a turn. */
export function feltPlaces(element: StageElement): number {
  const read = placeCount(frameOf(element));
  return read < 3 ? marks : read;
}

/** First and last tooth, from 0, of a stage that turns only so far; undefined on a whole turn. */
export function feltArc(
  places: number,
  arcDeg: readonly [number, number] | null | undefined,
): [number, number] | undefined {
  if (!arcDeg || arcDeg[1] - arcDeg[0] >= 360) return undefined;
  const first = Math.ceil((arcDeg[0] * places) / 360 - 1e-9);
  const last = Math.floor((arcDeg[1] * places) / 360 + 1e-9);
  const from = ((first % places) + places) % places;
  return last > first && last - first < places ? [from, from + last - first] : undefined;
}

/** Where and how tight: what every round by hand comes down to, its places counted from 1. */
export type GradeAt = { tooth: number; grade: FeelGrade };

/**
 * A round by hand judged, by the table of `feelRound`; null where nothing was felt inside the arc.
 *
 * @param magnetSteps of a motor that stays coupled, on one turn of the part: a tight run no longer than from one to the next may be
 *   a magnet's, and is not taken for a tight spot; a part that is out of round is tight over up to half a turn
 */
export function judgeGrades(
  felt: readonly GradeAt[],
  places: number,
  arc: readonly [number, number] | undefined,
  magnetSteps: number | null = null,
): FeltJudged | null {
  const words = felt
    .map(({ tooth, grade }) => ({ place: tooth - 1, grade }))
    // Felt before its arc was known to be shorter.
    .filter(({ place }) => place < places && (!arc || (place - arc[0] + places) % places <= arc[1] - arc[0]));
  const kept = magnetSteps ? words.filter(({ place }) => !isMagnets(words, place, places, magnetSteps)) : words;
  const judged = feelRound(kept.length > 0 ? kept : words, places, arc);
  if (!judged.ok) return null;
  const { tightPlace, feelNext, verdict, side, step, feasible, missing } = judged.value;
  const tooth = (place: number | null) => (place === null ? null : place + 1);
  return { verdict, side, step, feasible, missing, tightTooth: tooth(tightPlace), nextTooth: tooth(feelNext) };
}

/** Whether the tight run round a place is shorter than from one magnet to the next. */
function isMagnets(
  words: readonly { place: number; grade: FeelGrade }[],
  place: number,
  places: number,
  magnetSteps: number,
): boolean {
  const tight = (grade: FeelGrade) => grade >= 4;
  const here = words.filter((word) => word.place === place);
  if (!here.some(({ grade }) => tight(grade))) return false;
  const loose = words.filter(({ grade }) => !tight(grade)).map((word) => word.place);
  if (loose.length === 0) return false;
  const ahead = Math.min(...loose.map((other) => (other - place + places) % places || places));
  const behind = Math.min(...loose.map((other) => (place - other + places) % places || places));
  return ahead + behind <= places / magnetSteps + 1e-9;
}

/** A round by words of feel. */
export const judgeFelt = (
  felt: readonly FeltAt[],
  places: number,
  arc: readonly [number, number] | undefined,
  magnetSteps: number | null = null,
): FeltJudged | null =>
  judgeGrades(
    felt.map(({ tooth, feel }) => ({ tooth, grade: gradeOfFeel(feel) })),
    places,
    arc,
    magnetSteps,
  );

/** As much of a verdict by hand as is said in a line, and kept where it is signed. */
export const feltSaid = ({ verdict, side, by, skew }: FeltJudged): FeltSaid => ({
  verdict,
  side,
  ...(by ? { by } : {}),
  ...(skew ? { skew } : {}),
});

/** What an entry's round by hand says: as judged when it was logged, or, of an entry that kept an older verdict, by the table of today. */
export function feltOf(
  body: Bodies["feel"],
  element: StageElement | undefined,
  arcDeg?: readonly [number, number] | null,
): FeltJudged {
  if (body.judged) return body.judged;
  const places = body.of ?? (element ? feltPlaces(element) : Math.max(3, ...body.places.map(({ tooth }) => tooth)));
  return (
    judgeFelt(body.places, places, feltArc(places, arcDeg)) ?? {
      verdict: "not-known",
      side: null,
      step: "none",
      feasible: true,
      missing: places,
      tightTooth: null,
      nextTooth: 1,
    }
  );
}
