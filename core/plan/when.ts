import { isoToDays } from "../logbook/days";

/** How near a day is: gone by, today, within a week, within thirty days, later; or nobody gave one. */
export const whens = ["passed", "today", "week", "month", "later", "undated"] as const;
export type When = (typeof whens)[number];

/** Whole days from one to another, both as text; negative: gone by. */
export const daysUntil = (today: string, on: string): number => Math.round(dayNumber(on) - dayNumber(today));

/** Days since 1970 of a day as text. */
export const dayNumber = (on: string): number => isoToDays(`${on}T00:00:00.000Z`);

/** @param on the day it is due, null: nobody gave one */
export function whenDue(today: string, on: string | null): When {
  if (on === null) return "undated";
  const days = daysUntil(today, on);
  if (days < 0) return "passed";
  if (days === 0) return "today";
  return days <= 7 ? "week" : days <= 30 ? "month" : "later";
}
