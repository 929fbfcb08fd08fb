import { judgedBy, type SideQuantity, type StageElement, wearLimit } from "../stages";
import { robustTrend } from "../statistics";
import { daysToIso, isoToDays } from "./days";
import { type Entry, isKind } from "./entry";
import { type MeterReading, usageAt } from "./meter";

export type WearLeft = {
  elongationPercent: number;
  limitPercent: number;
  measuredAt: string;
  /** Measured on this chain. */
  looks: number;
  /** Until the limit at the rate so far, from the last look; null where fewer than two looks tell a rate, or it does not grow. */
  days: Left | null;
  /** The same by the machine's meter. */
  usage: Left | null;
};

/** Earliest and latest by the interval of the rate; `latest` null: perhaps never. Below five looks there is none (coverage 0). */
export type Left = { at: number; earliest: number; latest: number | null; coverage: number; rate: WearRate };

/** Per cent of elongation a day, or a unit of the meter; least and greatest by its interval. */
export type WearRate = { perUnit: number; least: number; greatest: number };

/**
 * How worn a chain is and what is left of it: the elongations measured on it, beside its sag or instead of it, with the robust line through
 * them over time and over usage. A new chain (a change of geometry) begins anew.
 *
 * @param entries of the stage that count, in order of their numbers; rounds of paper come before the rest, whenever they were brought in
 * @returns null where it was never measured
 */
export function wearLeft(
  entries: readonly Entry[],
  limitPercent: number,
  meter: readonly MeterReading[] = [],
): WearLeft | null {
  const since = entries.findLastIndex((entry) => entry.kind === "change" && entry.body.what === "geometry");
  const fitted = since < 0 ? "" : (entries[since]?.madeAt ?? "");
  const isPaper = isKind("paper-round");
  const paper = entries
    .filter((entry) => isPaper(entry) && entry.madeAt > fitted)
    .sort((a, b) => (a.madeAt < b.madeAt ? -1 : 1));
  const looks = [...paper, ...entries.slice(since + 1).filter((entry) => !isPaper(entry))].flatMap((entry) => {
    const value =
      entry.kind === "side" && entry.body.quantity === "elongation"
        ? entry.body.max
        : entry.kind === "round" && entry.body.result.quantity === "elongation" && entry.body.phase !== "set"
          ? entry.body.result.max
          : entry.kind === "paper-round" && entry.body.result.quantity === "elongation"
            ? entry.body.result.max
            : null;
    return value === null ? [] : [{ value, day: isoToDays(entry.madeAt), at: entry.madeAt }];
  });
  const last = looks[looks.length - 1];
  if (!last) return null;
  const left = (points: { t: number; y: number }[]): Left | null => {
    const line = points.length < 2 ? null : robustTrend(points, [], limitPercent);
    if (!line || line.slope <= 0) return null;
    const lastT = Math.max(...points.map(({ t }) => t));
    const until = (t: number) => Math.max(0, t - lastT);
    const at = lastT + (limitPercent - line.level) / line.slope;
    const crossing = line.crossing ?? { t: at, earliest: at, latest: at };
    return {
      at: until(at),
      earliest: until(crossing.earliest),
      latest: crossing.latest === null ? null : until(crossing.latest),
      coverage: points.length < 5 ? 0 : line.coverage,
      rate: { perUnit: line.slope, least: line.slopeInterval[0], greatest: line.slopeInterval[1] },
    };
  };
  const used = looks.flatMap(({ at, value }) => {
    const usage = usageAt(meter, at);
    return usage === null ? [] : [{ t: usage, y: value }];
  });
  return {
    elongationPercent: last.value,
    limitPercent,
    measuredAt: last.at,
    looks: looks.length,
    days: left(looks.map(({ day, value }) => ({ t: day, y: value }))),
    usage: left(used),
  };
}

/** How far a chain may stretch by the limits that somebody gave, else by its sprockets; null: nothing of the stage wears so. */
export function wearLimitNow(
  element: StageElement,
  {
    limits,
    sideLimits,
  }: { limits: { hi: number } | null; sideLimits: readonly { quantity: SideQuantity; hi: number | null }[] },
): number | null {
  const worn = wearLimit(element);
  if (worn === null) return null;
  if (judgedBy(element) === "elongation") return limits?.hi ?? worn;
  return sideLimits.find(({ quantity }) => quantity === "elongation")?.hi ?? worn;
}

/** When it gets there, for the plan, and between which moments by the rate of its looks; `earliest` null: too few looks for an interval. */
export type WornOut = { at: string; earliest: string | null; latest: string | null };

/** @returns null: no rate is known */
export function wornOut({ measuredAt, days }: WearLeft): WornOut | null {
  if (!days) return null;
  const from = isoToDays(measuredAt);
  const moment = (left: number) => daysToIso(from + Math.min(left, farthestDays));
  if (days.coverage === 0) return { at: moment(days.at), earliest: null, latest: null };
  return {
    at: moment(days.at),
    earliest: moment(days.earliest),
    latest: days.latest === null ? null : moment(days.latest),
  };
}

/** A century: nobody plans beyond it, and days further off have no date. */
const farthestDays = 36_525;
