import { expect, test } from "vitest";
import { gaugeScale, niceTicks } from "./band-gauge/layout";
import { clearOf, dialScale } from "./round-dial/layout";
import { limitLabels } from "./round-dial/limit-labels";

test("the dial: tooth positions clockwise from the top, larger values further out, mirrored when counted the other way", () => {
  const scale = dialScale({ lo: 0.1, hi: 0.2 }, [0.05, 0.25], { inner: 90, outer: 200 });
  const [x, y] = scale.place(90, 0.15);
  expect(x).toBeGreaterThan(90);
  expect(y).toBeCloseTo(0, 9);
  expect(scale.radius(0.2)).toBeGreaterThan(scale.radius(0.1));
  const mirrored = dialScale({ lo: 0.1, hi: 0.2 }, [0.05, 0.25], { inner: 90, outer: 200 }, true);
  expect(mirrored.place(90, 0.15)[0]).toBeCloseTo(-x, 9);
});

test("one wild value stands at the edge and does not squeeze the band", () => {
  const wild = dialScale({ lo: 0.1, hi: 0.2 }, [0.12, 40], { inner: 90, outer: 200 });
  expect(wild.radius(40)).toBe(200);
  expect(wild.radius(0.2) - wild.radius(0.1)).toBeGreaterThan(25);
});

test("the gauge shows band and bars on one scale, with round figures under it", () => {
  const { at, ticks } = gaugeScale(0.14, 0.28, [{ min: 0.06, max: 0.12 }], 440);
  expect(at(0.06)).toBeGreaterThan(0);
  expect(at(0.28)).toBeLessThan(440);
  expect(ticks.length).toBeGreaterThanOrEqual(4);
  expect(niceTicks(0.043, 0.297, 6)).toEqual([0.05, 0.1, 0.15, 0.2, 0.25]);
});

test("a label goes where no reading stands, and not beside the words in the middle", () => {
  expect(clearOf([0, 30, 60, 90])).toBe(225);
  expect(clearOf([])).toBe(50);
  for (const angles of [
    [0, 20, 40, 180, 200],
    [0, 90, 180],
    [0, 180],
    [350, 10, 170, 190],
  ]) {
    const at = clearOf(angles);
    expect(Math.abs(Math.sin((at * Math.PI) / 180)), `${angles}`).toBeLessThan(0.95);
    for (const angle of angles) expect(Math.abs(((at - angle + 540) % 360) - 180), `${angles}`).toBeGreaterThan(20);
  }
});

test("in another unit the figures under the gauge are round in that one", () => {
  const { at, ticks } = gaugeScale(0.08, 0.18, [{ min: 0.07, max: 0.25 }], 440, 25.4);
  const inches = ticks.map((tick) => tick / 25.4);
  expect(inches.length).toBeGreaterThanOrEqual(3);
  for (const inch of inches) expect(inch * 1000).toBeCloseTo(Math.round(inch * 1000), 9);
  for (const tick of ticks) expect(at(tick)).toBeGreaterThan(0);
});

test("the labels of both limits stay on their circles, and never lie on each other", () => {
  const figure = (value: number) => value.toFixed(4);
  for (let angle = 0; angle < 360; angle += 5) {
    for (const apart of [0, 8, 30, 90]) {
      const radius = (value: number) => (value > 0.1 ? 100 + apart : 100);
      const [hi, lo] = limitLabels(angle, [0.2, 0.1], radius, figure);
      if (!hi || !lo) throw new Error("no labels");
      expect([hi.text, lo.text]).toEqual(["0.2000", "0.1000"]);
      expect(Math.abs(hi.y - lo.y) >= 19.999 || Math.abs(hi.x - lo.x) > 60).toBe(true);
      expect(Math.abs(Math.hypot(hi.x, hi.y) - radius(0.2))).toBeLessThan(11);
    }
  }
});
