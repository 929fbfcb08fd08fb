import { expect, test } from "vitest";
import { trueTime } from "./true-time";

const now = new Date("2026-11-25T12:00:00.000Z");
const at = (minutes: number) => new Date(now.getTime() + minutes * 60_000).toISOString();

test.each([
  ["a right clock", -30, 0, -30, 0],
  ["a minute off is let be", -30, 1, -30, 0],
  ["three hours ahead", 150, 180, -30, 10_800],
  ["a day behind", -1470, -1440, -30, -86_400],
  ["not even a wrong clock makes something of tomorrow", 200, 180, 0, 10_800],
])("%s", (_, made, sent, truly, ahead) => {
  expect(trueTime(at(made), at(sent), now)).toEqual({ madeAt: at(truly), aheadSeconds: ahead });
});

test("where nobody says what the clock showed, it is believed, but for the future", () => {
  expect(trueTime(at(-5), undefined, now).madeAt).toBe(at(-5));
  expect(trueTime(at(5), undefined, now).madeAt).toBe(at(0));
});
