import { expect, test } from "vitest";
import { kitOf } from "./kit";
import { guidePart } from "./schema";

const part = (id: string, more: object) => guidePart.parse({ id, name: id, ...more });
const m4 = { size: "M4", lengthMm: 12, count: 4, washers: 4, torqueNm: 3 };

test("what is to be laid out is counted once over all parts, and what the drawers lack is said", () => {
  const kit = kitOf(
    [
      part("cover", { screws: [m4, { ...m4, size: "M5", torqueNm: 5, compound: true }], tools: "Puller, hex key 3" }),
      part("plate", { screws: [m4], tools: "hex key 3; paint", massKg: 12 }),
      part("bearing", {
        massKg: 0.2,
        spacers: [
          { widthMm: 0.3, count: 2 },
          { widthMm: 12.85, count: 1 },
        ],
      }),
    ],
    [
      { name: "Shim 0.3", place: "Drawer 4", sizeMm: 0.302, count: 1 },
      { name: "Shim 0.3, empty", place: "Drawer 9", sizeMm: 0.3, count: 0 },
    ],
  );
  expect(kit.tools).toEqual(["Puller", "hex key 3", "paint"]);
  expect(kit.screws.map(({ size, count, washers }) => `${count} ${size} ${washers}`)).toEqual(["8 M4 8", "4 M5 4"]);
  expect(kit).toMatchObject({ torquesNm: [3, 5], compound: true, heaviest: { name: "plate", massKg: 12 } });
  expect(kit.spacers).toEqual([
    { widthMm: 0.3, count: 2, from: { name: "Shim 0.3", place: "Drawer 4", count: 1 }, lacking: 1 },
    { widthMm: 12.85, count: 1, from: null, lacking: 1 },
  ]);
});
