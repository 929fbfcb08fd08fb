import { describe, expect, test } from "vitest";
import type { MarkState } from "~/ui/state-mark";
import { floorNews, machineReason } from "./news";

type StageNow = Parameters<typeof machineReason>[0][number];
const stage = (
  name: string,
  state: MarkState,
  result: object | null = { minMm: 0.1, maxMm: 0.2, fits: true },
): StageNow =>
  ({ stage: { name, limits: { loMm: 0.12, hiMm: 0.3 } }, standing: { result }, state }) as unknown as StageNow;
const machine = (...states: MarkState[]) => ({ stages: states.map((state) => stage("S", state)) });

describe("the headline says the news", () => {
  test.each([
    [[], "The floor is empty"],
    [[machine("inside"), machine("inside", "inside")], "Every stage is inside"],
    [[machine("outside", "near"), machine("inside")], "One machine is outside"],
    [
      [machine("outside"), machine("outside"), machine("near")],
      "Two machines are outside, one machine is near the edge",
    ],
    [[machine("unknown"), machine("inside")], "One machine has to be read"],
  ])("%#", (rows, headline) => {
    expect(floorNews(rows)).toBe(headline);
  });
});

describe("the reason is the worst stage's, in words", () => {
  test.each<[StageNow[], string]>([
    [
      [stage("Cam", "outside", { minMm: 0, maxMm: 1, fits: false })],
      "Cam: no setting can hold it, the gear is not round",
    ],
    [[stage("Fold", "near"), stage("Anvil", "outside")], "Anvil is too tight"],
    [[stage("Anvil", "outside", { minMm: 0.2, maxMm: 0.4, fits: true })], "Anvil is too loose"],
    [[stage("Fold", "near")], "Fold is too near its limit to tell"],
    [[stage("New", "unknown", null)], "New was never read"],
    [[stage("Old", "unknown")], "Old was not read since it was moved"],
    [[stage("Good", "inside")], "Nothing to do"],
  ])("%#", (stages, reason) => {
    expect(machineReason(stages)).toBe(reason);
  });
});
