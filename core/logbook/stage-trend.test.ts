import { expect, test } from "vitest";
import { spurPair } from "../gears";
import { daysToIso } from "./days";
import type { Entry } from "./entry";
import { stageTrend } from "./stage-trend";
import { standingOf } from "./standing";

let seq = 0;
const limits = { lo: 0.1, hi: 0.2 };
const element = { kind: "gear-pair" as const, pair: spurPair([20, 40], 2, 60.2), parts: {} };
const stage = { limits, element };
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
        quantity: "backlash",
        holds: "provable",
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
  const meter = [0, 500].map((day) => ({ day: from + day, total: day * 10 }));
  expect(Number(stageTrend(rounds, limits, "usage", meter)?.drift?.at)).toBeCloseTo(6000, 6);
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
  expect(standingOf(out, stage)).toMatchObject({ state: "outside", drift: null });
});

test("a part replaced or a move makes a standing unknown until it is read again; limits of today judge it", () => {
  const good = round(0, 0.14);
  expect(standingOf([good], stage).state).toBe("inside");
  expect(standingOf([good], { ...stage, limits: { lo: 0.2, hi: 0.3 } }).state).toBe("outside");
  expect(standingOf([good, entry("change", 1, { what: "geometry" })], stage)).toMatchObject({
    state: "unknown",
    changedSince: true,
  });
  expect(standingOf([good, entry("change", 1, { what: "limits" })], stage).state).toBe("inside");
});

test("a forecast says how surely: three rounds are none, four are 92 in a hundred, five and more 95", () => {
  const opening = (count: number) =>
    stageTrend(
      Array.from({ length: count }, (_, i) => round(i * 100, 0.12 + i / 100)),
      limits,
      "time",
    )?.drift;
  expect(opening(3)).toBeNull();
  expect(opening(4)?.coverage).toBeCloseTo(11 / 12, 9);
  expect(opening(5)?.coverage).toBeGreaterThan(0.95);
});

test("a reading in one gear says nothing of the other: each is judged by its own last round, and the worst counts", () => {
  const inGear = (gear: string, day: number, min: number) => {
    const one = round(day, min);
    return { ...one, body: { ...one.body, result: { ...(one.body as { result: object }).result, gear } } } as Entry;
  };
  const standing = standingOf([inGear("low", 0, 0.3), inGear("high", 1, 0.14)], stage);
  expect(standing).toMatchObject({ state: "outside", result: { gear: "low" } });
  expect(standingOf([inGear("low", 0, 0.3), inGear("low", 1, 0.14)], stage).state).toBe("inside");
});

test("a side that is out is named as what makes the state, not the round that is inside", () => {
  const side = entry("side", 1, { quantity: "end-float", verdict: "does-not-conform", max: 0.4 });
  expect(standingOf([round(0, 0.14), side], stage)).toMatchObject({ state: "outside", because: "end-float" });
});
