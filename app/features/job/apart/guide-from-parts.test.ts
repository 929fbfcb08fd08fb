import { expect, test } from "vitest";
import { guidePart } from "~/core/guides/schema";
import type { PartNow } from "~/core/logbook";
import { guideFromParts } from "./guide-from-parts";

let seq = 0;
const off = (key: string, more: object = {}): PartNow =>
  ({
    key,
    name: key,
    off: {
      id: `off ${key}`,
      seq: ++seq,
      body: { screws: [], spacers: [], side: "", facing: "", mark: "", massKg: null, beforeHidden: "", ...more },
    },
    on: null,
    screws: [],
    state: null,
    seat: null,
  }) as unknown as PartNow;
const on = (part: PartNow): PartNow => ({ ...part, on: { seq: ++seq } as PartNow["on"] });
const names = (parts: readonly PartNow[]) => guideFromParts(parts, [], []).map(({ name }) => name);

test("the order is that in which it went together; what is still off comes after, the last off first", () => {
  const [cover, gear, bearing] = [off("cover"), off("gear"), off("bearing")];
  expect(names([cover, gear, bearing])).toEqual(["bearing", "gear", "cover"]);
  const seated = on(bearing);
  // Taken off once more for its burr: that says nothing about where it belongs.
  const again = on(off("gear"));
  expect(names([cover, again, seated])).toEqual(["bearing", "gear", "cover"]);
});

test("what the guide knew and nobody saw anew stays; a washer laid in becomes a spacer, once", () => {
  const known = guidePart.parse({
    id: "bearing",
    name: "Bearing",
    screws: [{ size: "M4", count: 3, torqueNm: 2, into: "plastic", compound: true }],
    mark: "dot",
    after: ["shaft"],
  });
  const shaft = guidePart.parse({ id: "shaft", name: "Shaft" });
  const laid = { laid: [{ thicknessMm: 0.3, count: 1 }], race: "outer" };
  const seen = {
    ...off("bearing", { side: "left", screws: [{ size: "M4", lengthMm: 12, count: 4, washers: 0, where: "" }] }),
    seat: { body: laid } as PartNow["seat"],
  };
  const first = guideFromParts([seen], [{ id: "p", of: "off bearing", caption: "" }], [shaft, known]);
  expect(first).toMatchObject([
    { id: "shaft" },
    {
      id: "bearing",
      side: "left",
      mark: "dot",
      after: ["shaft"],
      screws: [{ count: 4, lengthMm: 12, torqueNm: 2, into: "plastic", compound: true }],
      spacers: [{ widthMm: 0.3, race: "outer" }],
      photographs: ["p"],
    },
  ]);
  expect(guideFromParts([seen], [], first)[1]?.spacers).toHaveLength(1);
  const uncounted = guideFromParts([off("bearing", { screws: null })], [], [shaft, known]);
  expect(uncounted[1]?.screws).toEqual(known.screws);
});
