import { expect, test } from "vitest";
import { daysToIso } from "./days";
import type { Entry } from "./entry";
import { stageTrend } from "./stage-trend";
import { standingOf } from "./standing";

let seq = 0;
const limits = { lo: 0.1, hi: 0.2 };
const from = 20_000;
const entry = (kind: Entry["kind"], day: number, body: object, jobId: string | null = null): Entry =>
  ({
    id: `e${++seq}`,
    seq,
    kind,
    madeAt: daysToIso(from + day),
    usage: day * 10,
    body,
    jobId,
    namesEntry: null,
    readings: [],
  }) as unknown as Entry;
const round = (day: number, min: number, jobId: string | null = null, phase = "as-found") =>
  entry(
    "round",
    day,
    {
      phase,
      result: {
        min: min,
        max: min + 0.02,
        mean: min + 0.01,
        worstMin: null,
        worstMax: null,
        expandedUncertainty: 0.001,
        fits: true,
        verdict: "conforms",
      },
    },
    jobId,
  );

test("a stage that opens by a hundredth every hundred days drifts out when its loosest reaches the limit", () => {
  const rounds = [0, 100, 200, 300, 400, 500].map((day) => round(day, 0.12 + day / 10_000));
  const trend = stageTrend(rounds, limits, "time");
  expect(trend?.mean.slope).toBeCloseTo(1e-4, 9);
  // 0.19 at day 500, 0.2 a hundred days later.
  expect(trend?.drift).toMatchObject({ limit: "hi", at: daysToIso(from + 600) });
  expect(Number(stageTrend(rounds, limits, "usage")?.drift?.at)).toBeCloseTo(6000, 6);
});

test("a move begins the line anew, a reading while setting does not count", () => {
  const before = [0, 100, 200].map((day) => round(day, 0.12 + day / 10_000));
  const after = [round(202, 0.3, null, "set"), round(203, 0.11), round(303, 0.12), round(403, 0.13)];
  const trend = stageTrend([...before, entry("move", 201, {}), ...after], limits, "time");
  expect(trend?.points).toHaveLength(6);
  expect(trend?.tightest.slope).toBeCloseTo(1e-4, 9);
  expect(trend?.tightest.level).toBeCloseTo(0.13, 9);
});

test("two rounds of one visit with nothing moved in between are one: their noise is no drift", () => {
  const visits = [0, 100, 200, 300].flatMap((day) => [
    round(day, 0.12 + day / 10_000, `job ${day}`),
    round(day + 0.04, 0.125 + day / 10_000, `job ${day}`, "check"),
  ]);
  const trend = stageTrend(visits, limits, "time");
  expect(trend?.points).toHaveLength(4);
  expect(trend?.tightest.slopeInterval[1]).toBeCloseTo(1e-4, 9);
});

test("nothing is forecast where the slope may as well be nothing, nor for a stage that is out already", () => {
  const wobble = [0.13, 0.15, 0.12, 0.14, 0.13].map((min, i) => round(i * 100, min));
  expect(stageTrend(wobble, limits, "time")?.drift).toBeNull();
  const out = [0, 100, 200, 300].map((day) => round(day, 0.19 + day / 10_000));
  expect(standingOf(out, limits)).toMatchObject({ state: "outside", drift: null });
});

test("a part replaced or a move makes a standing unknown until it is read again; limits of today judge it", () => {
  const good = round(0, 0.14);
  expect(standingOf([good], limits).state).toBe("inside");
  expect(standingOf([good], { lo: 0.2, hi: 0.3 }).state).toBe("outside");
  expect(standingOf([good, entry("change", 1, { what: "geometry" })], limits)).toMatchObject({
    state: "unknown",
    changedSince: true,
  });
  expect(standingOf([good, entry("change", 1, { what: "limits" })], limits).state).toBe("inside");
});
