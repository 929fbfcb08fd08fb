import { dayIn } from "~/operations/day-in";
import { inZone } from "~/operations/zone-format";
import type { Reader } from "./reader";

const asClock = { hour: "2-digit", minute: "2-digit" } as const;
const asDay = { day: "numeric", month: "long", year: "numeric" } as const;
const asShortDay = { day: "numeric", month: "short" } as const;

/** Time of day in the reader's zone. */
export const clock = (reader: Reader, iso: string): string => inZone(iso, reader.zone, reader.language, asClock);

/** Day in the reader's zone, with the year. */
export const day = (reader: Reader, iso: string): string => inZone(iso, reader.zone, reader.language, asDay);

export const shortDay = (reader: Reader, iso: string): string => inZone(iso, reader.zone, reader.language, asShortDay);

/** Clock on the day itself, else the date. */
export const clockOrDay = (reader: Reader, iso: string, now: string): string =>
  day(reader, iso) === day(reader, now) ? clock(reader, iso) : shortDay(reader, iso);

/** A date as it is kept, without a time: "2027-03-04" as "4 March 2027". */
export const dateWords = (reader: Reader, date: string): string => day({ ...reader, zone: "UTC" }, `${date}T12:00:00Z`);

/** How long ago, in days of the reader's zone or the largest whole unit that says it: "today", "3 days ago", "5 months ago". */
export function agoWords({ zone }: Reader, iso: string, now: string): string {
  const days = Math.round((Date.parse(dayIn(now, zone)) - Date.parse(dayIn(iso, zone))) / 86_400_000);
  if (days < 1) return "today";
  if (days < 60) return days === 1 ? "yesterday" : `${days} days ago`;
  return days < 730 ? `${Math.round(days / 30.4)} months ago` : `${Math.floor(days / 365)} years ago`;
}

const nearMs = 3_600_000;

/** Where something came into the logbook long after it was done, or says a time that cannot be told apart from a slip: when the server took it. */
export function recordedLater(reader: Reader, { madeAt, recordedAt }: { madeAt: string; recordedAt: string }): string {
  const apart = Date.parse(recordedAt) - Date.parse(madeAt);
  return Math.abs(apart) < nearMs ? "" : `; recorded ${shortDay(reader, recordedAt)} ${clock(reader, recordedAt)}`;
}
