import { expect, test } from "vitest";
import { everyKind } from "~/tests/elements";
import { gearPair } from "../gears";
import { mustHold } from "../quantity";
import { frameOf, partOutline, placeCount } from "./index";

const radius = ([x, y]: readonly [number, number]) => Math.hypot(x, y);
/** Clockwise from the top, as places are counted. */
const angle = ([x, y]: readonly [number, number]) => (Math.atan2(x, -y) * 180) / Math.PI;

test.each(everyKind.map((element, i) => [element.kind, i, element] as const))(
  "%s (%i): one run a place, the witness mark at the top, all of it between root and tip",
  (_, __, element) => {
    const { outline, marks, tipRadius, rootRadius } = partOutline(element);
    expect(outline).toHaveLength(placeCount(frameOf(element)));
    if (marks) expect(marks).toHaveLength(outline.length);
    const radii = outline.flat().map(radius);
    expect(Math.max(...radii)).toBeLessThanOrEqual(Math.max(tipRadius, rootRadius) * 1.0005);
    expect(Math.min(...radii)).toBeGreaterThanOrEqual(Math.min(tipRadius, rootRadius) * 0.9995);
    // Each run stands about its own place, and they go round once.
    const step = 360 / outline.length;
    for (const [i, run] of outline.entries()) {
      const xs = run.map(([x]) => x).reduce((sum, x) => sum + x, 0) / run.length;
      const ys = run.map(([, y]) => y).reduce((sum, y) => sum + y, 0) / run.length;
      const off = (((angle([xs, ys]) - i * step) % 360) + 540) % 360;
      expect(Math.abs(off - 180)).toBeLessThan(step / 2);
    }
  },
);

test("a gear is drawn at its own tip circle, a ring from its teeth inwards", () => {
  for (const element of everyKind) {
    if (element.kind !== "gear-pair") continue;
    const pair = mustHold(gearPair(element.pair));
    const { tipRadius, rootRadius } = partOutline(element);
    expect(2 * tipRadius).toBeCloseTo(pair.tipDiameterMm[1], 3);
    expect(rootRadius > tipRadius).toBe(element.pair.internal === true);
  }
});
