import { expect, test } from "vitest";
import { isoToDays } from "./days";
import type { Entry } from "./entry";
import { heldFor } from "./held-for";

/** One of the first hundred days of 2026. */
const day = (n: number): string => {
  const lengths = [31, 28, 31, 30];
  let [month, left] = [0, n];
  while (left >= (lengths[month] ?? 31)) left -= lengths[month++] ?? 31;
  return `2026-0${month + 1}-${String(left + 1).padStart(2, "0")}T08:00:00.000Z`;
};
const made = (kind: string, job: string, at: number, body: object) =>
  ({ kind, jobId: job, madeAt: day(at), body }) as unknown as Entry;
const felt = (job: string, at: number, feel: string, phase = "as-found") =>
  made("feel", job, at, { phase, places: [{ tooth: 1, feel }] });
const pushed = (job: string, at: number, amount: number) => made("move", job, at, { amount });
const never = () => null;

test("a chain that was slack again after 20 and after 30 days has held for 25 in the middle, and stretched by what was taken up", () => {
  const meter = [
    { day: isoToDays(day(0)), total: 1000 },
    { day: isoToDays(day(100)), total: 2000 },
  ];
  const entries = [
    ...[felt("a", 0, "gives"), pushed("a", 0, 2), felt("a", 0, "firm", "check")],
    ...[felt("b", 20, "claps"), pushed("b", 20, 3), felt("b", 20, "firm", "check")],
    // A look that found it firm says only that it held so long.
    felt("c", 30, "firm"),
    pushed("d", 35, 1),
    ...[felt("e", 65, "gives"), made("clamp", "e", 65, {})],
  ];
  const held = heldFor(entries, never, meter);
  expect(
    held.times.map(({ days, usage, slackAgain }) => [Math.round(days), Math.round(usage ?? -1), slackAgain]),
  ).toEqual([
    [20, 200, true],
    [10, 100, false],
    [30, 300, true],
  ]);
  expect(held.slackAfterDays).toBeCloseTo(25, 9);
  expect(held.slackAfterUsage).toBeCloseTo(250, 6);
  // 3 and 1 mm over the 350 hours from the first move to the last.
  expect(held.takenUpPerUsage).toBeCloseTo(4 / 350, 9);
});

test("a round counts where its limits tell; without a second setting, a look or a meter nothing is made up", () => {
  const round = (job: string, at: number) => made("round", job, at, { phase: "as-found" });
  const entries = [pushed("a", 0, 2), round("b", 12)];
  expect(heldFor(entries, never)).toEqual({
    times: [],
    slackAfterDays: null,
    slackAfterUsage: null,
    takenUpPerUsage: null,
  });
  expect(heldFor(entries, () => true)).toMatchObject({ slackAfterDays: 12, slackAfterUsage: null });
  expect(heldFor([pushed("a", 0, 2), felt("a", 0, "gives")], never).times).toEqual([]);
});
