import { expect, test } from "vitest";
import { beltWithIdlers, vBelt } from "~/tests/elements";
import type { BeltElement } from "../element";
import { stagePath } from "./path";
import { shaftPulls } from "./shaft-pull";

test("two pulleys 100 and 300 at 500: the wrap of the handbook of belts, 156.926082°, pulls 587.9 N from 300", () => {
  const element = {
    ...vBelt,
    pitchDiameterMm: [100, 300],
    centreDistanceMm: 500,
    lengthMm: 1650,
    belts: 1,
  } as unknown as BeltElement;
  const found = shaftPulls(element, 300);
  expect(found?.driverN).toBeCloseTo(600 * Math.sin((156.926082 / 2) * (Math.PI / 180)), 4);
  // Both shafts are pulled alike where nothing else touches the belt.
  expect(found?.drivenN).toBeCloseTo(found?.driverN ?? 0, 6);
  expect(shaftPulls({ ...element, belts: 3 } as BeltElement, 300)?.driverN).toBeCloseTo(3 * (found?.driverN ?? 0), 6);
});

test("with idlers the pull is the sum of the two strands as they leave the pulley, added as arrows", () => {
  const path = stagePath(beltWithIdlers);
  if (!path.ok) throw new Error("no path");
  const { spans } = path.value.laid;
  const unit = ({ start, end }: (typeof spans)[number], way: 1 | -1) => {
    const [x, y] = [end[0] - start[0], end[1] - start[1]];
    const length = Math.hypot(x, y);
    return [(way * x) / length, (way * y) / length] as const;
  };
  const [out, back] = [spans[0], spans[spans.length - 1]];
  if (!out || !back) throw new Error("no spans");
  const [a, b] = [unit(out, 1), unit(back, -1)];
  expect(shaftPulls(beltWithIdlers, 100)?.driverN).toBeCloseTo(100 * Math.hypot(a[0] + b[0], a[1] + b[1]), 6);
});
