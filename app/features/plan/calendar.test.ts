import ICAL from "ical.js";
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

/** As a calendar program reads it: ical.js, which is not of what writes it. */
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents("vevent").map((event) => new ICAL.Event(event));

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
  const event = events[0] as ICAL.Event;
  expect(event.uid).toBe("drift-s1@harmostat");
  expect(event.summary).toBe("Folder-gluer, line 1, Fold drive: Its trend reaches the upper limit");
  // The end of a whole day is the day after it (3.6.1), here of another year.
  expect([event.startDate.isDate, `${event.startDate}`, `${event.endDate}`]).toEqual([
    true,
    "2026-12-31",
    "2027-01-01",
  ]);
  expect(event.location).toBe("Main, Hall C, bay 1");
  expect(event.description).toBe(
    "The forecast is past (from 1 Dec on): by its trend it is outside by now, and no round since says otherwise\nM. Sandor has it: lock 14; short wrench, bay 2",
  );
  expect(event.component.getFirstPropertyValue("dtstamp")).toMatchObject({ isDate: false });
});

test("a plan without a day is a calendar without an event", () => {
  expect(read(calendarOf(readerOf(), [], "2026-11-30", "https://works.example"))).toEqual([]);
});
