import { expect, test } from "vitest";
import type { StoreItem } from "~/core/records";
import { testStage } from "~/tests/stage";
import { asMeasured, itemsFor, stockOf, takingsOf } from "./drawer-items";

const item = (id: string, nominalMm: number, more: Partial<StoreItem> = {}): StoreItem =>
  ({ id, kind: "shim", name: id, nominalMm, measuredMm: null, count: 3, ...more }) as StoreItem;
const pieces = (...sizes: [number, number][]) => sizes.map(([thicknessMm, count]) => ({ thicknessMm, count }));
const drawer = [
  item("half", 0.5, { measuredMm: 0.502 }),
  item("tenth", 0.1, { count: 1 }),
  item("tenth, tin", 0.1, { count: 2 }),
  item("thou", 0.0508, { count: 0 }),
];

test("a piece said by its nominal size is the drawer's, as measured; one that nobody knows stays as it was said", () => {
  expect(asMeasured(pieces([0.5, 2], [0.1, 1], [0.33, 1]), drawer)).toEqual(pieces([0.502, 2], [0.1, 1], [0.33, 1]));
  // One that another item really measures is that one.
  const both = [...drawer, item("thick", 0.49, { measuredMm: 0.5 })];
  expect(asMeasured(pieces([0.5, 1]), both)).toEqual(pieces([0.5, 1]));
});

test("only what is there can be taken, each as thick as it was measured", () => {
  expect(stockOf(drawer)).toEqual(pieces([0.502, 3], [0.1, 1], [0.1, 2]));
});

test("one size out of two drawers; what comes out of the stage goes back into the one that knows it", () => {
  const takings = takingsOf(pieces([0.502, 1], [0.33, 1]), pieces([0.1, 3]), drawer);
  expect(takings).toEqual([
    { itemId: "tenth", change: -1 },
    { itemId: "tenth, tin", change: -2 },
    { itemId: "half", change: 1 },
  ]);
  expect(takingsOf(pieces([0.05, 1]), [], drawer)).toEqual([]);
  // Two thou are a whole micrometre with 0.051.
  expect(takingsOf(pieces([0.051, 1]), [], drawer)).toEqual([{ itemId: "thou", change: 1 }]);
});

test("shims for a shimmed stage, spacers too where it is set by those", () => {
  const all = [...drawer, item("spacer", 2, { kind: "spacer" })];
  const stage = testStage("s");
  const of = (means: "shims" | "spacers") =>
    itemsFor({ ...stage, adjuster: { ...stage.adjuster, means } }, all).map(({ id }) => id);
  expect(of("shims")).not.toContain("spacer");
  expect(of("spacers")).toContain("spacer");
});
