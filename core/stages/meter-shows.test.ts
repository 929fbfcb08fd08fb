import { describe, expect, test } from "vitest";
import { everyKind } from "~/tests/elements";
import { judgedBy, type MeasuredQuantity, meterShows, toJudged, waysToMeasure } from ".";

const limits: Partial<Record<string, { lo: number; hi: number }>> = {
  tension: { lo: 150, hi: 260 },
  sag: { lo: 8, hi: 16 },
  elongation: { lo: 0, hi: 2 },
  "lost-motion": { lo: 4, hi: 30 },
};
const ways = everyKind.flatMap((element) =>
  waysToMeasure(element).map((quantity) => [`${element.kind} by ${quantity}`, element, quantity] as const),
);
const indicator = (quantity: MeasuredQuantity) => ({
  quantity,
  indicatorRadiusMm: null,
  indicatorAngleDeg: 0,
  held: null,
});

describe("what the meter shows at the limits reads as the limits", () => {
  test.each(ways)("%s", (_, element, quantity) => {
    const { lo, hi } = limits[judgedBy(element)] ?? { lo: 0.05, hi: 0.2 };
    const way = indicator(quantity);
    const shown = meterShows(element, way, { lo, hi });
    const read = toJudged(element, way);
    if (!shown.ok || !read.ok) throw new Error("the geometry is refused");
    const back = [read.value.convert(shown.value.lo), read.value.convert(shown.value.hi)].sort((a, b) => a - b);
    expect(back[0]).toBeCloseTo(lo, 6);
    expect(back[1]).toBeCloseTo(hi, 6);
  });
});

test("a chain reads from its counted pitches up; what is far shorter was counted wrongly", () => {
  const chain = everyKind.find((element) => element.kind === "chain");
  if (!chain) throw new Error("no chain");
  const way = { ...indicator("elongation"), held: 20 };
  const nominal = 20 * chain.pitchMm;
  const shown = meterShows(chain, way, { lo: 0, hi: 2 });
  expect(shown.ok && shown.value.lo).toBeCloseTo(nominal, 6);
  expect(shown.ok && shown.value.hi).toBeCloseTo(1.02 * nominal, 6);
  const read = toJudged(chain, way);
  expect(read.ok && read.value.convert(0.9 * nominal)).toBeNaN();
});
