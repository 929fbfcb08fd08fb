import { createEvents, type EventAttributes } from "ics";
import type { DueItem } from "~/core/plan";
import type { Reader } from "../words/reader";
import { dueDetail, dueTitle, whereWords } from "./due-words";

/**
 * What falls due as a calendar (RFC 5545), each a whole day. An event keeps its UID as long as what it is due for is the same, so that a
 * calendar program moves it instead of adding another.
 *
 * @param origin where the app is reached, for the link of each event
 * @throws what the writer of the format refuses: nothing that stands in a plan
 */
export function calendarOf(reader: Reader, items: readonly DueItem[], today: string, origin: string): string {
  const events = items.flatMap((item): EventAttributes[] => {
    if (item.on === null) return [];
    const [year, month, date] = item.on.split("-").map(Number) as [number, number, number];
    const next = new Date(Date.UTC(year, month - 1, date + 1));
    const of = [item.machine?.name, item.stage?.name].filter(Boolean).join(", ");
    const title = dueTitle(item);
    return [
      {
        uid: `${item.kind}-${item.key}@harmostat`,
        title: of ? `${of}: ${title}` : title,
        start: [year, month, date],
        // The day after: DTEND of a whole day is not part of it.
        end: [next.getUTCFullYear(), next.getUTCMonth() + 1, next.getUTCDate()],

        description: [
          dueDetail(reader, item, today),
          item.to ? `${item.to.name} has it${item.note && `: ${item.note}`}` : "",
        ]
          .filter(Boolean)
          .join("\n"),
        ...(whereWords(item) ? { location: whereWords(item) } : {}),
        url: `${origin}${item.machine ? `/machines/${item.machine.id}` : `/stores/instruments/${item.key}`}`,
        calName: "Harmostat",
        productId: "-//Harmostat//Plan//EN",
        transp: "TRANSPARENT",
        classification: "PRIVATE",
      },
    ];
  });
  const { error, value } = createEvents(events, { calName: "Harmostat", productId: "-//Harmostat//Plan//EN" });
  if (error || !value) throw error ?? new Error("no calendar was written");
  return value;
}
