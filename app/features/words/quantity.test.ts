import { expect, test } from "vitest";
import { elementWords, sizeWords, tightWords } from "~/app/features/kinds";
import { readerOf } from "~/app/features/words/reader";
import { frameOf } from "~/core/stages";
import { everyKind, vBelt } from "~/tests/elements";
import { placeWords, stageUnit } from "./quantity";

const reader = readerOf();

test("every kind of stage in a line, with what tells it from another of its kind", () => {
  expect(everyKind.map((element) => elementWords(reader, element))).toEqual([
    "gear pair 20 : 40, module 2",
    "gear pair 20 : 40, module 2, helix 15° right",
    "gear pair 17 : 68, module 2, internal",
    "worm and wheel 2 : 30, axial module 3, right-hand",
    "bevel pair 20 : 40, module 3, shafts at 90°",
    "planetary set 18 / 18 / 54, 3 planets, ring 20° left",
    "planetary set 12 / 24 / 23 / 60 / 57, 3 planets",
    "toothed belt 24 : 48, pitch 8 mm, 112 teeth",
    "toothed belt 24 : 48, pitch 8 mm, 120 teeth",
    "3 V-belts ⌀95 : ⌀190, 1250 mm long",
    "roller chain 19 : 38, pitch 12.7 mm, 100 links",
    "roller chain 19 : 38, pitch 12.7 mm, 100 links",
    "coupling ⌀28 : ⌀24, jaws with an elastic spider, 16 mm apart",
    "axis, sliding 900 mm",
    "axis, swinging 143°",
    "end float",
    "gear pair 24 : 36, module 2, 2 gears",
  ]);
  expect(sizeWords(reader, everyKind[15] as never)).toBe("");
});

test("what is read is spoken of by its kind: its unit, its digits, its tight spot", () => {
  const said = everyKind.map((element) => `${stageUnit(reader, element).said(1.234)} ${tightWords(element)}`);
  expect([said[0], said[5], said[7], said[10], said[11], said[12], said[14], said[15]]).toEqual([
    "1.23 mm the tight spot",
    "1.2 arcmin the tight spot",
    "1 N the tightest place",
    "1.2 mm the tightest place of the chain",
    "1.23 % the tight spot",
    "1.23 mm the place",
    "1.2° the end with less",
    "1.23 mm the narrowest place",
  ]);
});

test("a place of a set is told by its belt and by where on it", () => {
  const frame = frameOf(vBelt);
  expect([1, 2, 3, 6].map((place) => placeWords(frame, place))).toEqual([
    "belt 1, the mark",
    "belt 1, ½ turn",
    "belt 2, the mark",
    "belt 3, ½ turn",
  ]);
  const pulley = { ...frameOf(vBelt), belts: 1, places: 30 };
  expect([1, 8, 16, 23, 5].map((place) => placeWords(pulley, place))).toEqual([
    "the mark",
    "¼ turn",
    "½ turn",
    "¾ turn",
    "⅛ turn",
  ]);
  expect(placeWords({ ...pulley, places: 100 }, 10)).toBe("32° on");
});
