/** A formatter is dear to make and cheap to use: one of each kind is kept for each zone, of which a workshop has one. */
const made = new Map<string, Intl.DateTimeFormat>();
const mostKept = 200;

/**
 * Writes an instant in a time zone.
 *
 * @param locale BCP 47, as "en-GB"
 * @param parts which parts of it, as `Intl.DateTimeFormat` takes them
 */
export function inZone(
  at: Date | string,
  timeZone: string,
  locale: string,
  parts: Readonly<Intl.DateTimeFormatOptions>,
): string {
  const key = `${timeZone} ${locale} ${Object.entries(parts).flat().join(" ")}`;
  const known = made.get(key);
  const format = known ?? new Intl.DateTimeFormat(locale, { ...parts, timeZone });
  if (!known) {
    if (made.size >= mostKept) made.clear();
    made.set(key, format);
  }
  return format.format(typeof at === "string" ? new Date(at) : at);
}
