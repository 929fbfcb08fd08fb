import { type DueItem, daysUntil, type When } from "~/core/plan";
import { capital, countWords } from "../words/count";
import { formatNumber } from "../words/figure";
import type { Reader } from "../words/reader";
import { dateWords, shortDay } from "../words/times";

export const whenWords: Record<When, string> = {
  passed: "Overdue",
  today: "Today",
  week: "Within a week",
  month: "Within thirty days",
  later: "Later",
  undated: "Without a day",
};

/** What is due, in a few words: a line of the plan, the title of an event. */
export function dueTitle({ kind, what, between }: DueItem): string {
  switch (kind) {
    case "visit":
    case "usage":
      return what || "Look at it again";
    case "drift":
      return `Its trend reaches the ${between?.limit === "lo" ? "lower" : "upper"} limit`;
    case "wear":
      return "Its chain is stretched to its limit";
    case "grease":
      return `Grease: ${what}`;
    case "look":
      return `Look at: ${what}`;
    case "calibration":
      return `Calibrate: ${what}`;
    case "point":
      return what;
  }
}

/** What stands behind it: between which days a trend gets there, what the meter shows then; of a forecast that is past, that it is. */
export function dueDetail(reader: Reader, { kind, on, between, atUsage }: DueItem, today: string): string {
  if ((kind === "drift" || kind === "wear") && between && on) {
    const [from, to] = [between.earliest, between.latest].map((at) => at && shortDay(reader, at));
    if (from === null)
      return daysUntil(today, on) < 0
        ? "The forecast is past: by its looks so far, too few to say between which days, it is outside by now"
        : "By its looks so far, too few to say between which days";
    const range = to ? `between ${from} and ${to}` : `from ${from} on`;
    return daysUntil(today, on) < 0
      ? `The forecast is past (${range}): by its trend it is outside by now, and ${kind === "wear" ? "no look" : "no round"} since says otherwise`
      : `By its ${kind === "wear" ? "looks so far" : "trend"}, ${range}`;
  }
  if (atUsage)
    return `When the meter gets to ${formatNumber(reader, atUsage.total, 0)} ${atUsage.unit}, at the rate so far`;
  return "";
}

/** "3 days ago", "today", "in 12 days". */
export function inDays(today: string, on: string): string {
  const days = daysUntil(today, on);
  if (days === 0) return "today";
  const count = `${Math.abs(days)} ${Math.abs(days) === 1 ? "day" : "days"}`;
  return days < 0 ? `${count} ago` : `in ${count}`;
}

/** Where it stands: "Halewick, Hall 2, bay 4". */
export const whereWords = ({ machine }: Pick<DueItem, "machine">): string =>
  machine ? [machine.site, machine.hall, machine.place].filter(Boolean).join(", ") : "";

/** The news of a plan: what is overdue, what is due today. */
export function planNews({ passed, today, ahead }: { passed: number; today: number; ahead: number }): string {
  const parts = [
    passed > 0 ? `${countWords(passed)} ${passed === 1 ? "is" : "are"} overdue` : "",
    today > 0 ? `${countWords(today)} ${today === 1 ? "is" : "are"} due today` : "",
  ].filter(Boolean);
  if (parts.length > 0) return capital(parts.join(", "));
  return ahead > 0 ? "Nothing is due today" : "Nothing of what is shown has a day";
}

/** A day with how far off it is. */
export const dayAndHowFar = (reader: Reader, today: string, on: string): string =>
  `${dateWords(reader, on)}, ${inDays(today, on)}`;
