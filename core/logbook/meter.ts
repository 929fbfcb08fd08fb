import { isoToDays } from "./days";
import { type Entry, isKind } from "./entry";

/** What a machine's meter showed in all, on the day it was read, days since 1970. */
export type MeterReading = { day: number; total: number };

/** The readings of a machine's meter, oldest first. */
export const meterOf = (entries: readonly Entry[]): MeterReading[] =>
  entries
    .filter(isKind("usage"))
    .map((entry) => ({ day: isoToDays(entry.madeAt), total: entry.body.total }))
    .sort((a, b) => a.day - b.day);

/** A reading of the same day stands for what was done on it. */
const sameDay = 1;

/**
 * What a machine had run at a time, from the days on which its meter itself was read: between two readings on the straight line, at most a day
 * beyond the last. An entry's own `usage` is whatever the meter had last shown, perhaps months before.
 *
 * @returns null before the first reading, and later than a day after the last
 */
export function usageAt(meter: readonly MeterReading[], iso: string): number | null {
  const day = isoToDays(iso);
  const last = meter[meter.length - 1];
  const first = meter[0];
  if (!last || !first || day < first.day - sameDay || day > last.day + sameDay) return null;
  if (day >= last.day) return last.total;
  if (day <= first.day) return first.total;
  const after = meter.findIndex((reading) => reading.day > day);
  const [a, b] = [meter[after - 1] as MeterReading, meter[after] as MeterReading];
  return a.total + ((b.total - a.total) * (day - a.day)) / (b.day - a.day);
}

/**
 * The same, and beyond the last reading at the rate so far: an estimate, for saying when something falls due.
 *
 * @returns null where the rate is not known, or before the first reading
 */
export function usageAbout(meter: readonly MeterReading[], iso: string): number | null {
  const read = usageAt(meter, iso);
  const last = meter[meter.length - 1];
  const perDay = usagePerDay(meter);
  if (read !== null || !last || perDay === null) return read;
  const days = isoToDays(iso) - last.day;
  return days > 0 ? last.total + days * perDay : null;
}

/** Usage a day between the first and the last reading of the meter; null below two days. */
export function usagePerDay(meter: readonly MeterReading[]): number | null {
  const [first, last] = [meter[0], meter[meter.length - 1]];
  return first && last && last.day - first.day >= 1 ? (last.total - first.total) / (last.day - first.day) : null;
}

/**
 * When the meter gets to a total: between two readings on the straight line, beyond the last at the rate so far.
 *
 * @returns days since 1970; null where the rate is not known, or the meter stood higher from the first
 */
export function dayOfUsage(meter: readonly MeterReading[], total: number): number | null {
  const last = meter[meter.length - 1];
  if (!last) return null;
  if (total <= last.total) {
    const after = meter.findIndex((reading) => reading.total >= total);
    const [a, b] = [meter[after - 1], meter[after]];
    return a && b ? a.day + ((b.day - a.day) * (total - a.total)) / (b.total - a.total) : null;
  }
  const perDay = usagePerDay(meter);
  return perDay === null || perDay <= 0 ? null : last.day + (total - last.total) / perDay;
}
