import { describe, expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import type { Standing } from "~/core/logbook";
import { judgeEnds } from "~/core/rounds";
import { everyKind } from "~/tests/elements";
import { machineReasons } from "./machine-news";

const reader = readerOf();

const now = "2026-11-25T08:00:00Z";
type StageNow = Parameters<typeof machineReasons>[1][number];
const limits = { lo: 0.12, hi: 0.3 };
const ends = {
  quantity: "backlash" as const,
  min: 0.13,
  max: 0.2,
  worstMin: null,
  worstMax: null,
  expandedUncertainty: 0.01,
};
const stage = (
  name: string,
  state: Standing["state"],
  { result, ...more }: Record<string, unknown> & { result?: object | null } = {},
) => {
  const read = result === null ? null : { ...ends, ...result };
  const judged = read && judgeEnds(read, limits);
  const of = { name, limits, geometry: { element: everyKind[0] } };
  return { stage: of, standing: { state, readAt: now, result: read, judged, ...more } } as unknown as StageNow;
};
const belt = (result: object): StageNow => stage("Belt", "outside", { result: { quantity: "tension", ...result } });
describe("the reason is the worst stage's, in words", () => {
  const drift = (limit: "lo" | "hi", when: string) => ({ drift: { limit, at: when, earliest: when, latest: when } });
  test.each<[StageNow[], number, string[]]>([
    [
      [stage("Cam", "outside", { result: { min: 0, max: 1 } })],
      0,
      ["Cam: no setting can hold it, the gear is not round"],
    ],
    [[belt({ min: 0.2, max: 0.35 })], 0, ["Belt: too tight"]],
    [[belt({ min: 0.1, max: 0.2 })], 0, ["Belt: too slack"]],
    [[belt({ min: 0.1, max: 0.4 })], 0, ["Belt: no setting can hold it, the gear is not round"]],
    [
      [stage("Fold", "near"), stage("Anvil", "outside", { result: { min: 0.1, max: 0.2 } })],
      2,
      ["Anvil: too tight", "Two open points"],
    ],
    // What was fitted over the hunting cycle counts, though no reading was out; and what is read beside it is named.
    [[stage("Cam", "outside", { result: { worstMax: 0.33, min: 0.16 } })], 0, ["Cam: too loose"]],
    [[stage("Cam", "outside", { because: "end-float" })], 0, ["Cam: end float is outside its limits"]],
    [[stage("Fold", "near")], 0, ["Fold: too near its limit to tell"]],
    [
      [stage("Knife", "inside", drift("hi", "2026-12-09T10:00:00Z"))],
      0,
      ["Knife: drifts out, too loose, about 9 December"],
    ],
    [
      [stage("Knife", "inside", drift("hi", "2026-11-03T10:00:00Z"))],
      0,
      ["Knife: by its trend too loose since 3 November, read it now"],
    ],
    [[stage("Knife", "inside", drift("hi", "2028-01-01T10:00:00Z"))], 1, ["One open point"]],
    [[stage("New", "unknown", { readAt: null, result: null })], 0, ["New: never read"]],
    [[stage("Old", "unknown", { changedSince: true })], 0, ["Old: not read since it was moved"]],
    [[stage("Bare", "unknown", { changedSince: false, felt: null })], 0, ["Bare: no limits yet"]],
    [[stage("Good", "inside")], 0, ["Nothing to do"]],
    [[], 0, ["No stage is entered yet"]],
  ])("%#", (stages, points, reasons) => {
    expect(machineReasons(reader, stages, points, now)).toEqual(reasons);
  });
});
