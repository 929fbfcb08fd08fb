import { expect, test } from "vitest";
import type { StageTrend } from "~/core/logbook";
import { toothedBelt } from "~/tests/elements";
import { testStage } from "~/tests/stage";
import { stageUnit } from "../words/quantity";
import { readerOf } from "../words/reader";
import { intervalWords, slopeWords, trendNews } from "./trend-words";

const reader = readerOf();
const inch = readerOf({ preferences: { units: "inch" } });

const line = {
  slope: -0.0001,
  slopeInterval: [-0.0002, -0.00005],
  coverage: 0.9583,
} as unknown as StageTrend["tightest"];
const trend = (more: object): StageTrend =>
  ({ axis: "time", points: [{ min: 0.12, max: 0.2 }], drift: null, ...more }) as unknown as StageTrend;
const limits = { lo: 0.1, hi: 0.24 };
const drift = (limit: "lo" | "hi", latest: string | null = "2028-01-01T00:00:00Z") => ({
  limit,
  at: "2027-03-01T00:00:00Z",
  earliest: "2027-01-01T00:00:00Z",
  latest,
  coverage: 0.9583,
});

test("where it goes is said in the words of what is read", () => {
  const news = (limit: "lo" | "hi", quantity: Parameters<typeof trendNews>[4]) =>
    trendNews(reader, trend({ drift: drift(limit) }), "hours", limits, quantity);
  expect(news("hi", "backlash")).toBe("It will be too loose about 1 March 2027");
  expect(news("lo", "tension")).toBe("It will be too slack about 1 March 2027");
  expect(news("hi", "sag")).toBe("It will be sagging too far about 1 March 2027");
  expect(news("hi", "elongation")).toBe("It will be worn out about 1 March 2027");
  expect(news("lo", "gap")).toBe("It will be too narrow about 1 March 2027");
});

test("outside is outside, whatever the line says; without a sure slope nothing is foretold", () => {
  const out = trend({ points: [{ min: 0.08, max: 0.2 }], drift: drift("hi") });
  expect(trendNews(reader, out, "hours", limits)).toBe("It lies outside its limits already");
  expect(trendNews(reader, trend({}), "hours", limits)).toBe("It does not drift out by what was read so far");
  expect(intervalWords(reader, trend({}), "hours")).toBe("");
});

test("the interval may be open at its end, and runs over the meter where that is asked", () => {
  expect(intervalWords(reader, trend({ drift: drift("hi", null) }), "hours")).toBe(
    "95 % between 1 January 2027 and never",
  );
  const usage = trend({
    axis: "usage",
    drift: { limit: "hi", at: "41200", earliest: "40000.4", latest: "45000", coverage: 0.9167 },
  });
  expect(intervalWords(reader, usage, "hours")).toBe("91 % between 40000 hours and 45000 hours");
  expect(trendNews(reader, usage, "hours", limits)).toBe("It will be too loose about 41200 hours");
});

test("slopes a year or a thousand of the meter, in the reader's units", () => {
  const backlash = stageUnit(reader, testStage("s").geometry.element);
  expect(slopeWords(reader, line, "time", "hours", backlash)).toBe("−0.037 mm a year (95 %: −0.073 to −0.018)");
  expect(slopeWords(reader, line, "usage", "cycles", backlash)).toBe(
    "−0.100 mm a thousand cycles (95 %: −0.200 to −0.050)",
  );
  const tension = { slope: -0.5, slopeInterval: [-0.6, -0.4], coverage: 0.9167 } as unknown as StageTrend["tightest"];
  expect(slopeWords(inch, line, "usage", "cycles", stageUnit(inch, testStage("s").geometry.element))).toBe(
    "−0.0039 in a thousand cycles (95 %: −0.0079 to −0.0020)",
  );
  expect(slopeWords(inch, tension, "usage", "hours", stageUnit(inch, toothedBelt))).toBe(
    "−112.4 lbf a thousand hours (91 %: −134.9 to −89.9)",
  );
});

test("a day that has gone by is no forecast any more", () => {
  expect(trendNews(reader, trend({ drift: drift("hi") }), "hours", limits, "backlash", "2027-03-02T00:00:00Z")).toBe(
    "By its trend too loose since 1 March 2027: read it now",
  );
});
