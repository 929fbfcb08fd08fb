import { expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import type { StageTrend } from "~/core/logbook";
import { trendRows } from "./trend-lines";
import { trendNews } from "./trend-words";

const reader = readerOf();

const line = (slope: number, level: number, crossing: object | null = null) =>
  ({ slope, slopeInterval: [slope, slope], level, crossing }) as StageTrend["mean"];
const trend = (more: Partial<StageTrend> = {}): StageTrend => ({
  axis: "time",
  points: [0, 100, 200].map((t) => ({
    t,
    madeAt: "",
    usage: null,
    min: 0.1 + t / 10_000,
    mean: 0.11,
    max: 0.15 + t / 10_000,
  })),
  resets: [50],
  tightest: line(1e-4, 0.12),
  mean: line(1e-4, 0.11),
  loosest: line(1e-4, 0.17, { t: 500, earliest: 400, latest: 700 }),
  drift: {
    limit: "hi",
    at: "2027-01-01T00:00:00.000Z",
    earliest: "2026-12-01T00:00:00.000Z",
    latest: "2027-03-01T00:00:00.000Z",
    coverage: 0.98,
  },
  ...more,
});

test("the fitted line runs from the last move to the last round, and on to where it leaves the limits", () => {
  const { rows, from, to } = trendRows(trend());
  expect([from, to]).toEqual([0, 398]);
  expect(rows.map((row) => row.loosestFit === undefined)).toEqual([true, false, false, true]);
  const last = rows[2];
  expect(last?.loosestFit).toBeCloseTo(0.17, 12);
  expect(last?.loosestAhead).toBe(last?.loosestFit);
  expect(rows[3]?.loosestAhead).toBeCloseTo(0.17 + 198 * 1e-4, 12);
});

const limits = { lo: 0.05, hi: 0.2 };

test("without a drift it looks a third of the way ahead; the headline says what comes", () => {
  const none = trend({ drift: null, loosest: line(0, 0.15, null) });
  expect(trendRows(none).to).toBeCloseTo(266, 9);
  expect(trendNews(reader, none, "hours", limits)).toBe("It does not drift out by what was read so far");
  expect(trendNews(reader, trend(), "hours", limits)).toBe("It will be too loose about 1 January 2027");
  const byUsage = trend({
    axis: "usage",
    drift: { limit: "lo", at: "12400.2", earliest: "12000", latest: "13000", coverage: 0.98 },
  });
  expect(trendNews(reader, byUsage, "hours", limits)).toMatch(/^It will be too tight about 12.?400 hours$/);
  expect(trendNews(reader, none, "hours", { lo: 0.05, hi: 0.16 })).toBe("It lies outside its limits already");
});
