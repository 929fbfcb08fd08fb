import { expect, test } from "vitest";
import { driveLine } from "../trains";
import { driveGraph, type KeptDriveLine, withoutGone } from "./drive-graph";
import type { StageElement } from "./element";

const gears: StageElement = {
  kind: "gear-pair",
  pair: {
    teeth: [20, 40],
    moduleMm: 2,
    pressureAngleDeg: 20,
    helixAngleDeg: 0,
    profileShift: [0, 0],
    thinningMm: [0, 0],
    faceWidthMm: undefined,
    centreDistanceMm: 60.1,
    internal: false,
    tipDiameterMm: undefined,
  } as never,
  parts: {},
  gearName: "low",
  gears: [{ name: "high", teeth: [30, 30], profileShift: [0, 0] }],
};
const link = (stageId: string, from: string, onto: string | null = null, gear = 0) => ({
  stageId,
  from,
  onto,
  gear,
  angleDeg: 0,
});
const line = (links: KeptDriveLine["links"], at: string[] = []): KeptDriveLine => ({
  sources: [{ id: "source-0", name: "Motor", rpm: 1000, torqueNm: null }],
  links,
  outputs: at.map((id) => ({ at: id, name: id, wheelDiameterMm: null, scale: null })),
});
const stages = (...ids: string[]) => ids.map((id) => ({ id, element: gears, loosest: () => null }));

test("the gear that is in gives the ratio; one that is no longer there counts as the first", () => {
  const ratio = (gear: number) => driveGraph(line([link("a", "source-0", null, gear)]), stages("a")).links[0]?.ratio;
  expect([ratio(0), ratio(1), ratio(7)]).toEqual([-2, -1, -2]);
});

test("a stage that is gone takes with it what only it drove, and nothing names it any more", () => {
  const kept = line(
    [link("a", "source-0"), link("b", "a"), link("c", "b"), link("d", "source-0", "a")],
    ["c", "d", "source-0"],
  );
  const left = withoutGone(kept, new Set(["b", "c", "d"]));
  expect(left.links).toEqual([link("d", "source-0")]);
  expect(left.outputs.map(({ at }) => at)).toEqual(["d", "source-0"]);
  expect(driveLine(driveGraph(left, stages("b", "c", "d")))).toMatchObject({ ok: true });
  expect(withoutGone(kept, new Set(["a", "b", "c", "d"]))).toEqual(kept);
  // While a line is put together a stage may be named before anything drives it, even in a circle.
  for (const halfway of [line([link("b", "a")]), line([link("a", "b"), link("b", "a")])])
    expect(withoutGone(halfway, new Set(["a", "b"]))).toEqual(halfway);
});
