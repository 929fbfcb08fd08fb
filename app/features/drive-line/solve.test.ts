import { expect, test } from "vitest";
import { mustHold } from "~/core/quantity";
import type { KeptDriveLine } from "~/core/stages";
import type { StageStanding } from "~/data/queries/standings";
import { everyKind, toothedBelt } from "~/tests/elements";
import { testStage } from "~/tests/stage";
import { type StageStands, shaftName, solveDriveLine } from "./solve";

const named = (id: string, name: string, element = testStage(id).geometry.element, max?: number): StageStands => {
  const stage = testStage(id);
  return {
    stage: { ...stage, name, geometry: { ...stage.geometry, element } },
    standing:
      max === undefined ? null : ({ loosest: [{ gear: null, value: max }], endFloatMm: 0 } as unknown as StageStanding),
  };
};
const stages = [
  named("belt", "Main belt", toothedBelt),
  named("gears", "First reduction", undefined, 0.2),
  named("worm", "Lift worm", everyKind[3], 0.1),
];
const graph: KeptDriveLine = {
  sources: [{ id: "motor", name: "Motor", rpm: 1400, torqueNm: 2 }],
  links: [
    { stageId: "belt", from: "motor", onto: null, gear: 0, angleDeg: 0 },
    { stageId: "gears", from: "belt", onto: null, gear: 0, angleDeg: 0 },
    { stageId: "worm", from: "gears", onto: null, gear: 0, angleDeg: 0 },
  ],
  outputs: [{ at: "worm", name: "Drum", wheelDiameterMm: 100, scale: null }],
};

test("speeds, senses and what was last read add up to the output", () => {
  const line = mustHold(solveDriveLine(graph, stages));
  const rpm = (id: string) => line.shafts.find((shaft) => shaft.id === id)?.rpm;
  // 24 : 48 the same way round, 20 : 40 reversed, a right-hand worm of 2 : 30 reversed again.
  expect([rpm("motor"), rpm("belt"), rpm("gears")]).toEqual([1400, 700, -350]);
  expect(rpm("worm")).toBeCloseTo(350 / 15, 9);
  const [drum] = line.outputs;
  expect(drum?.surfaceMPerS).toBeCloseTo((Math.PI * 0.1 * (350 / 15)) / 60, 9);
  // A gear pair's play counts by a fifteenth behind the worm: the worm's own is the most of it.
  const share = (id: string) => drum?.shares.find((one) => one.id === id)?.share ?? 0;
  expect(share("worm")).toBeGreaterThan(share("gears"));
  expect(share("belt")).toBe(0);
});

test("a stage that was never read leaves its share unknown, and never nothing", () => {
  const unread = stages.map((item) => (item.stage.id === "gears" ? { ...item, standing: null } : item));
  const [drum] = mustHold(solveDriveLine(graph, unread)).outputs;
  expect(drum?.shares.find((one) => one.id === "gears")?.arcmin).toBeNull();
});

test("a shaft is called by its motor, or by the stages whose output sits on it", () => {
  const all = stages.map(({ stage }) => stage);
  const two = {
    ...graph,
    links: graph.links.map((link) => (link.stageId === "worm" ? { ...link, onto: "gears" } : link)),
  };
  expect(shaftName("motor", graph, all)).toBe("Motor");
  expect(shaftName("gears", graph, all)).toBe("Output of First reduction");
  expect(shaftName("gears", two, all)).toBe("Output of First reduction and Lift worm");
  expect(shaftName("gone", graph, all)).toBe("Output of a stage");
});
