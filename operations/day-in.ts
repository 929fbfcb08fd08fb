import { inZone } from "./zone-format";

const asKept = { year: "numeric", month: "2-digit", day: "2-digit" } as const;

/**
 * The day on which an instant falls in a time zone, as dates are kept: "2027-03-04". Days of a workshop are those of its own zone, never of the
 * server's or of UTC.
 */
export const dayIn = (at: Date | string, timeZone: string): string => inZone(at, timeZone, "en-CA", asKept);
