import { robustTrend } from "../statistics";
import { type Entry, type EntryOf, isKind } from "./entry";
import { ranWell } from "./ran-well";

/** How tight a strand stood when a job left it, and what its drive drew then. */
export type TightAndCurrent = { madeAt: string; tight: number; currentA: number };

export type TightAgainstCurrent = {
  /** Oldest first. */
  points: TightAndCurrent[];
  /** Amperes more for each unit of the judged quantity, in the middle of all pairs (Theil–Sen); null: fewer than five points, or all as tight. */
  perUnitA: number | null;
};

/** Of fewer the slope says more of the meter than of the strand. */
const leastPoints = 5;

/**
 * Tightness beside the running current, job by job: the last round of a job, and the mean of its good powered runs at working speed.
 *
 * @param entries rounds of the stage that count and its proofs, in any order
 */
export function tightAgainstCurrent(entries: readonly Entry[]): TightAgainstCurrent {
  const points = [...new Set(entries.map(({ jobId }) => jobId))].flatMap((jobId): TightAndCurrent[] => {
    const ofJob = entries.filter((entry) => entry.jobId === jobId);
    const round = ofJob
      .filter(isKind("round"))
      .reduce<EntryOf<"round"> | null>((last, one) => (last && last.seq > one.seq ? last : one), null);
    const currents = ofJob
      .filter(isKind("proof"))
      .filter((run) => run.body.way === "powered" && run.body.speed === "working" && ranWell(run))
      .flatMap(({ body }) => (body.currentA === null ? [] : [body.currentA]));
    if (!round || currents.length === 0) return [];
    const { min, max } = round.body.result;
    return [
      {
        madeAt: round.madeAt,
        tight: (min + max) / 2,
        currentA: currents.reduce((sum, value) => sum + value, 0) / currents.length,
      },
    ];
  });
  points.sort((a, b) => (a.madeAt < b.madeAt ? -1 : 1));
  const line =
    points.length < leastPoints
      ? null
      : robustTrend(
          points.map(({ tight, currentA }) => ({ t: tight, y: currentA })),
          [],
        );
  return { points, perUnitA: line?.slope ?? null };
}
