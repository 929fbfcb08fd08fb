import { expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import { agoWords, clock, clockOrDay, dateWords, day, shortDay } from "./times";

const reader = readerOf({ timeZone: "Europe/Berlin" });

test("times stand in the zone of the workshop, over midnight and over the change of clocks", () => {
  expect(clock(reader, "2026-03-29T00:59:00Z")).toBe("01:59");
  expect(clock(reader, "2026-03-29T01:00:00Z")).toBe("03:00");
  expect(day(reader, "2026-12-31T23:30:00Z")).toBe("1 January 2027");
  expect(shortDay(reader, "2026-12-31T22:30:00Z")).toBe("31 Dec");
});

test("the clock on the day itself, the date on any other, by the workshop's midnight", () => {
  const now = "2026-11-25T12:00:00Z";
  expect(clockOrDay(reader, "2026-11-24T23:05:00Z", now)).toBe("00:05");
  expect(clockOrDay(reader, "2026-11-24T22:55:00Z", now)).toBe("24 Nov");
});

test("a date without a time is the same everywhere", () => {
  expect(dateWords(reader, "2027-03-04")).toBe("4 March 2027");
});

test.each([
  ["2026-11-25T11:59:00Z", "today"],
  // Before the workshop's midnight, though less than a day ago, and on its own day though that began the evening before in UTC.
  ["2026-11-24T22:55:00Z", "yesterday"],
  ["2026-11-24T23:05:00Z", "today"],
  ["2026-11-20T12:00:00Z", "5 days ago"],
  ["2026-09-27T12:00:00Z", "59 days ago"],
  ["2026-09-26T12:00:00Z", "2 months ago"],
  ["2024-11-27T12:00:00Z", "24 months ago"],
  ["2024-11-20T12:00:00Z", "2 years ago"],
])("%s is %s", (iso, words) => {
  expect(agoWords(reader, iso, "2026-11-25T12:00:00Z")).toBe(words);
});
