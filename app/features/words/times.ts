import { dayIn } from "~/operations/day-in";
import { inZone } from "~/operations/zone-format";

const asClock = { hour: "2-digit", minute: "2-digit" } as const;
const asDay = { day: "numeric", month: "long", year: "numeric" } as const;
const asShortDay = { day: "numeric", month: "short" } as const;

/** Time of day in the workshop's zone. */
export const clock = (iso: string, timeZone: string): string => inZone(iso, timeZone, "en-GB", asClock);

/** Day in the workshop's zone, with the year. */
export const day = (iso: string, timeZone: string): string => inZone(iso, timeZone, "en-GB", asDay);

export const shortDay = (iso: string, timeZone: string): string => inZone(iso, timeZone, "en-GB", asShortDay);

/** Clock on the day itself, else the date. */
export const clockOrDay = (iso: string, timeZone: string, now: string): string =>
  day(iso, timeZone) === day(now, timeZone) ? clock(iso, timeZone) : shortDay(iso, timeZone);

/** A date as it is kept, without a time: "2027-03-04" as "4 March 2027". */
export const dateWords = (date: string): string => day(`${date}T12:00:00Z`, "UTC");

/** How long ago, in days of the workshop's zone or the largest whole unit that says it: "today", "3 days ago", "5 months ago". */
export function agoWords(iso: string, now: string, timeZone: string): string {
  const days = Math.round((Date.parse(dayIn(now, timeZone)) - Date.parse(dayIn(iso, timeZone))) / 86_400_000);
  if (days < 1) return "today";
  if (days < 60) return days === 1 ? "yesterday" : `${days} days ago`;
  return days < 730 ? `${Math.round(days / 30.4)} months ago` : `${Math.floor(days / 365)} years ago`;
}

const nearMs = 3_600_000;

/** Where something came into the logbook long after it was done, or says a time that cannot be told apart from a slip: when the server took it. */
export function recordedLater(
  { madeAt, recordedAt }: { madeAt: string; recordedAt: string },
  timeZone: string,
): string {
  const apart = Date.parse(recordedAt) - Date.parse(madeAt);
  return Math.abs(apart) < nearMs ? "" : `; recorded ${shortDay(recordedAt, timeZone)} ${clock(recordedAt, timeZone)}`;
}
