import { expect, test } from "vitest";
import { upkeepList } from "~/core/greasing/schema";
import { rows } from "~/tests/rows";
import { readerOf } from "../words/reader";
import { listTexts, readList } from "./upkeep-texts";

const read = (texts: Record<string, string>) => readList(texts, () => "new");

test("a list goes into texts and comes back as it was, places to be kept dry too", () => {
  const list = upkeepList.parse({
    grease: [
      {
        id: "a",
        name: "Main bearing",
        kind: "lithium",
        bearing: { outerMm: 90, widthMm: 23 },
        intervalUsage: 900,
        dirt: "dusty",
        wet: "damp",
        tempC: 85,
        vertical: true,
      },
      { id: "b", name: "Belt", mark: "keep-dry" },
    ],
    looks: [{ id: "l", name: "Cord", where: "upper clamp", everyDays: 14 }],
  });
  expect(read(listTexts(readerOf(), list)).value).toEqual(list);
});

test("half a bearing, no interval below nothing, and a line without a name are said at their fields", () => {
  const wrong = read({
    ...rows("grease", "name outer usage", "Bearing 90 0"),
    ...rows("looks", "name days", "- 14"),
  }).problems;
  expect(Object.entries(wrong ?? {}).map(([field, { code }]) => `${code} ${field}`)).toEqual([
    "missing grease.0.width",
    "too-small grease.0.usage",
    "missing looks.0.name",
  ]);
});
