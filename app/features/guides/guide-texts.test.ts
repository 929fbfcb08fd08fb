import { expect, test } from "vitest";
import { guidePart } from "~/core/guides/schema";
import { rows } from "~/tests/rows";
import { readerOf } from "../words/reader";
import { orderTexts, partTexts, readOrder, readPart } from "./guide-texts";

const reader = readerOf();
const part = (id: string, more: object = {}) => guidePart.parse({ id, name: id, ...more });
const order = (said: string, known: Parameters<typeof readOrder>[1] = []) => {
  let made = 0;
  return readOrder({ name: "Box", ...rows("parts", "name after hides", said) }, known, () => `new ${++made}`);
};
const problems = (said: string) =>
  Object.entries(order(said).problems ?? {}).map(([field, { code }]) => `${code} ${field}`);

test("ties are typed by name, whatever the letters; what is known of a part stays with it in another place", () => {
  const read = order("Shaft;Bearing shaft;Cover BEARING Shaft");
  expect(read.value?.parts.map(({ id, after, hides }) => ({ id, after, hides }))).toEqual([
    { id: "new 1", after: [], hides: [] },
    { id: "new 2", after: ["new 1"], hides: [] },
    { id: "new 3", after: ["new 2"], hides: ["new 1"] },
  ]);
  const known = [part("a", { mark: "dot" }), part("b", { after: ["a"], screws: [{ size: "M4", count: 2 }] })];
  const texts: Record<string, string> = { name: "Box", ...orderTexts(known) };
  const again = readOrder(texts, known, () => "none");
  expect(again.value?.parts).toEqual(known);
});

test("a name twice, a name that is not in the list, a part that waits for itself and a ring are said where they stand", () => {
  expect(problems("A;a")).toEqual(["id-twice parts.1.name"]);
  expect(problems("A Nut")).toEqual(["not-listed parts.0.after"]);
  expect(problems("A A")).toEqual(["not-listed parts.0.after"]);
  expect(problems("A B;B A")).toEqual(["ties-in-ring parts"]);
  expect(problems("- B;B")).toEqual(["missing parts.0.name"]);
});

test("a part goes into texts and comes back as it was; inches, commas and N·m are read", () => {
  const whole = part("c", {
    side: "left",
    massKg: 2.4,
    tools: "puller",
    after: ["a"],
    photographs: ["01934076-bd4b-711c-88af-73b8ad150001"],
    screws: [{ size: "M4", count: 6, lengthMm: 12.5, washers: 6, torqueNm: 3.1, into: "plastic", compound: true }],
    spacers: [{ widthMm: 12.85, count: 2, race: "inner" }],
  });
  expect(readPart(partTexts(reader, whole), whole).value).toEqual(whole);
  const typed = {
    ...rows("screws", "count size length torque", "4 M5 1/2_in 26,5_lbf-in"),
    ...rows("spacers", "width", "0,3"),
  };
  expect(readPart(typed, part("d")).value).toMatchObject({
    screws: [{ count: 4, size: "M5", lengthMm: 12.7, into: "metal", compound: false }],
    spacers: [{ count: 1, widthMm: 0.3, race: "none" }],
  });
  const wrong = readPart({ ...rows("screws", "count size length", "- M4 0"), mass: "-1" }, part("e")).problems ?? {};
  expect(Object.keys(wrong).sort()).toEqual(["mass", "screws.0.count", "screws.0.length"]);
});
