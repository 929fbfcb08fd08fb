import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import type { Bodies, UpkeepDue } from "~/core/logbook";

export const gramsText = (reader: Reader, grams: number): string => `${formatNumber(reader, grams, 1)} g`;

export const greasedWords = (reader: Reader, { points, spread, note }: Bodies["greased"]) => ({
  title: `Greased: ${points.map(({ name }) => name).join(", ")}`,
  detail: [
    points
      .filter(({ grams, kind }) => grams !== null || kind)
      .map(({ name, grams, kind }) =>
        [name, grams === null ? "" : gramsText(reader, grams), kind].filter(Boolean).join(", "),
      )
      .join("; "),
    spread ? "Spread by a full turn" : "Not said whether it was spread by a full turn",
    note,
  ]
    .filter(Boolean)
    .join(". "),
});

export function lookedWords({ items, note }: Bodies["looked"]) {
  const bad = items.filter(({ found }) => found === "damage");
  return {
    title:
      bad.length > 0
        ? `Looked at: damage on ${bad.map(({ name }) => name).join(", ")}`
        : `Looked at, ${items.length}: fine`,
    detail: [...items.map(({ name, found, note: said }) => `${name} ${found}${said ? `: ${said}` : ""}`), note]
      .filter(Boolean)
      .join(". "),
  };
}

/** When it is due, or why that is not known. */
export function upkeepDueWords(
  reader: Reader,
  { dueInDays, unknown }: Pick<UpkeepDue, "dueInDays" | "unknown">,
): string {
  if (dueInDays !== null) {
    const days = Math.round(dueInDays);
    if (days === 0) return "due today";
    const count = `${formatNumber(reader, Math.abs(days), 0)} ${Math.abs(days) === 1 ? "day" : "days"}`;
    return days < 0 ? `overdue by ${count}` : `due in ${count}`;
  }
  if (unknown === "never") return "not known: never logged";
  return unknown === "no-meter" ? "not known: the meter's rate is not known" : "no interval is given";
}
