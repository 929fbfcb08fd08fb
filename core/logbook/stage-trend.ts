import { judgeEnds } from "../rounds";
import { robustTrend, type Trend } from "../statistics";
import { daysToIso, isoToDays } from "./days";
import { type Entry, type EntryOf, isKind } from "./entry";
import { type MeterReading, usageAt } from "./meter";

/** When the stage is expected to leave its limits, and at which end. `at` is ISO for time, a usage otherwise. */
export type Drift = {
  limit: "lo" | "hi";
  at: string;
  earliest: string;
  latest: string | null;
  /** How surely it lies between earliest and latest. */
  coverage: number;
};

export type TrendPointAt = { t: number; madeAt: string; usage: number | null; min: number; mean: number; max: number };
export type StageTrend = {
  axis: TrendAxis;
  points: TrendPointAt[];
  /** Where something was moved or replaced. */
  resets: number[];
  tightest: Trend;
  mean: Trend;
  loosest: Trend;
  drift: Drift | null;
};
export type TrendAxis = "time" | "usage";

/**
 * The stage's drift over time (days since 1970) or usage, from its whole rounds: as found and checked, not those read in the
 * middle of setting. Every move, or new part, begins a new segment; the slope is common to all of them (`robustTrend`). The
 * drift out of the limits is told only where the slope is surely not 0, so that its latest date exists, and where its interval is as
 * good as nine in ten: three rounds are not. Of a switchable gear it is that of the gear last read.
 *
 * @param entries of the stage that count, in order of their numbers
 * @param meter of the machine, for an axis of usage
 * @returns null below three rounds, or where no segment holds two at different times
 */
export function stageTrend(
  entries: readonly Entry[],
  limits: { lo: number; hi: number } | null,
  axis: TrendAxis,
  meter: readonly MeterReading[] = [],
): StageTrend | null {
  const at = (entry: Entry): number | null =>
    axis === "time" ? isoToDays(entry.madeAt) : usageAt(meter, entry.madeAt);
  const all: RoundToTrend[] = [...onPaper(entries), ...roundsToTrend(entries)];
  const gear = gearOf(all);
  const rounds = all.filter((round) => round.body.result.gear === gear);
  const points = rounds.flatMap((round): TrendPointAt[] => {
    const t = at(round);
    const { result } = round.body;
    if (t === null) return [];
    const ends = judgeEnds(result, limits);
    return [
      {
        t,
        madeAt: round.madeAt,
        usage: round.usage,
        min: ends.least,
        mean: result.mean,
        max: ends.greatest,
      },
    ];
  });
  if (points.length < 3) return null;
  const read = (entry: Entry) => isReset(entry) || movedAfterPaper(entry);
  const resets = entries.filter(read).flatMap((entry) => {
    const ofOther = entry.kind === "move" && entry.body.gear !== undefined && entry.body.gear !== gear;
    const t = ofOther ? null : at(entry);
    // What was moved after a round of paper was moved after it.
    return t === null ? [] : [entry.kind === "paper-round" ? t + justAfter : t];
  });
  const of = (value: (point: TrendPointAt) => number, limit?: number) =>
    robustTrend(
      points.map((point) => ({ t: point.t, y: value(point) })),
      resets,
      limit,
    );
  const tightest = of((point) => point.min, limits?.lo);
  const mean = of((point) => point.mean);
  const loosest = of((point) => point.max, limits?.hi);
  if (!tightest || !mean || !loosest) return null;
  return { axis, points, resets, tightest, mean, loosest, drift: limits && driftOf(tightest, loosest, limits, axis) };
}

type RoundToTrend = EntryOf<"round"> | EntryOf<"paper-round">;

/** Less than anything that two rounds lie apart, in days or in what a meter counts. */
const justAfter = 1e-9;

/** Rounds that were kept on paper, oldest first: each is a visit of its own. */
const onPaper = (entries: readonly Entry[]): EntryOf<"paper-round">[] =>
  entries.filter(isKind("paper-round")).sort((a, b) => (a.madeAt < b.madeAt ? -1 : 1));

/** What nobody knows not to have been moved begins anew: a trend over a move that was forgotten would be none. */
const movedAfterPaper = (entry: Entry): boolean => entry.kind === "paper-round" && entry.body.movedAfter !== "no";

const gearOf = (rounds: readonly RoundToTrend[]): string | undefined => rounds[rounds.length - 1]?.body.result.gear;

/** Of which gear the trend tells, so that it is held against that gear's limits. */
export const gearOfTrend = (entries: readonly Entry[]): string | undefined =>
  gearOf([...onPaper(entries), ...roundsToTrend(entries)]);

/**
 * Whole rounds in the order read; of those of one visit with nothing moved in between, the last alone. Two readings an hour apart
 * say nothing of a drift over months, and the slope between them is their noise divided by next to nothing.
 */
function roundsToTrend(entries: readonly Entry[]): EntryOf<"round">[] {
  const kept: EntryOf<"round">[] = [];
  let moved = true;
  for (const entry of entries) {
    if (isReset(entry)) moved = true;
    if (entry.kind !== "round" || entry.body.phase === "set") continue;
    const last = kept[kept.length - 1];
    if (!moved && last && last.jobId !== null && last.jobId === entry.jobId) kept.pop();
    kept.push(entry);
    moved = false;
  }
  return kept;
}

const isReset = (entry: Entry): boolean =>
  entry.kind === "move" ||
  (entry.kind === "change" && (entry.body.what === "geometry" || entry.body.what === "moved-along"));

/** A forecast less sure than this is none. */
const leastCoverage = 0.9;

function driftOf(tightest: Trend, loosest: Trend, limits: { lo: number; hi: number }, axis: TrendAxis): Drift | null {
  const ways = [
    { limit: "lo" as const, line: tightest, crosses: tightest.level >= limits.lo && tightest.slope < 0 },
    { limit: "hi" as const, line: loosest, crosses: loosest.level <= limits.hi && loosest.slope > 0 },
  ];
  const ahead = ways.flatMap(({ limit, line: { crossing, coverage }, crosses }) =>
    crosses && crossing && crossing.latest !== null && coverage >= leastCoverage
      ? [{ limit, ...crossing, latest: crossing.latest, coverage }]
      : [],
  );
  const first = ahead.sort((a, b) => a.t - b.t)[0];
  if (!first) return null;
  const word = (t: number) => (axis === "time" ? daysToIso(t) : String(t));
  return {
    limit: first.limit,
    at: word(first.t),
    earliest: word(first.earliest),
    latest: word(first.latest),
    coverage: first.coverage,
  };
}
