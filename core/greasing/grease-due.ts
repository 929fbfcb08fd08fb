import { atMost } from "../numerics";

export type GreasePoint = {
  id: string;
  intervalH: number;
  /** When it was greased last, on the machine's meter. */
  lastH: number;
  dirt: "clean" | "dusty" | "dirty";
  wet: "dry" | "damp" | "wet";
  tempC: number;
  /** On a vertical shaft grease runs out. */
  vertical: boolean;
  /** Grease ages unused: a limit in days, and the days since. */
  byDays?: { intervalDays: number; daysSince: number } | undefined;
  /** g, said, or by the bearing; undefined: not known. */
  amount?: { grams: number } | { outerMm: number; widthMm: number } | undefined;
};

export type GreaseDue = {
  id: string;
  factor: number;
  /** As it is here, h. */
  intervalH: number;
  dueAtH: number;
  dueInDays: number;
  by: "hours" | "days";
  overdue: boolean;
  grams?: number;
};

export type GreasePlan = {
  /** Soonest first; those due alike in the order given. */
  points: GreaseDue[];
  due: string[];
  gramsDue: number;
};

const dirtFactor = { clean: 1, dusty: 0.7, dirty: 0.4 } as const;
const wetFactor = { dry: 1, damp: 0.7, wet: 0.4 } as const;
const verticalFactor = 0.5;
/** Halved for every so many degrees above. */
const hotFrom = 70;
const halvedBy = 15;
/** g for a mm² of a bearing's outer diameter by its width. */
const perMm2 = 0.005;

/**
 * Which points are to be greased when, and how much.
 *
 * @param nowH the machine's meter
 * @param hoursPerDay that it runs
 * @param horizonDays those due within it are named
 * @source factors, halving and 0.005·D·B grams: common practice
 */
export function greaseDue(
  points: readonly GreasePoint[],
  nowH: number,
  hoursPerDay: number,
  horizonDays: number,
): GreasePlan {
  const all = points
    .map((point): GreaseDue => {
      const factor = factorOf(point);
      const intervalH = point.intervalH * factor;
      const dueAtH = point.lastH + intervalH;
      const byHours = (dueAtH - nowH) / hoursPerDay;
      const byDays = point.byDays ? point.byDays.intervalDays - point.byDays.daysSince : Number.POSITIVE_INFINITY;
      const dueInDays = Math.min(byHours, byDays);
      const { amount } = point;
      return {
        id: point.id,
        factor,
        intervalH,
        dueAtH,
        dueInDays,
        by: byHours <= byDays ? "hours" : "days",
        overdue: dueInDays < 0,
        ...(amount && { grams: "grams" in amount ? amount.grams : bearingGrams(amount) }),
      };
    })
    .sort((a, b) => a.dueInDays - b.dueInDays);
  const due = all.filter(({ dueInDays }) => atMost(dueInDays, horizonDays));
  return {
    points: all,
    due: due.map(({ id }) => id),
    gramsDue: due.reduce((sum, { grams = 0 }) => sum + grams, 0),
  };
}

/** g of grease for a bearing, by its outer diameter and width. Common practice. */
export const bearingGrams = ({ outerMm, widthMm }: { outerMm: number; widthMm: number }): number =>
  perMm2 * outerMm * widthMm;

/** What dirt, wet, a vertical shaft and heat leave of an interval. */
const factorOf = ({ dirt, wet, tempC, vertical }: GreasePoint): number =>
  dirtFactor[dirt] *
  wetFactor[wet] *
  (vertical ? verticalFactor : 1) *
  0.5 ** (Math.max(0, tempC - hotFrom) / halvedBy);
