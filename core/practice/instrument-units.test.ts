import { expect, test } from "vitest";
import { everyShown, shownIn } from "./instrument-units";

test("a step goes in and comes back as it was typed, in every unit an instrument may show", () => {
  for (const { dimension, id } of everyShown) {
    const { kept, shown } = shownIn({ dimension, unit: id });
    for (const step of [0.0005, 0.01, 0.02, 0.5, 3]) {
      expect(shown(kept(step))).toBe(step);
      expect(kept(shown(step))).toBeCloseTo(step, 7);
    }
  }
});

test("what is kept is the same whatever it is shown in: mm, arcminutes, N", () => {
  expect(shownIn({ dimension: "length", unit: "in" }).kept(0.0005)).toBe(0.0127);
  expect(shownIn({ dimension: "angle", unit: "deg" }).kept(0.5)).toBe(30);
  expect(shownIn({ dimension: "angle", unit: "arcmin" }).kept(5)).toBe(5);
  expect(shownIn({ dimension: "force", unit: "lbf" }).kept(1)).toBeCloseTo(4.4482216152605, 8);
});

test("a unit that the dimension does not know stands for the usual one", () => {
  for (const unit of ["", "in", "thou"]) expect(shownIn({ dimension: "force", unit }).id).toBe("N");
});
