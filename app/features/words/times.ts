/** Time of day in the workshop's zone. */
export const clock = (iso: string, timeZone: string): string =>
  new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit", timeZone }).format(new Date(iso));

/** Day in the workshop's zone, with the year. */
export const day = (iso: string, timeZone: string): string =>
  new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long", year: "numeric", timeZone }).format(new Date(iso));

export const shortDay = (iso: string, timeZone: string): string =>
  new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", timeZone }).format(new Date(iso));

/** Clock on the day itself, else the date. */
export const clockOrDay = (iso: string, timeZone: string, now: string): string =>
  day(iso, timeZone) === day(now, timeZone) ? clock(iso, timeZone) : shortDay(iso, timeZone);
