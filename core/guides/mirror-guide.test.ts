import { expect, test } from "vitest";
import { mirroredParts, mirroredText } from "./mirror-guide";
import { guidePart } from "./schema";

test("words for sides and senses change places, all else stays; twice is as it was", () => {
  expect(mirroredText("Left bracket, slot to the right; turn clockwise")).toBe(
    "Right bracket, slot to the left; turn counter-clockwise",
  );
  // The screw of a mirrored machine has the same thread.
  expect(mirroredText("leftover shims, left-hand thread at the left-hand side")).toBe(
    "leftover shims, left-hand thread at the right-hand side",
  );
  const text = "Motor left, screws right, clockwise then counter-clockwise";
  expect(mirroredText(mirroredText(text))).toBe(text);
});

test("a guide for the other hand keeps order, ties and screws, and leaves the photographs", () => {
  const part = guidePart.parse({
    id: "b",
    name: "Bearing",
    side: "left",
    after: ["a"],
    screws: [{ size: "M4", count: 3, where: "left row" }],
    photographs: ["01934076-bd4b-711c-88af-73b8ad150001"],
  });
  const [mirrored] = mirroredParts([part]);
  expect(mirrored).toMatchObject({ id: "b", side: "right", after: ["a"], photographs: [] });
  expect(mirrored?.screws).toEqual([{ ...part.screws[0], where: "right row" }]);
});
