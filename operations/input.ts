import * as z from "zod";

export { checkInput } from "../core/records/check-input";
export { text, words } from "../core/schemas";

export const id = z.uuid().toLowerCase();
/** A moment of our time: years before this trade kept logbooks, and after everybody who reads this, are slips of a clock. */
export const instant = z.iso
  .datetime()
  .refine((value) => value >= "1970" && value < "2200", { params: { code: "no-such-time" } });
/** A day of the calendar, "2026-11-25". */
export const day = z.iso.date();
