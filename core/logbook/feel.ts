import { type FeelGrade, feelRound } from "../rounds";
import { feltAs, frameOf, type StageElement } from "../stages";
import type { Bodies, FeltAt, FeltJudged } from "./schema";
import { feels } from "./vocabulary";

/** Kinds whose mesh clicks; what is felt on others has no words yet. */
export const hasClick = (element: StageElement): boolean => feltAs(element) === "click";

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

/** A round by feel judged, by the table of `feelRound`; null where nothing was felt inside the arc. */
export function judgeFelt(
  felt: readonly FeltAt[],
  places: number,
  arc: readonly [number, number] | undefined,
): FeltJudged | null {
  const words = felt
    .map(({ tooth, feel }) => ({ place: tooth - 1, grade: (feels.indexOf(feel) + 1) as FeelGrade }))
    // Felt before its arc was known to be shorter.
    .filter(({ place }) => place < places && (!arc || (place - arc[0] + places) % places <= arc[1] - arc[0]));
  const judged = feelRound(words, places, arc);
  if (!judged.ok) return null;
  const { tightPlace, feelNext, verdict, side, step, feasible, missing } = judged.value;
  const tooth = (place: number | null) => (place === null ? null : place + 1);
  return { verdict, side, step, feasible, missing, tightTooth: tooth(tightPlace), nextTooth: tooth(feelNext) };
}

/** What an entry's round by feel says: as judged when it was logged, or, of an entry that kept an older verdict, by the table of today. */
export function feltOf(
  body: Bodies["feel"],
  element: StageElement | undefined,
  arcDeg?: readonly [number, number] | null,
): FeltJudged {
  if (body.judged) return body.judged;
  const places = body.of ?? (element ? frameOf(element).places : Math.max(3, ...body.places.map(({ tooth }) => tooth)));
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
