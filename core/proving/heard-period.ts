import { atMost } from "../numerics";

/** Something that comes round: how often, and whether it keeps its rate when the drive runs faster (mains hum, a fan with its own motor). */
export type PeriodSource = { id: string; perMinute: number; fixed: boolean };

export type HeardQuestion = {
  sources: readonly PeriodSource[];
  heardPerMinute: number;
  toleranceShare: number;
  /** Up to so many times a turn. */
  maxTimes: number;
};

/** A source `times` times a turn: its rate, and how far what was heard lies beyond it. */
export type PeriodMatch = { id: string; times: number; perMinute: number; deviationPercent: number };
type Which = Pick<PeriodMatch, "id" | "times">;
/** Two that what was heard cannot tell, and what would: another speed, counting for so long, or holding one of them. */
export type AlikePeriods = {
  a: Which;
  b: Which;
  tellBy: "speed" | "count" | "hold";
  speedChangePercent?: number;
  seconds?: number;
};

export type HeardPeriod = {
  heardPerMinute: number;
  feasible: boolean;
  matches: PeriodMatch[];
  nearest?: PeriodMatch;
  alike: AlikePeriods[];
};

/** Rates that differ by no more than this share are the same. */
const sameRate = 1e-9;

/**
 * What of a drive comes as often as a noise that was timed. What comes once a turn stands before what comes several times; equal rates cannot
 * be told by listening, so with every two that match stands what tells them apart.
 *
 * @returns matches by times, then nearness, then the order of the sources; the nearest where none matches
 * @example heard 720, sources of 720 and 715 a minute // both match, told apart by counting for 12 s
 * @source events of two rates are one apart after 60/|r₁ − r₂| seconds; the order of suspects is common practice
 */
export function heardPeriod({ sources, heardPerMinute, toleranceShare, maxTimes }: HeardQuestion): HeardPeriod {
  const all = sources.flatMap((source, order) =>
    Array.from({ length: maxTimes }, (_, i) => {
      const perMinute = (i + 1) * source.perMinute;
      const deviation = heardPerMinute / perMinute - 1;
      const match = { id: source.id, times: i + 1, perMinute, deviationPercent: 100 * deviation };
      return { match, order, off: Math.abs(deviation), fixed: source.fixed };
    }),
  );
  const matching = all
    .filter(({ off }) => atMost(off, toleranceShare))
    .sort((a, b) => a.match.times - b.match.times || apart(a.off, b.off) || a.order - b.order);
  const matches = matching.map(({ match }) => match);
  return {
    heardPerMinute,
    feasible: matches.length > 0,
    matches,
    ...(matches.length === 0 && { nearest: nearestOf(all.map(({ match }) => match)) }),
    alike: matching.flatMap((a, i) => matching.slice(i + 1).map((b) => toldApart(a, b, toleranceShare))),
  };
}

/** Which is less; 0 where only the last bits differ. */
const apart = (a: number, b: number): number => (Math.abs(a - b) <= sameRate ? 0 : a - b);

function nearestOf(all: readonly PeriodMatch[]): PeriodMatch {
  const far = ({ deviationPercent }: PeriodMatch) => Math.abs(Math.log1p(deviationPercent / 100));
  return all.reduce((best, one) => ((apart(far(one), far(best)) || one.times - best.times) < 0 ? one : best));
}

type Matching = { match: PeriodMatch; fixed: boolean };

function toldApart(a: Matching, b: Matching, toleranceShare: number): AlikePeriods {
  const [one, other] = [a.match.perMinute, b.match.perMinute];
  const [greater, lesser] = [Math.max(one, other), Math.min(one, other)];
  const pair = { a: which(a.match), b: which(b.match) };
  if (a.fixed !== b.fixed) {
    const speedChangePercent = 100 * (((1 + 2 * toleranceShare) * greater) / lesser - 1);
    return { ...pair, tellBy: "speed", speedChangePercent };
  }
  if (greater - lesser <= sameRate * greater) return { ...pair, tellBy: "hold" };
  return { ...pair, tellBy: "count", seconds: 60 / (greater - lesser) };
}

const which = ({ id, times }: PeriodMatch): Which => ({ id, times });
