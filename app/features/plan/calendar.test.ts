import { expect, test } from "vitest";
import type { DueItem } from "~/core/plan";
import { readerOf } from "../words/reader";
import { calendarOf } from "./calendar.server";

const item: DueItem = {
  ...{ kind: "drift", key: "s1", on: "2026-12-31", what: "", atUsage: null, note: "lock 14; short wrench, bay 2" },
  machine: { id: "m1", name: "Folder-gluer, line 1", tag: "FG-4", site: "Main", hall: "Hall C", place: "bay 1" },
  stage: { id: "s1", name: "Fold drive" },
  between: { earliest: "2026-12-01T00:00:00.000Z", latest: null, limit: "hi" },
  to: { id: "p", name: "M. Sandor" },
};

/** Read by RFC 5545 alone: lines end in CR LF, a line that begins with a blank goes on, and text has its signs escaped. */
function read(text: string): Map<string, string>[] {
  const lines = text.replace(/\r\n[ \t]/g, "").split("\r\n");
  const events: Map<string, string>[] = [];
  for (const line of lines) {
    if (line === "BEGIN:VEVENT") events.push(new Map());
    const at = line.indexOf(":");
    events.at(-1)?.set(
      line.slice(0, at),
      line
        .slice(at + 1)
        .replace(/\\n/g, "\n")
        .replace(/\\([,;\\])/g, "$1"),
    );
  }
  return events;
}

test("a calendar program reads whole days, a title, where, whose and why, and finds the same event again by its UID", () => {
  const written = calendarOf(
    readerOf(),
    [item, { ...item, key: "s2", on: null }],
    "2027-01-02",
    "https://works.example",
  );
  const physical = written.split("\r\n");
  expect(physical.every((line) => new TextEncoder().encode(line).length <= 75)).toBe(true);
  expect(written.startsWith("BEGIN:VCALENDAR\r\nVERSION:2.0\r\n")).toBe(true);
  expect(written).toContain("PRODID:-//Harmostat//Plan//EN\r\n");
  expect(written.endsWith("END:VCALENDAR\r\n")).toBe(true);
  const events = read(written);
  expect(events).toHaveLength(1);
  const event = events[0] as Map<string, string>;
  expect(event.get("UID")).toBe("drift-s1@harmostat");
  expect(event.get("SUMMARY")).toBe("Folder-gluer, line 1, Fold drive: Its trend reaches the upper limit");
  // The end of a whole day is the day after it (3.6.1), here of another year.
  expect([event.get("DTSTART;VALUE=DATE"), event.get("DTEND;VALUE=DATE")]).toEqual(["20261231", "20270101"]);
  expect(event.get("LOCATION")).toBe("Main, Hall C, bay 1");
  expect(event.get("DESCRIPTION")).toBe(
    "The forecast is past (from 1 Dec on): by its trend it is outside by now, and no round since says otherwise\nM. Sandor has it: lock 14; short wrench, bay 2",
  );
  expect(event.get("DTSTAMP")).toMatch(/^\d{8}T\d{6}Z$/);
});

test("a plan without a day is a calendar without an event", () => {
  expect(read(calendarOf(readerOf(), [], "2026-11-30", "https://works.example"))).toEqual([]);
});
