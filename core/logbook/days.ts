/**
 * Times of entries as days since 1970-01-01 UTC and back, without a clock: the proleptic Gregorian calendar by counting years that
 * begin in March (H. Hinnant, "chrono-compatible low-level date algorithms").
 *
 * @param iso as `Date.toISOString` writes it, e.g. 2026-11-25T08:00:00.000Z
 */
export function isoToDays(iso: string): number {
  const [, year, month, day, hour, minute, second] =
    /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d):(\d\d(?:\.\d+)?)Z$/.exec(iso)?.map(Number) ?? [];
  if (year === undefined || month === undefined || day === undefined) return Number.NaN;
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfYear = Math.floor((153 * (month > 2 ? month - 3 : month + 9) + 2) / 5) + day - 1;
  const dayOfEra = yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
  return era * 146_097 + dayOfEra - 719_468 + ((hour ?? 0) + ((minute ?? 0) + (second ?? 0) / 60) / 60) / 24;
}

/** To the second; never past the year 9999, which a calendar can still hold. */
export function daysToIso(days: number): string {
  const seconds = Math.round(Math.min(days, 2_932_896) * 86_400);
  const whole = Math.floor(seconds / 86_400);
  const rest = seconds - whole * 86_400;
  const shifted = whole + 719_468;
  const era = Math.floor(shifted / 146_097);
  const dayOfEra = shifted - era * 146_097;
  const yearOfEra = Math.floor(
    (dayOfEra - Math.floor(dayOfEra / 1460) + Math.floor(dayOfEra / 36_524) - Math.floor(dayOfEra / 146_096)) / 365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const month = Math.floor((5 * dayOfYear + 2) / 153);
  const day = dayOfYear - Math.floor((153 * month + 2) / 5) + 1;
  const year = yearOfEra + era * 400 + (month >= 10 ? 1 : 0);
  const two = (value: number) => String(value).padStart(2, "0");
  const clock = [Math.floor(rest / 3600), Math.floor((rest % 3600) / 60), rest % 60].map(two).join(":");
  return `${String(year).padStart(4, "0")}-${two(month < 10 ? month + 3 : month - 9)}-${two(day)}T${clock}.000Z`;
}
