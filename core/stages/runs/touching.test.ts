import { expect, test } from "vitest";
import { vBelt } from "~/tests/elements";
import type { BeltElement } from "../element";
import { pathPull, stagePath } from "./path";
import { type Touching, touchingY } from "./touching";

const drive = {
  ...vBelt,
  pitchDiameterMm: [60, 60],
  centreDistanceMm: 200,
  lengthMm: 600,
  idlers: [],
} as unknown as BeltElement;
const roller: Touching = { x: 100, diameterMm: 16, side: "outside", strand: "upper", pressMm: 0 };
const yOf = (of: BeltElement, idler: Touching) => {
  const found = touchingY(of, idler);
  return found.ok ? found.value : found.refusal;
};

test("the handbook's roller of 16 on the back of a strand between two wheels of 60: at y 22 it is pressed in by 16", () => {
  expect(yOf(drive, roller)).toBeCloseTo(38, 9);
  expect(yOf(drive, { ...roller, pressMm: 16 })).toBeCloseTo(22, 9);
  expect(yOf(drive, { ...roller, strand: "lower", pressMm: 16 })).toBeCloseTo(-22, 9);
  expect(yOf(drive, { ...roller, side: "inside", pressMm: 5 })).toBeCloseTo(30 - 8 + 5, 9);
});

test.each(["upper", "lower"] as const)(
  "one that only touches the %s strand of unlike wheels leaves the path as it is, and a hair more lengthens it",
  (strand) => {
    const uneven = { ...drive, pitchDiameterMm: [50, 110] } as unknown as BeltElement;
    const plain = stagePath(uneven);
    for (const side of ["inside", "outside"] as const) {
      const lengths = [0, 0.5].map((pressMm) => {
        const { pressMm: _, ...idler } = { ...roller, side, strand, pressMm };
        const y = yOf(uneven, { ...idler, pressMm });
        const path = stagePath({ ...uneven, idlers: [{ ...idler, y: y as number }], moved: 0 } as BeltElement);
        if (!path.ok) throw new Error(JSON.stringify(path));
        expect(path.value.laid.wraps[path.value.idlers[0] as number]?.deg).toBeLessThan(pressMm === 0 ? 1e-4 : 5);
        return [path.value.laid.lengthMm, pathPull(path.value, 0)] as const;
      });
      expect(lengths[0]?.[0]).toBeCloseTo(plain.ok ? plain.value.laid.lengthMm : 0, 6);
      expect(lengths[1]?.[0]).toBeGreaterThan(lengths[0]?.[0] ?? 0);
    }
  },
);

test("beyond where the strand leaves the wheels there is nothing to touch, and it says between what there is", () => {
  expect(yOf(drive, { ...roller, x: 220 })).toMatchObject({
    code: "off-the-strand",
    path: ["x"],
    facts: { fromMm: expect.closeTo(0, 9), toMm: expect.closeTo(200, 9) },
  });
});
