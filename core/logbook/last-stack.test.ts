import { expect, test } from "vitest";
import type { Entry } from "./entry";
import { lastStack } from "./last-stack";
import type { MovedStack } from "./schema";

const pieces = (...sizes: number[]) => sizes.map((thicknessMm) => ({ thicknessMm, count: 1 }));
const move = (id: string, stack?: MovedStack) => ({ id, kind: "move", stageId: "s", body: { stack } }) as Entry;
const across = move("1", {
  was: pieces(0.3),
  now: pieces(0.1),
  other: { was: pieces(0.1), now: pieces(0.3) },
});

test("the other side stays as it was said while only this one is changed piece by piece", () => {
  const here = move("2", { was: pieces(0.1), now: pieces(0.2) });
  expect(lastStack([across, here], "s")).toEqual({ here: pieces(0.2), other: pieces(0.3) });
  expect(lastStack([here], "s")).toEqual({ here: pieces(0.2), other: null });
});

test("after a move that did not say which pieces, nobody knows what lies there, on either side", () => {
  expect(lastStack([across, move("2")], "s")).toBeNull();
  const again = move("3", { was: pieces(0.5), now: pieces(0.4) });
  expect(lastStack([across, move("2"), again], "s")).toEqual({ here: pieces(0.4), other: null });
});

test("a move that was struck out changed nothing", () => {
  const voids = { id: "3", kind: "correction", stageId: "s", body: { corrects: "2", voids: true } } as unknown as Entry;
  expect(lastStack([across, move("2"), { ...voids, namesEntry: "2" }], "s")?.here).toEqual(pieces(0.1));
});
