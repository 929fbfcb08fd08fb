import { expect, test } from "vitest";
import type { EntryOf } from "~/core/logbook";
import { clampLines } from "./clamp-lines";
import { readerOf } from "./reader";

const touch = (clamp: number, state: string, pass = 0, torqueNm: number | null = null) =>
  ({ body: { clamp, of: 3, state, pass, passes: 2, torqueNm } }) as unknown as EntryOf<"clamp">;

test("what was done to the clamps takes a line a pass, each clamp in the order in which it was touched", () => {
  expect(
    clampLines(readerOf(), [
      ...[3, 1, 2].map((clamp) => touch(clamp, "eased")),
      ...[1, 3, 2].map((clamp) => touch(clamp, "snug", 1, 12)),
      ...[1, 3, 2].map((clamp) => touch(clamp, "firm", 2, 24)),
      touch(1, "dressed", 2),
    ]),
  ).toEqual([
    "Eased: 3, 1, 2",
    "Pass 1 of 2, 12 N·m: 1, 3, 2",
    "Pass 2 of 2, 24 N·m: 1, 3, 2",
    "Dressed with compound: 1",
  ]);
});
