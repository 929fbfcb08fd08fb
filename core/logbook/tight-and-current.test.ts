import { expect, test } from "vitest";
import type { Entry } from "./entry";
import { tightAgainstCurrent } from "./tight-and-current";

let seq = 0;
const made = (kind: string, job: string, at: string, body: object) =>
  ({ kind, seq: ++seq, jobId: job, madeAt: `2026-0${at}T08:00:00Z`, body }) as unknown as Entry;
const round = (job: string, at: string, min: number, max: number) => made("round", job, at, { result: { min, max } });
const run = (job: string, at: string, currentA: number | null, more = {}) =>
  made("proof", job, at, { way: "powered", speed: "working", outcome: "ran", currentA, ...more });

test("a job's last round stands beside the mean of its good runs at working speed, and half an ampere for 100 N is found", () => {
  const entries = [
    ...[round("a", "1-10", 120, 130), round("a", "1-11", 190, 210), run("a", "1-11", 2.4), run("a", "1-11", 2.6)],
    ...[round("b", "2-10", 290, 310), run("b", "2-10", 3), run("b", "2-10", 9, { outcome: "stalled" })],
    ...[round("c", "3-10", 240, 260), run("c", "3-10", 2.75), run("c", "3-10", 1, { speed: "slow" })],
    ...[round("d", "4-10", 320, 320), run("d", "4-10", 3.1), round("e", "5-10", 180, 180), run("e", "5-10", 2.4)],
  ];
  const found = tightAgainstCurrent(entries);
  expect(found.points.map(({ tight, currentA }) => [tight, currentA])).toEqual([
    [200, 2.5],
    [300, 3],
    [250, 2.75],
    [320, 3.1],
    [180, 2.4],
  ]);
  expect(tightAgainstCurrent(entries.slice(0, -2)).perUnitA).toBeNull();
  expect(found.perUnitA).toBeCloseTo(0.005, 9);
});

test("without a round, or a current, nothing is made up", () => {
  expect(tightAgainstCurrent([run("a", "1-10", 2.4), round("b", "1-12", 200, 210), run("b", "1-12", null)])).toEqual({
    points: [],
    perUnitA: null,
  });
  const two = [round("a", "1-10", 200, 200), run("a", "1-10", 2), round("b", "2-10", 300, 300), run("b", "2-10", 3)];
  expect(tightAgainstCurrent(two)).toMatchObject({ points: [{}, {}], perUnitA: null });
});
