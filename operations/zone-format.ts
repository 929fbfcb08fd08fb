type Parts = Readonly<Intl.DateTimeFormatOptions>;

/** A formatter is dear to make and cheap to use: one is kept for each wording and zone, of which a workshop has one. */
const made = new WeakMap<Parts, Map<string, Intl.DateTimeFormat>>();
const mostZones = 50;

/**
 * Writes an instant in a time zone.
 *
 * @param locale BCP 47, as "en-GB"; the same for the same parts
 * @param parts which parts of it, as `Intl.DateTimeFormat` takes them: an object that stays, as of a module
 */
export function inZone(at: Date | string, timeZone: string, locale: string, parts: Parts): string {
  const zones = made.get(parts) ?? new Map<string, Intl.DateTimeFormat>();
  let format = zones.get(timeZone);
  if (!format) {
    format = new Intl.DateTimeFormat(locale, { ...parts, timeZone });
    if (zones.size >= mostZones) zones.clear();
    made.set(parts, zones.set(timeZone, format));
  }
  return format.format(typeof at === "string" ? new Date(at) : at);
}
